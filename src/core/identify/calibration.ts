/** Whether beliefs are what they say: of what is stated at 95 %, how much is right. */
import type { Family } from '../trade/vocabulary';

export interface StatedBelief {
  readonly truth: Family;
  readonly stated: Family;
  /** 0 to 1. */
  readonly probability: number;
}

export interface CalibrationBin {
  /** What was stated, from and to (not included), 0 to 1. */
  readonly from: number;
  readonly to: number;
  readonly count: number;
  /** Mean of what was stated, and the share that was right; NaN where nothing was stated. */
  readonly stated: number;
  readonly right: number;
}

export const BIN_EDGES = [0, 0.4, 0.6, 0.8, 0.9, 0.95, 0.99, 1.0001] as const;

export function calibrationOf(beliefs: readonly StatedBelief[]): CalibrationBin[] {
  return BIN_EDGES.slice(1).map((to, at) => {
    const from = BIN_EDGES[at] ?? 0;
    return binOf(beliefs, from, to);
  });
}

/** All that is stated from a probability on. */
export function binOf(beliefs: readonly StatedBelief[], from: number, to = 1.0001): CalibrationBin {
  const own = beliefs.filter(({ probability }) => probability >= from && probability < to);
  const mean = (figures: readonly number[]) =>
    figures.reduce((sum, figure) => sum + figure, 0) / figures.length;
  return {
    from,
    to,
    count: own.length,
    stated: mean(own.map(({ probability }) => probability)),
    right: mean(own.map(({ truth, stated }) => (truth === stated ? 1 : 0)))
  };
}
