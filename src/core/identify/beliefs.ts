/**
 * Beliefs: a probability per family of systems, from weighed evidence.
 *
 * Each piece of evidence multiplies the odds by how often its value is met in that family (Bayes' rule, pieces taken as independent given
 * the family). `unknown` stands for all families that this version does not tell apart: every value is equally likely there, so it gains
 * when the evidence fits none of the others.
 */
import { EVIDENCE } from './evidence/registry';
import { CANDIDATES, type Candidate, type Evidence, type Reading, type Situation } from './types';

export type Beliefs = Readonly<Record<Candidate, number>>;

/** Shares among houses in which somebody replaces a thermostat. An estimate; one good observation outweighs it. */
export const PRIOR: Beliefs = {
  furnace: 0.2,
  'furnace-ac': 0.33,
  'electric-furnace': 0.07,
  'heat-pump': 0.17,
  boiler: 0.12,
  'line-voltage': 0.06,
  unknown: 0.05
};

export interface Weighed {
  readonly evidence: Evidence;
  readonly reading: Reading;
}

/** The evidence that the situation holds. */
export function weigh(situation: Situation): Weighed[] {
  return EVIDENCE.flatMap((evidence) => {
    const reading = evidence.read(situation);
    return reading ? [{ evidence, reading }] : [];
  });
}

/** Chance of a value in a family, with the family's row normalised. */
export function chance(evidence: Evidence, family: Candidate, value: string): number {
  if (family === 'unknown') return 1 / evidence.values.length;
  const row = evidence.likelihood[family];
  const total = row.reduce((sum, one) => sum + one, 0);
  return (row[evidence.values.findIndex((one) => one.value === value)] ?? 0) / total;
}

export function beliefsFrom(weighed: readonly Weighed[], prior: Beliefs = PRIOR): Beliefs {
  return weighed.reduce((beliefs, one) => update(beliefs, one.evidence, one.reading.value), prior);
}

/** Bayes' rule for one value. */
export function update(beliefs: Beliefs, evidence: Evidence, value: string): Beliefs {
  const posterior = CANDIDATES.map((family) => beliefs[family] * chance(evidence, family, value));
  const total = posterior.reduce((sum, one) => sum + one, 0);
  const entries = CANDIDATES.map((family, index) => [
    family,
    total > 0 ? (posterior[index] ?? 0) / total : beliefs[family]
  ]);
  return Object.fromEntries(entries) as unknown as Beliefs;
}

/** Shannon entropy in bits. */
export function entropy(beliefs: Beliefs): number {
  return CANDIDATES.reduce((sum, family) => {
    const p = beliefs[family];
    return p > 0 ? sum - p * Math.log2(p) : sum;
  }, 0);
}

export interface Ranked {
  readonly family: Candidate;
  readonly probability: number;
}

/** Families by probability, likeliest first. */
export function ranked(beliefs: Beliefs): Ranked[] {
  return CANDIDATES.map((family) => ({ family, probability: beliefs[family] })).sort(
    (a, b) => b.probability - a.probability
  );
}
