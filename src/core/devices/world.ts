/**
 * A world is one way the unknown may be: which family the equipment is, and how its board behaves where nobody can see it. What is not
 * settled is solved in every world that is still believable, and the worst counts.
 */
import type { Family } from '../trade/vocabulary';

export interface World {
  readonly id: string;
  readonly family: Family;
  /** Who runs the blower when heat is called: the board by itself, or nothing but G. */
  readonly blowerInHeat: 'board' | 'g';
  /** Who runs it in cooling. Some boards start it on Y as well; where nobody knows, a proof solves both and the worse counts. */
  readonly blowerInCool: 'board' | 'g';
  /** A compressor hangs on Y. */
  readonly compressor: boolean;
  readonly reversing: 'O' | 'B' | 'none';
  /** The world as a noun, with its article: "a heat pump". */
  readonly says: string;
}

/**
 * Supplies have no known polarity against each other, and their commons may be tied through earth: every case is solved. Bit k of `turned`
 * turns supply k + 1 round against the first.
 */
export interface SupplyCase {
  readonly bonded: boolean;
  readonly turned: number;
  /** Where every value stands within its tolerance; nominal where nothing is said (`circuit/spread.ts`). */
  readonly corner?: CornerId;
}

/**
 * A corner of the tolerances. `weak`: the least voltage everywhere. `strong`: the most. `loaded`: the most current out of every
 * transformer.
 */
export type CornerId = 'weak' | 'strong' | 'loaded';

export const PLAIN_CASE: SupplyCase = { bonded: false, turned: 0 };

/** All cases of so many supplies; with one there is nothing to be turned or bonded against. */
export function supplyCases(supplies: number): readonly SupplyCase[] {
  if (supplies < 2) return [PLAIN_CASE];
  const ways = Array.from({ length: 2 ** (supplies - 1) }, (_, turned) => turned);
  return [false, true].flatMap((bonded) => ways.map((turned) => ({ bonded, turned })));
}

/** The case in words, for the sentence that names the worst one. */
export function caseName({ bonded, turned }: SupplyCase): string {
  return `${turned === 0 ? 'same' : 'opposite'} polarity, commons ${bonded ? 'tied through earth' : 'apart'}`;
}
