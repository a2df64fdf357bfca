/**
 * What makes the heat, as far as money is concerned: heat for a unit of energy bought, and what it gives at most, by outdoor temperature. A heat
 * pump gives less and takes more the colder it is, and what it cannot give its strips do, at one unit for one.
 */
import type { Equipment } from '../job/schema';
import type { Family } from '../trade/vocabulary';
import type { Band } from './building';

export type SourceKind = 'burner' | 'electric' | 'heat-pump' | 'heat-pump-with-burner';

export interface HeatSource {
  readonly kind: SourceKind;
  /** Heat for a unit bought, of a burner, of strips, or of a heat pump over a season. */
  readonly efficiency: Band;
  /** Price of a unit bought, dollars a kWh. */
  readonly price: Band;
  /** Resistance strips help a heat pump. */
  readonly strips: boolean;
}

type Fuel = Equipment['fuel'];

/** Seasonal efficiencies by usual plates: what is in houses, old and new. */
const BURNERS: Readonly<Partial<Record<Fuel, Band>>> = {
  gas: { low: 0.78, mid: 0.86, high: 0.96 },
  propane: { low: 0.78, mid: 0.86, high: 0.96 },
  oil: { low: 0.72, mid: 0.81, high: 0.87 }
};
const ANY_BURNER: Band = { low: 0.72, mid: 0.83, high: 0.96 };
const STRIPS: Band = { low: 1, mid: 1, high: 1 };
/** Of an air-source heat pump over a cold season. */
const PUMP: Band = { low: 2.2, mid: 2.8, high: 3.6 };

/** Dollars a kWh, as wide as they are between places and years: estimates. */
const PRICES: Readonly<Partial<Record<Fuel, Band>>> = {
  gas: { low: 0.03, mid: 0.05, high: 0.1 },
  propane: { low: 0.08, mid: 0.11, high: 0.18 },
  oil: { low: 0.08, mid: 0.1, high: 0.15 },
  electricity: { low: 0.1, mid: 0.17, high: 0.35 }
};
const ANY_PRICE: Band = { low: 0.03, mid: 0.1, high: 0.35 };

/** What somebody gave as a figure may still be off by so much: plates age, prices move. */
const STATED_SPREAD = 0.1;

export interface SourceFacts {
  readonly family: Family;
  readonly fuel: Fuel;
  /** Strips or auxiliary heat are there, as far as is known. */
  readonly strips: boolean;
  /** As answered; null where nobody knows. */
  readonly efficiency: number | null;
  readonly pricePerKWh: number | null;
}

export function heatSourceOf({ family, fuel, strips, efficiency, pricePerKWh }: SourceFacts): HeatSource {
  const kind = kindOf(family, fuel);
  const bought: Fuel = kind === 'burner' ? fuel : 'electricity';
  const usual = {
    burner: BURNERS[fuel] ?? ANY_BURNER,
    electric: STRIPS,
    'heat-pump': PUMP,
    'heat-pump-with-burner': PUMP
  };
  return {
    kind,
    efficiency: efficiency === null ? usual[kind] : about(efficiency),
    price: pricePerKWh === null ? (PRICES[bought] ?? ANY_PRICE) : about(pricePerKWh),
    strips: kind === 'heat-pump' && strips
  };
}

function kindOf(family: Family, fuel: Fuel): SourceKind {
  if (family === 'heat-pump') return 'heat-pump';
  if (family === 'dual-fuel') return 'heat-pump-with-burner';
  if (family === 'electric-furnace' || fuel === 'electricity') return 'electric';
  return 'burner';
}

function about(figure: number): Band {
  return { low: figure * (1 - STATED_SPREAD), mid: figure, high: figure * (1 + STATED_SPREAD) };
}

/** The outdoor temperature at which a heat pump does as over the season, and by how much it does better for each degree: usual curves. */
const SEASON_C = 3;
const COP_PER_K = 0.055;
const SEASON_COP = 2.8;
const LEAST_COP = 1.1;

/** Heat for a unit bought at an outdoor temperature, of a heat pump that does `seasonal` over the season. */
export function copAt(seasonal: number, outdoorC: number): number {
  return Math.max(LEAST_COP, (seasonal / SEASON_COP) * (SEASON_COP + COP_PER_K * (outdoorC - SEASON_C)));
}

/** The compressor gives 2 % of its heat more or less for each degree, and gives what the house loses at -5 °C where nobody knows better. */
const CAPACITY_PER_K = 0.02;
const BALANCE_C = -5;

/** Heat that a compressor gives at most, W. `balanceW`: what it gives at -5 °C. */
export function compressorW(balanceW: number, outdoorC: number): number {
  return balanceW * Math.min(1.5, Math.max(0.5, 1 + CAPACITY_PER_K * (outdoorC - BALANCE_C)));
}

/** Indoor temperature that the size of machines is reckoned for, °C. */
const INSIDE_C = 20;

/** What the compressor of a house with this loss gives at -5 °C, W. */
export function balanceOf(lossWPerK: number): number {
  return lossWPerK * (INSIDE_C - BALANCE_C);
}
