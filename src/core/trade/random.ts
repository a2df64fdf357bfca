/** Chance for tests and simulations: the same seed gives the same numbers. */
export interface Chance {
  /** Evenly spread, at least 0 and below 1. */
  next(): number;
  happens(share: number): boolean;
  pick<T>(items: readonly T[]): T;
  /** One of the keys, by its weight. */
  weighted<T extends string>(weights: Readonly<Record<T, number>>): T;
}

/** The generator known as mulberry32: 32 bits of state, good enough for drawing houses, not for secrets. */
export function chanceFrom(seed: number): Chance {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    happens: (share) => next() < share,
    pick: (items) => items[Math.floor(next() * items.length)]!,
    weighted: (weights) => {
      const entries = Object.entries(weights) as [keyof typeof weights, number][];
      let left = next() * entries.reduce((sum, [, weight]) => sum + weight, 0);
      for (const [key, weight] of entries) {
        left -= weight;
        if (left < 0) return key;
      }
      return entries[entries.length - 1]![0];
    }
  };
}
