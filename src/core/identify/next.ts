/** The next most useful observation: the expected loss of doubt, weighed by what it costs to look. */
import { beliefsFrom, chanceTable, entropy, type Beliefs, type Weighed } from './beliefs';
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

export function nextObservations(
  weighed: readonly Weighed[],
  evidence: readonly Evidence[] = EVIDENCE
): NextObservation[] {
  const beliefs = beliefsFrom(weighed);
  const made = new Set(weighed.map((one) => one.evidence.id));
  return evidence
    .filter((one) => !made.has(one.id))
    .map((one) => expected(beliefs, one))
    .filter((one) => one.gain >= LEAST_GAIN)
    .sort((a, b) => b.gain / effortWeight[b.evidence.effort] - a.gain / effortWeight[a.evidence.effort]);
}

function expected(beliefs: Beliefs, evidence: Evidence): NextObservation {
  const now = CANDIDATES.map((family) => beliefs[family]);
  const after = new Float64Array(now.length);
  let left = 0;
  const answers = chanceTable(evidence).map((row, index) => {
    let chance = 0;
    let top = 0;
    for (let family = 0; family < now.length; family += 1) {
      const joint = (now[family] ?? 0) * (row[family] ?? 0);
      after[family] = joint;
      chance += joint;
      if (joint > (after[top] ?? 0)) top = family;
    }
    for (let family = 0; family < now.length; family += 1) after[family]! /= chance || 1;
    left += chance * entropy(after);
    return {
      value: evidence.values[index]!,
      chance,
      top: CANDIDATES[top] ?? 'unknown',
      probability: after[top] ?? 0
    };
  });
  return { evidence, gain: Math.max(0, entropy(now) - left), answers };
}
