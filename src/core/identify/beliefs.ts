/**
 * Beliefs: a probability per family of systems, from weighed evidence.
 *
 * Each piece of evidence multiplies the odds by how often its value is met in that family (Bayes' rule). Pieces that come from one witness
 * are not independent: the letters of a plate, and that wires are on the screws beside them, say much the same thing. Of those the one that
 * says most counts whole, and each other only with a part of its weight. `unknown` stands for whatever is none of the families: every value is equally likely there, so it gains when the evidence
 * fits none of the others. A chance of exactly 0 excludes: after a reading of 27 V, nothing makes it mains again.
 */
import { posterior } from '../belief/bayes';
import { EVIDENCE } from './evidence/registry';
import {
  CANDIDATES,
  WALL_UNSEEN,
  type Candidate,
  type Evidence,
  type Reading,
  type Situation
} from './types';

export type Beliefs = Readonly<Record<Candidate, number>>;

/** Shares among houses in which somebody replaces a thermostat. An estimate; one good observation outweighs it. */
export const PRIOR: Beliefs = {
  furnace: 0.18,
  'furnace-ac': 0.29,
  'electric-furnace': 0.06,
  'heat-pump': 0.14,
  'dual-fuel': 0.03,
  boiler: 0.09,
  steam: 0.02,
  'boiler-plus-ac': 0.03,
  'cooling-only': 0.01,
  'contact-heater': 0.01,
  communicating: 0.02,
  'line-voltage': 0.04,
  millivolt: 0.015,
  'mains-hydronic': 0.015,
  unknown: 0.05
};

export interface Weighed {
  readonly evidence: Evidence;
  readonly reading: Reading;
}

/** The evidence that the situation holds. */
export function weigh(situation: Situation, evidence: readonly Evidence[] = EVIDENCE): Weighed[] {
  return evidence.flatMap((piece) => {
    const reading = piece.read(situation);
    return reading ? [{ evidence: piece, reading }] : [];
  });
}

const tables = new WeakMap<Evidence, readonly Float64Array[]>();

/** One row per value of the evidence: its chance in each family, in the order of `CANDIDATES`, each family's chances adding up to 1. */
export function chanceTable(evidence: Evidence): readonly Float64Array[] {
  const known = tables.get(evidence);
  if (known) return known;
  const count = evidence.values.length;
  const table = evidence.values.map((_, value) =>
    Float64Array.from(CANDIDATES, (family) => {
      if (family === 'unknown') return 1 / count;
      const row = evidence.likelihood[family];
      return (row[value] ?? 0) / row.reduce((sum, value) => sum + value, 0);
    })
  );
  tables.set(evidence, table);
  return table;
}

/** The chances of a value in each family; undefined for a value that the evidence does not have. */
function rowOf(evidence: Evidence, value: string): ArrayLike<number> | undefined {
  const table = chanceTable(evidence);
  const at = (wanted: string) =>
    table[evidence.values.findIndex((evidenceValue) => evidenceValue.value === wanted)];
  if (value !== WALL_UNSEEN) return at(value);
  const [both, wallOnly] = [at('both'), at('wall-only')];
  return both && wallOnly && both.map((share, index) => share + (wallOnly[index] ?? 0));
}

/** Chance of a value in a family. */
export function chance(evidence: Evidence, family: Candidate, value: string): number {
  return rowOf(evidence, value)?.[CANDIDATES.indexOf(family)] ?? 0;
}

/** The share of its weight that a piece keeps beside a stronger one of the same witness. */
const REPEATED = 0.4;

/**
 * The share of its weight that an answer counts with: people mistake what they look at, and one mistake goes with the next. Set so that of what
 * is stated at 95 % or more, 95 % is right in half-seen houses (`npm run bench -- calibration`).
 */
const ASKED = 0.85;

export function beliefsFrom(weighed: readonly Weighed[], prior: Beliefs = PRIOR): Beliefs {
  const alone = weighed.filter((candidate) => candidate.evidence.witness === undefined);
  const letters = weighed
    .filter((candidate) => candidate.evidence.witness !== undefined)
    .map((weighed) => ({ weighed, says: strength(weighed) }))
    .sort((a, b) => b.says - a.says || a.weighed.evidence.id.localeCompare(b.weighed.evidence.id));
  const first = alone.reduce(
    (beliefs, weighed) =>
      update(beliefs, weighed.evidence, weighed.reading.value, weighed.evidence.kind === 'asked' ? ASKED : 1),
    prior
  );
  return letters.reduce(
    (beliefs, { weighed }, at) =>
      update(beliefs, weighed.evidence, weighed.reading.value, at === 0 ? 1 : REPEATED),
    first
  );
}

/** How much a piece says: the spread of its log chances over the families, so that the order does not hang on what is believed. */
function strength({ evidence, reading }: Weighed): number {
  const row = Array.from(rowOf(evidence, reading.value) ?? [], (share) => Math.log2(Math.max(share, 1e-6)));
  const mean = row.reduce((sum, value) => sum + value, 0) / (row.length || 1);
  return row.reduce((sum, value) => sum + (value - mean) ** 2, 0);
}

/**
 * Bayes' rule for one value, its chances raised to a power below 1 where it repeats what was heard already. Where the value excludes every
 * family, nothing is learned from it.
 */
export function update(beliefs: Beliefs, evidence: Evidence, value: string, weight = 1): Beliefs {
  const whole = rowOf(evidence, value);
  if (!whole) return beliefs;
  const row = weight === 1 ? whole : Array.from(whole, (share) => share ** weight);
  const after = posterior(
    CANDIDATES.map((family) => beliefs[family]),
    row
  );
  return Object.fromEntries(
    CANDIDATES.map((family, index) => [family, after[index] ?? 0])
  ) as unknown as Beliefs;
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
