/** The next most useful observation: the expected loss of doubt about the family, weighed by what it costs to look. */
import { expectedFrom, worthAsking } from '../belief/bayes';
import { beliefsFrom, chanceTable, type Beliefs, type Weighed } from './beliefs';
import { EVIDENCE } from './evidence/registry';
import { CANDIDATES, type Candidate, type Evidence, type EvidenceValue } from './types';

/** What a question is, without the way in which it is read off a record. */
export type Question = Pick<Evidence, 'id' | 'kind' | 'ask' | 'how' | 'effort' | 'source' | 'values'>;

export interface NextObservation {
  readonly evidence: Question;
  /** Expected gain, bits. */
  readonly gain: number;
  /** What each answer would make of the beliefs. */
  readonly answers: readonly {
    readonly value: EvidenceValue;
    readonly chance: number;
    readonly top: Candidate;
    readonly probability: number;
  }[];
}

export function nextObservations(
  weighed: readonly Weighed[],
  evidence: readonly Evidence[] = EVIDENCE
): NextObservation[] {
  const beliefs = beliefsFrom(weighed);
  const made = new Set(weighed.map((weighed) => weighed.evidence.id));
  const open = evidence
    .filter(
      (candidate) => !made.has(candidate.id) && (candidate.after === undefined || made.has(candidate.after))
    )
    .map((evidence) => expected(beliefs, evidence));
  return worthAsking(open, (question) => question.evidence.effort);
}

function expected(beliefs: Beliefs, evidence: Evidence): NextObservation {
  const now = CANDIDATES.map((family) => beliefs[family]);
  const { gain, answers } = expectedFrom(now, chanceTable(evidence));
  return {
    evidence: questionOf(evidence),
    gain,
    answers: answers.map(({ chance, top, probability }, index) => ({
      value: evidence.values[index]!,
      chance,
      top: CANDIDATES[top] ?? 'unknown',
      probability
    }))
  };
}

function questionOf({ id, kind, ask, how, effort, source, values }: Evidence): Question {
  return { id, kind, ask, how, effort, source, values };
}
