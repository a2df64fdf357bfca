/**
 * What to look at next, in one list: looks that may open a better way first, by what the way gains over the effort; after them the questions that
 * only tell more of the system, by bits over the effort.
 */
import type { Effort } from '../belief/bayes';
import type { Identification } from '../identify/identify';
import type { NextObservation } from '../identify/next';
import type { MethodId } from '../trade/vocabulary';
import type { Look, LookAt } from './looks';

export interface NextLook {
  readonly at: LookAt;
  readonly effort: Effort;
  /** Doubt about the family that it is expected to take away, bits; 0 for a look that says nothing of the family. */
  readonly bits: number;
  /** How much better the way is expected to be, half hours of work; 0 where no answer would change the way. */
  readonly gain: number;
  /** The way that a good answer would open; null where it would be the same one. */
  readonly opens: MethodId | null;
  /** The question behind it, with what each answer would make of the beliefs; null for a look that is none. */
  readonly question: NextObservation | null;
}

export function nextLooks({ next }: Pick<Identification, 'next'>, looks: readonly Look[]): NextLook[] {
  const questionOf = (at: LookAt) =>
    (at.what === 'question' && next.find(({ evidence }) => evidence.id === at.id)) || null;
  const asked = new Set(looks.flatMap(({ at }) => (at.what === 'question' ? [at.id] : [])));
  return [
    ...looks.map((look): NextLook => {
      const question = questionOf(look.at);
      return { ...look, bits: question?.gain ?? 0, question };
    }),
    ...next
      .filter(({ evidence }) => !asked.has(evidence.id))
      .map((question): NextLook => {
        const { id, ask, effort } = question.evidence;
        return {
          at: { what: 'question', id, ask },
          effort,
          bits: question.gain,
          gain: 0,
          opens: null,
          question
        };
      })
  ];
}
