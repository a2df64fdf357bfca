/**
 * What a setback saves in a year, and how long a thermostat takes to pay for itself, each with its band. With a heat pump it may cost instead:
 * what its strips take to bring the house back can be more than the lower temperature saved.
 */
import type { Habits } from '../job/survey-schema';
import type { Band, ThermalModel } from './building';
import { balanceOf, compressorW, copAt, type HeatSource } from './heat-source';
import { heatingYear, seasonOf, type Plant, type YearBalance } from './thermal';

export interface Saving {
  /** False where nothing would be set back that is not set back today, or where it saves nothing. */
  readonly possible: boolean;
  /** Why not, in a sentence. */
  readonly why: string | null;
  /** Setting back costs more than it saves, in the middle of the band. */
  readonly costs: boolean;
  /** Heat, and energy bought, less; below 0 where it is more. */
  readonly heatKWh: Band;
  readonly boughtKWh: Band;
  readonly dollars: Band;
  /** Years until the price less the rebate is back; Infinity where nothing is saved, 0 where nothing is laid out. `low` is the soonest. */
  readonly payBackYears: Band;
  /** Heat of the year with and without the setback, kWh, in the middle of the band. */
  readonly withKWh: number;
  readonly withoutKWh: number;
  /** Hours until the house is warm again after the setting is raised, as a rule and on a cold day; null where it never is set back. */
  readonly recovery: { readonly usualH: number; readonly coldH: number } | null;
}

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

const STRIPS_COST =
  'with this heat pump the strips bring the house back, and take more than the lower temperature saves. Keep one setting, or have the thermostat bring the house back without its strips';

/** What the years of a house rest on. */
export interface YearsInput {
  readonly model: ThermalModel;
  readonly habits: Habits;
  /** Outdoors in each hour of the year, °C. */
  readonly hourly: Float64Array;
  readonly source: HeatSource;
}

const ENDS = ['low', 'mid', 'high'] as const;

/** A year of one house within the band, with and without the setback. */
export interface HouseYear {
  readonly isMiddle: boolean;
  readonly without: HeatedYear;
  readonly with: HeatedYear;
}

interface HeatedYear extends Pick<YearBalance, 'heatKWh' | 'recoveries'> {
  readonly boughtKWh: number;
}

export interface SavingInput extends YearsInput {
  /** Price less rebate, dollars, of all thermostats of the house. */
  readonly outlay: number;
}

/** `runs`: the years of the same house, where they are at hand. */
export function savingOf(input: SavingInput, runs: readonly HouseYear[] = yearsOf(input)): Saving {
  const { habits, source, outlay } = input;
  const why = whyNothing(habits);
  const middle = runs.find((run) => run.isMiddle) ?? runs[0]!;
  // With irregular hours some days bring nothing.
  const least = habits.home === 'irregular' ? 0.3 : 1;
  const saved = (what: 'heatKWh' | 'boughtKWh') =>
    bandOf(
      runs.map((run) => run.without[what] - run.with[what]),
      middle.without[what] - middle.with[what],
      least
    );
  const boughtKWh = saved('boughtKWh');
  const dollars = {
    low: boughtKWh.low * (boughtKWh.low >= 0 ? source.price.low : source.price.high),
    mid: boughtKWh.mid * source.price.mid,
    high: boughtKWh.high * (boughtKWh.high >= 0 ? source.price.high : source.price.low)
  };
  const costs = why === null && dollars.mid < 0;
  const years = (perYear: number) =>
    outlay <= 0 ? 0 : perYear < LEAST_DOLLARS ? Infinity : outlay / perYear;
  return {
    possible: why === null && !costs && dollars.high >= LEAST_DOLLARS,
    why: costs ? STRIPS_COST : why,
    costs,
    heatKWh: saved('heatKWh'),
    boughtKWh,
    dollars,
    payBackYears: { low: years(dollars.high), mid: years(dollars.mid), high: years(dollars.low) },
    withKWh: middle.with.heatKWh,
    withoutKWh: middle.without.heatKWh,
    recovery: recoveryOf(middle.with.recoveries)
  };
}

/** Less than this in a year is nothing, dollars. */
const LEAST_DOLLARS = 0.5;

function bandOf(all: readonly number[], mid: number, least: number): Band {
  const low = Math.min(...all);
  return { low: low > 0 ? low * least : low, mid, high: Math.max(...all) };
}

/** Every combination of loss, capacity and efficiency within their bands: which end is worst depends on the house. */
export function yearsOf({ model, habits, hourly, source }: YearsInput): HouseYear[] {
  const setsBack = whyNothing(habits) === null;
  const setting = settingOf(habits);
  const [setBackC, keptC] = [hourly.map((_, hour) => setting(hour)), hourly.map(() => habits.comfortC)];
  const season = seasonOf(hourly, habits.comfortC);
  return ENDS.flatMap((loss) =>
    ENDS.flatMap((capacity) => {
      const lossWPerK = model.lossWPerK[loss];
      const plant: Plant = {
        lossWPerK,
        capacityWhPerK: model.capacityWhPerK[capacity],
        gainsW: model.gainsW,
        // A plate is used as it is; where nobody read it, the heating is taken to be large enough for this loss.
        heatingW: model.heatingKnown ? model.heatingW : Math.max(model.heatingW, lossWPerK * SIZED_K)
      };
      const power = powerOf(source, plant, model.heatingKnown, hourly);
      const year = (settingC: Float64Array) =>
        heatingYear(plant, hourly, {
          settingC,
          comfortC: habits.comfortC,
          solarM2: model.solarM2,
          season,
          ...(power.pumpW && { mostW: power.pumpW.map((pumpW) => pumpW + power.helpsW) })
        });
      // How warm it is does not hang on what is bought for it: one run does for the whole band of efficiency.
      const without = year(keptC);
      const setBack = setsBack ? year(setBackC) : without;
      return ENDS.map((end): HouseYear => {
        const isMiddle = loss === 'mid' && capacity === 'mid' && end === 'mid';
        const bought = ({ heatKWh, recoveries, powerW }: YearBalance): HeatedYear => ({
          heatKWh,
          recoveries,
          boughtKWh: boughtKWh(power, source.efficiency[end], powerW, hourly)
        });
        return { isMiddle, without: bought(without), with: bought(setBack) };
      });
    })
  );
}

/** A heating that nobody read is taken to hold 20 °C indoors against this much less outside, K: estimate. */
const SIZED_K = 40;
/** What strips or a burner beside a heat pump give, as the loss at this difference, K: estimate. */
const HELPER_K = 30;

interface SourcePower {
  /** What a compressor gives at most in each hour, W; null where there is none. */
  readonly pumpW: Float64Array | null;
  /** What helps it in the cold gives: strips, a burner, or nothing; and how much heat for what it takes. */
  readonly helpsW: number;
  readonly helper: number;
}

function powerOf(source: HeatSource, plant: Plant, known: boolean, hourly: Float64Array): SourcePower {
  if (source.kind === 'burner' || source.kind === 'electric') return { pumpW: null, helpsW: 0, helper: 1 };
  const balance = known ? plant.heatingW : balanceOf(plant.lossWPerK);
  const withBurner = source.kind === 'heat-pump-with-burner';
  return {
    pumpW: hourly.map((outdoorC) => compressorW(balance, outdoorC)),
    helpsW: source.strips || withBurner ? plant.lossWPerK * HELPER_K : 0,
    helper: withBurner ? BESIDE_BURNER : 1
  };
}

/** What is bought in a year for this heat, kWh. `powerW`: heat of each hour; `hourly`: outdoors, °C. */
function boughtKWh(
  { pumpW, helper }: SourcePower,
  efficiency: number,
  powerW: Float64Array,
  hourly: Float64Array
): number {
  let bought = 0;
  for (let hour = 0; hour < powerW.length; hour += 1) {
    const heatW = powerW[hour] ?? 0;
    const own = Math.min(heatW, pumpW?.[hour] ?? heatW);
    bought += own / (pumpW ? copAt(efficiency, hourly[hour] ?? 0) : efficiency) + (heatW - own) / helper;
  }
  return bought / 1000;
}

/** The burner of a dual-fuel system: its fuel as if it were bought at the price of electricity, which it is cheaper than. Estimate. */
const BESIDE_BURNER = 1.6;

function recoveryOf(hours: readonly number[]): Saving['recovery'] {
  if (hours.length === 0) return null;
  const sorted = [...hours].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
  return { usualH: at(0.5), coldH: at(0.95) };
}
