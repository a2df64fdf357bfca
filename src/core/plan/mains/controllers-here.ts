/** Controllers against a record of mains controls, with how far that is read: none is known to fit past it. */
import type { MainsMatch } from '../../match/mains/match';
import type { MainsFinding } from '../../findings/mains';
import { mainsClosing, mainsWaiting, type MainsClosing } from './undecided';

export interface ControllerHere extends MainsMatch {
  /** Its verdict if there were nothing left to read. */
  readonly own: MainsMatch['verdict'];
  /** `so-far`: something that it is judged by nobody has read or can explain. */
  readonly known: 'read' | 'so-far';
  /** For one that does not fit: whether a question closes it, or a known fact; null where it fits. */
  readonly closing: MainsClosing | null;
}

/** `questions`: those of the whole record. */
export function controllersHere(
  matches: readonly MainsMatch[],
  questions: readonly MainsFinding[]
): ControllerHere[] {
  const known = mainsWaiting(questions).length > 0 ? 'so-far' : 'read';
  return matches.map((match) => ({
    ...match,
    own: match.verdict,
    verdict: match.verdict === 'go' && known === 'so-far' ? 'care' : match.verdict,
    known,
    closing: match.verdict === 'no' ? nearest(match, questions) : null
  }));
}

/** One method that waits for an answer may be what it fits for. */
function nearest({ methods }: MainsMatch, questions: readonly MainsFinding[]): MainsClosing {
  return methods.some(({ findings }) => mainsClosing(findings, questions) === 'asks') ? 'asks' : 'settled';
}
