/**
 * Cable as it is sold: whole rolls. All runs of a job that are of one kind are cut from the same rolls, and short pieces come from what is
 * left over.
 *
 * Exact for few runs: the cheapest price of every set of runs is built up from the cheapest roll that holds some of them and the cheapest
 * price of the others (sets as bit masks, 3ⁿ steps). More than `MOST_EXACT` runs of one kind are packed longest first into the roll that is
 * cheapest by the metre, and each roll is then exchanged for the smallest that holds its runs.
 */
import type { CableRun } from '../supply/types';
import { rollHolding, rollPrice, ROLLS } from '../trade/cable-prices';

const MOST_EXACT = 10;
/** What a short piece takes from a rest, metres. */
const PIECE_M = 0.2;

/** A run with whose it is, so that one finds it again. */
export interface NamedRun extends CableRun {
  readonly for: string;
}

export interface CutRoll {
  readonly conductors: number;
  readonly gauge: number;
  readonly lengthM: number;
  /** Dollars. */
  readonly cost: number;
  readonly runs: readonly NamedRun[];
  readonly restM: number;
}

export interface Cuts {
  readonly rolls: readonly CutRoll[];
  /** Runs longer than any roll: one asks for them by the metre. */
  readonly byTheMetre: readonly NamedRun[];
  /** True when the short pieces can be cut from what is left over. */
  readonly piecesFromRest: boolean;
}

/** `pieces`: how many short pieces of single conductor the moves ask for. */
export function cutsFor(runs: readonly NamedRun[], pieces = 0): Cuts {
  const longest = Math.max(...ROLLS.map((roll) => roll.lengthM));
  const fitting = runs.filter((run) => run.lengthM <= longest);
  const kinds = new Map<string, NamedRun[]>();
  for (const run of fitting) {
    const kind = `${run.conductors} ${run.gauge}`;
    kinds.set(kind, [...(kinds.get(kind) ?? []), run]);
  }
  const rolls = [...kinds.values()].flatMap((same) =>
    same.length <= MOST_EXACT ? cheapest(same) : packed(same)
  );
  return {
    rolls,
    byTheMetre: runs.filter((run) => run.lengthM > longest),
    piecesFromRest: rolls.some((roll) => roll.restM * roll.conductors >= pieces * PIECE_M)
  };
}

function lengthOf(runs: readonly NamedRun[]): number {
  return runs.reduce((sum, run) => sum + run.lengthM, 0);
}

/** The cheapest single roll that holds these runs, or null when none does. */
function rollFor(runs: readonly NamedRun[]): CutRoll | null {
  const [first] = runs;
  if (!first) return null;
  const { conductors, gauge } = first;
  const needed = lengthOf(runs);
  const roll = rollHolding(needed, conductors);
  if (!roll) return null;
  const { lengthM } = roll;
  return { conductors, gauge, lengthM, cost: rollPrice(roll, conductors), runs, restM: lengthM - needed };
}

/** The set of rolls with the least price, by sets of runs. */
function cheapest(runs: readonly NamedRun[]): CutRoll[] {
  const all = 2 ** runs.length - 1;
  const some = (mask: number) => runs.filter((_, at) => (mask & (1 << at)) !== 0);
  const single = Array.from({ length: all + 1 }, (_, mask) => rollFor(some(mask)));
  const best: { cost: number; first: number }[] = [{ cost: 0, first: 0 }];
  for (let mask = 1; mask <= all; mask += 1) {
    const lowest = mask & -mask;
    let found = { cost: Infinity, first: mask };
    // Every part of the set that holds its lowest run: one roll for the part, the best for the rest.
    for (let part = mask; part > 0; part = (part - 1) & mask) {
      const roll = (part & lowest) === 0 ? null : single[part];
      const cost = roll ? roll.cost + (best[mask ^ part]?.cost ?? Infinity) : Infinity;
      if (cost < found.cost) found = { cost, first: part };
    }
    best[mask] = found;
  }
  const rolls: CutRoll[] = [];
  for (let mask = all; mask > 0;) {
    const { first } = best[mask]!;
    rolls.push(single[first]!);
    mask ^= first;
  }
  return rolls;
}

function packed(runs: readonly NamedRun[]): CutRoll[] {
  const big = ROLLS.reduce((best, roll) => (roll.factor < best.factor ? roll : best));
  const bins: NamedRun[][] = [];
  for (const run of [...runs].sort((a, b) => b.lengthM - a.lengthM)) {
    const bin = bins.find((candidate) => lengthOf(candidate) + run.lengthM <= big.lengthM);
    if (bin) bin.push(run);
    else bins.push([run]);
  }
  return bins.flatMap((bin) => rollFor(bin) ?? []);
}
