/** What each layout has to do in each row: the yardstick of today's wiring and of every plan. */
import type { Layout } from '../../trade/mains';
import type { MainsRow } from './rows';
import type { RowOutcome } from './ways';

export interface RowExpected {
  /** Null: either is right. */
  readonly heatingWay: boolean | null;
  readonly waterWay: boolean | null;
  readonly boiler: boolean | null;
  readonly pump: boolean;
}

/** Null where the layout is not known: nothing is expected of a house that nobody can name. */
export function expectedOf(layout: Layout, row: MainsRow): RowExpected | null {
  const rooms = Object.values(row.rooms);
  const wanted = row.heating && (rooms.length === 0 || rooms.some(Boolean));
  const heat = wanted || row.frost;
  const water = row.water && row.cylinder;
  const runs = heat || water;
  switch (layout) {
    case 'two-valve':
      return { heatingWay: heat, waterWay: water, boiler: runs, pump: runs };
    case 'mid-position':
      return {
        // At rest it stands on hot water or where it was: with nothing running no position is wrong.
        heatingWay: runs ? heat : null,
        waterWay: runs ? water : null,
        boiler: runs,
        pump: runs
      };
    case 'combination':
    case 'heating-only':
      return { heatingWay: heat ? true : null, waterWay: null, boiler: heat, pump: heat };
    case 'gravity-water':
      // Heating cannot run without hot water: where it is asked for, the boiler fires and the cylinder warms by itself. With every room warm an
      // old timer keeps it firing, and a controller that stands in for the thermostat does not: both are right.
      return {
        heatingWay: heat,
        waterWay: null,
        boiler: row.heating && !wanted && !row.water && !row.frost ? null : row.water || heat,
        pump: heat
      };
    case 'unknown':
      return null;
  }
}

/** What differs from what it has to be; empty where the row is right. */
export function amiss(state: RowOutcome, expected: RowExpected): ('heating' | 'water' | 'boiler' | 'pump')[] {
  const wrongWay = (way: RowOutcome['heatingWay'], wanted: boolean | null) =>
    wanted !== null && (wanted ? way !== 'open' : way === 'open');
  return [
    ...(wrongWay(state.heatingWay, expected.heatingWay) ? (['heating'] as const) : []),
    ...(wrongWay(state.waterWay, expected.waterWay) ? (['water'] as const) : []),
    ...(expected.boiler !== null && state.boiler !== expected.boiler ? (['boiler'] as const) : []),
    ...(state.pump !== expected.pump ? (['pump'] as const) : [])
  ];
}
