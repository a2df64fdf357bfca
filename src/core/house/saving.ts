/** What a setback saves in a year, and how long a thermostat takes to pay for itself, each with its band. */
import type { Habits } from '../job/survey-schema';
import type { Band, ThermalModel } from './building';
import { heatingYear, type Plant } from './thermal';

export interface Saving {
  /** False where nothing would be set back that is not set back today. */
  readonly possible: boolean;
  /** Why not, in a sentence. */
  readonly why: string | null;
  readonly heatKWh: Band;
  readonly dollars: Band;
  /** Years until the price less the rebate is back; Infinity where nothing is saved. `low` is the soonest. */
  readonly payBackYears: Band;
  /** Heat of the year with and without the setback, kWh, in the middle of the band. */
  readonly withKWh: number;
  readonly withoutKWh: number;
}

/** Usual where nobody knows: a burner of 80 %, a kWh of fuel at 10 cents. */
const USUAL_EFFICIENCY = 0.8;
const USUAL_PRICE = 0.1;

/** True in an hour of the day between two hours, over midnight too. */
function between(hour: number, from: number, to: number): boolean {
  return from <= to ? hour >= from && hour < to : hour >= from || hour < to;
}

/** The setting of each hour of the year that the habits allow, °C. 1 January counts as a Monday. */
export function settingOf(habits: Habits): (hour: number) => number {
  return (hour) => {
    const clock = hour % 24;
    const weekday = Math.floor(hour / 24) % 7 < 5;
    const away = habits.home === 'away-by-day' && weekday && between(clock, habits.awayFrom, habits.awayTo);
    const night = habits.night === 'set-back' && between(clock, habits.nightFrom, habits.nightTo);
    return away || night ? Math.min(habits.comfortC, habits.setbackC) : habits.comfortC;
  };
}

function whyNothing(habits: Habits): string | null {
  if (habits.setbackC >= habits.comfortC) return 'the lower setting is not below the other one';
  if (habits.home === 'always' && habits.night === 'as-by-day')
    return 'somebody is always home and keeps one setting: there is nothing to set back';
  if (habits.home === 'unknown' && habits.night === 'as-by-day')
    return 'as far as is known, one setting is kept day and night';
  if (habits.setsBackToday === 'yes') return 'it is turned down by hand or by clock today already';
  return null;
}

function plants(model: ThermalModel): Plant[] {
  const rest = { gainsW: model.gainsW, heatingW: model.heatingW };
  return (['low', 'mid', 'high'] as const).map((end) => ({
    ...rest,
    heatingW: Math.max(model.heatingW, model.lossWPerK[end] * 40),
    lossWPerK: model.lossWPerK[end],
    capacityWhPerK: model.capacityWhPerK[end]
  }));
}

export interface SavingInput {
  readonly model: ThermalModel;
  readonly habits: Habits;
  readonly hourly: Float64Array;
  readonly efficiency: number | null;
  readonly pricePerKWh: number | null;
  /** Price less rebate, dollars. */
  readonly outlay: number;
}

export function savingOf({ model, habits, hourly, efficiency, pricePerKWh, outlay }: SavingInput): Saving {
  const why = whyNothing(habits);
  const setting = settingOf(habits);
  const constant = () => habits.comfortC;
  const heatOf = (plant: Plant, wanted: (hour: number) => number) =>
    heatingYear(plant, hourly, wanted, habits.comfortC).heatKWh;
  const runs = plants(model).map((plant) => {
    const without = heatOf(plant, constant);
    return { without, with: why === null ? heatOf(plant, setting) : without };
  });
  const saved = runs.map((run) => Math.max(0, run.without - run.with)).sort((a, b) => a - b);
  // With irregular hours some days bring nothing.
  const least = habits.home === 'irregular' ? 0.3 : 1;
  const heatKWh = { low: (saved[0] ?? 0) * least, mid: saved[1] ?? 0, high: saved[2] ?? 0 };
  const perKWh = (pricePerKWh ?? USUAL_PRICE) / (efficiency ?? USUAL_EFFICIENCY);
  // A price or an efficiency that nobody knows is off by a third either way.
  const doubt = pricePerKWh === null || efficiency === null ? 0.33 : 0;
  const dollars = {
    low: heatKWh.low * perKWh * (1 - doubt),
    mid: heatKWh.mid * perKWh,
    high: heatKWh.high * perKWh * (1 + doubt)
  };
  const years = (perYear: number) => (outlay <= 0 ? 0 : perYear < 0.5 ? Infinity : outlay / perYear);
  return {
    possible: why === null && dollars.high >= 0.5,
    why,
    heatKWh,
    dollars,
    payBackYears: { low: years(dollars.high), mid: years(dollars.mid), high: years(dollars.low) },
    withKWh: runs[1]?.with ?? 0,
    withoutKWh: runs[1]?.without ?? 0
  };
}
