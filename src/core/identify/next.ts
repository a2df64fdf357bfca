/** The next most useful observation: the expected loss of doubt, weighed by what it costs to look. */
import { beliefsFrom, chance, entropy, ranked, update, type Beliefs, type Weighed } from './beliefs';
import { EVIDENCE } from './evidence/registry';
import { CANDIDATES, type Candidate, type Effort, type Evidence, type EvidenceValue } from './types';

export interface NextObservation {
  readonly evidence: Evidence;
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

/** How many looks a way to the machine, or a reading with a meter, is worth. */
const effortWeight: Readonly<Record<Effort, number>> = { look: 1, climb: 2, meter: 3 };

/** A gain below this many bits is not worth anybody's steps. */
const LEAST_GAIN = 0.005;

export function nextObservations(weighed: readonly Weighed[]): NextObservation[] {
  const beliefs = beliefsFrom(weighed);
  const made = new Set(weighed.map((one) => one.evidence.id));
  return EVIDENCE.filter((one) => !made.has(one.id))
    .map((evidence) => expected(beliefs, evidence))
    .filter((one) => one.gain >= LEAST_GAIN)
    .sort((a, b) => b.gain / effortWeight[b.evidence.effort] - a.gain / effortWeight[a.evidence.effort]);
}

function expected(beliefs: Beliefs, evidence: Evidence): NextObservation {
  const now = entropy(beliefs);
  const answers = evidence.values.map((value) => {
    const likely = CANDIDATES.reduce(
      (sum, family) => sum + beliefs[family] * chance(evidence, family, value.value),
      0
    );
    const after = update(beliefs, evidence, value.value);
    const [top] = ranked(after);
    return {
      value,
      chance: likely,
      after,
      top: top?.family ?? 'unknown',
      probability: top?.probability ?? 0
    };
  });
  const left = answers.reduce((sum, one) => sum + one.chance * entropy(one.after), 0);
  return {
    evidence,
    gain: Math.max(0, now - left),
    answers: answers.map(({ value, chance: likely, top, probability }) => ({
      value,
      chance: likely,
      top,
      probability
    }))
  };
}
