/** A trait: one property of the system besides its family, believed with a doubt of its own. */
import type { Ref } from '../../findings/refs';
import type { Beliefs } from '../beliefs';
import type { Situation } from '../types';

export interface TraitValue {
  readonly value: string;
  readonly label: string;
  readonly probability: number;
}

/** What speaks for a value: how often the clue is seen with each value, in the order of the trait's values. */
export interface Clue {
  readonly sentence: string;
  readonly likelihood: readonly number[];
  readonly because: readonly Ref[];
}

export interface Trait {
  readonly id: TraitId;
  readonly name: string;
  readonly values: readonly TraitValue[];
  /** The likeliest value, or null while none reaches 90 %. */
  readonly decided: string | null;
  readonly clues: readonly Clue[];
  /** What would settle it. */
  readonly settle: string;
}

export const TRAIT_IDS = [
  'heat-stages',
  'cool-stages',
  'reversing-valve',
  'supplies',
  'blower-in-heat'
] as const;
export type TraitId = (typeof TRAIT_IDS)[number];

export interface TraitRule {
  readonly id: TraitId;
  readonly name: string;
  readonly values: readonly { readonly value: string; readonly label: string }[];
  readonly settle: string;
  /** Chance of each value before any clue, from what is believed of the family; null where the trait has no meaning. */
  prior(beliefs: Beliefs): readonly number[] | null;
  clues(situation: Situation): readonly Clue[];
}

/** A question that belongs to a trait; its answer stands among the observations. */
export interface TraitQuestion {
  readonly id: string;
  readonly trait: TraitId;
  readonly ask: string;
  readonly how: string;
  readonly values: readonly { readonly value: string; readonly label: string }[];
}

/** Mixes one row per kind of family by how much is believed of it. */
export function mixed(
  beliefs: Beliefs,
  rows: readonly (readonly [families: readonly (keyof Beliefs)[], row: readonly number[]])[]
): number[] | null {
  const length = rows[0]?.[1].length ?? 0;
  const sum = Array.from({ length }, () => 0);
  let weight = 0;
  for (const [families, row] of rows) {
    const share = families.reduce((total, family) => total + beliefs[family], 0);
    weight += share;
    row.forEach((value, index) => (sum[index] = (sum[index] ?? 0) + share * value));
  }
  return weight < 0.05 ? null : sum.map((value) => value / weight);
}
