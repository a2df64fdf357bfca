/** What thermostat cable costs: one table, wherever a price is shown. By the roll as shops sell it, or by the metre beyond the longest. */

/** Rolls in the shops: metres, and the price of a metre against the shortest roll's. */
export const ROLLS: readonly { readonly lengthM: number; readonly factor: number }[] = [
  { lengthM: 15, factor: 1 },
  { lengthM: 30, factor: 0.9 },
  { lengthM: 75, factor: 0.75 },
  { lengthM: 150, factor: 0.65 }
];

/** Usual price of a metre on the shortest roll: a sheath, and so much for each conductor. Dollars. */
const SHEATH = 0.3;
const CONDUCTOR = 0.35;

export type Roll = (typeof ROLLS)[number];

export function rollPrice({ lengthM, factor }: Roll, conductors: number): number {
  return Math.round(lengthM * factor * (SHEATH + CONDUCTOR * conductors));
}

/** The cheapest roll that holds so many metres; null where none does. */
export function rollHolding(lengthM: number, conductors: number): Roll | null {
  const [roll] = ROLLS.filter((candidate) => candidate.lengthM >= lengthM).sort(
    (a, b) => rollPrice(a, conductors) - rollPrice(b, conductors)
  );
  return roll ?? null;
}

/** Dollars for one run by itself: the cheapest roll that holds it, or by the metre where none does. */
export function runPrice(lengthM: number, conductors: number): number {
  const roll = rollHolding(lengthM, conductors);
  return roll ? rollPrice(roll, conductors) : rollPrice({ lengthM, factor: 1 }, conductors);
}
