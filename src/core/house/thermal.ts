/**
 * One heat capacity C (Wh/K) behind one loss H (W/K): C dT/dt = Q + G − H (T − To). Within an hour Q, G and To are constant, and the step is
 * the exact solution, so that a long run keeps its energy balance to rounding:
 *
 *   T(t) = Tend + (T0 − Tend) e^(−t/τ),   Tend = To + (Q + G) / H,   τ = C / H
 *   loss over t = H (mean T − To) t,   mean T = Tend + (T0 − Tend) (τ/t) (1 − e^(−t/τ))
 */
import { YEAR_HOURS } from '../job/survey-schema';

export interface Plant {
  readonly lossWPerK: number;
  readonly capacityWhPerK: number;
  readonly gainsW: number;
  /** What the heating gives at most. */
  readonly heatingW: number;
}

/** Hours from `startC` down to `lowestC` at a constant outdoor temperature, heating off; Infinity when it never gets there. */
export function hoursToCool(plant: Plant, startC: number, lowestC: number, outdoorC: number): number {
  const end = outdoorC + plant.gainsW / plant.lossWPerK;
  if (startC <= lowestC) return 0;
  if (end >= lowestC) return Infinity;
  return (plant.capacityWhPerK / plant.lossWPerK) * Math.log((startC - end) / (lowestC - end));
}

/** Indoor temperature for each hour from `startHour` on, heating off; `hours + 1` values, the first is `startC`. */
export function coolingCurve(
  plant: Plant,
  hourly: Float64Array,
  startHour: number,
  hours: number,
  startC: number
): Float64Array {
  const curve = new Float64Array(hours + 1);
  const keep = Math.exp(-plant.lossWPerK / plant.capacityWhPerK);
  curve[0] = startC;
  for (let hour = 0; hour < hours; hour += 1) {
    const outdoor = hourly[(startHour + hour) % hourly.length] ?? 0;
    const end = outdoor + plant.gainsW / plant.lossWPerK;
    curve[hour + 1] = end + ((curve[hour] ?? 0) - end) * keep;
  }
  return curve;
}

/** Hours of a cooling curve until `lowestC`, the last one in part; Infinity when the curve stays above. */
export function hoursAbove(curve: Float64Array, lowestC: number): number {
  for (let hour = 1; hour < curve.length; hour += 1) {
    const [before, after] = [curve[hour - 1] ?? 0, curve[hour] ?? 0];
    if (after < lowestC)
      return before <= lowestC ? hour - 1 : hour - 1 + (before - lowestC) / (before - after);
  }
  return Infinity;
}

export interface YearBalance {
  /** Heat given by the heating, kWh. */
  readonly heatKWh: number;
  readonly gainsKWh: number;
  /** Lost to outdoors, kWh. */
  readonly lossKWh: number;
  /** Put into the house's mass between the first hour and the last, kWh. */
  readonly storedKWh: number;
  /** Let out by opening windows above the setting in warm weather, kWh. */
  readonly airedKWh: number;
  /** Indoor temperature at the end of each hour, and what the heating gave in it, W. */
  readonly indoor: Float64Array;
  readonly powerW: Float64Array;
  /** Hours that it took after each raise of the setting until half a degree was left. */
  readonly recoveries: readonly number[];
}

/** How a year is heated: tables by the hour, so that a year takes no call for each of them. */
export interface Heating {
  /** What is wanted in each hour, °C. */
  readonly settingC: Float64Array;
  readonly comfortC: number;
  /** 1 in the hours in which it is cold enough that anybody heats; worked out from the weather where it is not at hand. */
  readonly season?: Uint8Array;
  /** What the heating gives at most, W; that of the plant where nothing is said. */
  readonly mostW?: Float64Array;
  /** Window that the sun comes through, m², as `ThermalModel.solarM2`. */
  readonly solarM2?: number;
}

/** Above the comfortable temperature by this much, somebody opens a window. */
const AIRS_ABOVE_K = 4;
/** Nobody heats when the last three days were, on average, less than this below what is wanted: sun and people make up for it. */
const HEATS_BELOW_K = 4;
const TRAILING_HOURS = 72;
/** Mean of the sun on walls over a day, W/m², in midwinter and midsummer at 45 degrees of latitude: usual tables. */
const SUN = { winter: 50, summer: 110 } as const;
const SUN_FROM = 8;
const SUN_HOURS = 8;
/** A room is back when so little is left. */
const BACK_WITHIN_K = 0.5;

/** Mean sun on the walls in an hour of the year, W/m². */
export function sunAt(hour: number): number {
  const clock = hour % 24;
  if (clock < SUN_FROM || clock >= SUN_FROM + SUN_HOURS) return 0;
  const season = (1 - Math.cos((2 * Math.PI * (Math.floor(hour / 24) + 10)) / 365)) / 2;
  return ((SUN.winter + (SUN.summer - SUN.winter) * season) * 24) / SUN_HOURS;
}

/** `sunAt` of each hour: the same for every house, made when first asked for. */
let sun: Float64Array | null = null;

/**
 * A year hour by hour. The heating gives what brings the house to the setting by the end of the hour, at most its power, and nothing in
 * weather in which nobody heats; what is warmer than comfortable plus 4 K is aired out.
 */
export function heatingYear(plant: Plant, hourly: Float64Array, heating: Heating): YearBalance {
  const { settingC, comfortC, solarM2 = 0, mostW } = heating;
  const tau = plant.capacityWhPerK / plant.lossWPerK;
  const keep = Math.exp(-1 / tau);
  const meanShare = tau * (1 - keep);
  const [indoor, powerW] = [new Float64Array(hourly.length), new Float64Array(hourly.length)];
  sun ??= Float64Array.from({ length: YEAR_HOURS }, (_, hour) => sunAt(hour));
  const most = comfortC + AIRS_ABOVE_K;
  const season = heating.season ?? seasonOf(hourly, comfortC);
  const recovery = new Recovery();
  let now = settingC[0] ?? comfortC;
  const start = now;
  let [heat, gains, loss, aired] = [0, 0, 0, 0];
  for (let hour = 0; hour < hourly.length; hour += 1) {
    const outdoor = hourly[hour] ?? 0;
    const wanted = settingC[hour] ?? comfortC;
    const gain = plant.gainsW + solarM2 * (sun[hour % YEAR_HOURS] ?? 0);
    const endWanted = (wanted - now * keep) / (1 - keep);
    const asked = season[hour] ? Math.max(0, plant.lossWPerK * (endWanted - outdoor) - gain) : 0;
    const power = Math.min(mostW?.[hour] ?? plant.heatingW, asked);
    const end = outdoor + (power + gain) / plant.lossWPerK;
    const mean = end + (now - end) * meanShare;
    let next = end + (now - end) * keep;
    heat += power;
    gains += gain;
    loss += plant.lossWPerK * (mean - outdoor);
    if (next > most) {
      aired += (next - most) * plant.capacityWhPerK;
      next = most;
    }
    recovery.note(wanted, next, asked > 0);
    indoor[hour] = next;
    powerW[hour] = power;
    now = next;
  }
  return {
    heatKWh: heat / 1000,
    gainsKWh: gains / 1000,
    lossKWh: loss / 1000,
    storedKWh: ((now - start) * plant.capacityWhPerK) / 1000,
    airedKWh: aired / 1000,
    indoor,
    powerW,
    recoveries: recovery.hours
  };
}

/** 1 in the hours in which it is cold enough that anybody heats, by the mean of the last three days. */
export function seasonOf(hourly: Float64Array, comfortC: number): Uint8Array {
  const { length } = hourly;
  const before = (hour: number) => hourly[(hour - TRAILING_HOURS + length) % length] ?? 0;
  const heats = new Uint8Array(length);
  let sum = 0;
  for (let back = 0; back < TRAILING_HOURS; back += 1) sum += before(back);
  for (let hour = 0; hour < length; hour += 1) {
    sum += (hourly[hour] ?? 0) - before(hour);
    heats[hour] = sum / TRAILING_HOURS < comfortC - HEATS_BELOW_K ? 1 : 0;
  }
  return heats;
}

/** Counts the hours from each raise of the setting until the house is back. */
class Recovery {
  readonly hours: number[] = [];
  private before = NaN;
  private since = -1;

  note(wanted: number, indoorC: number, heating: boolean): void {
    if (wanted > this.before && heating) this.since = 0;
    if (wanted < this.before) this.since = -1;
    this.before = wanted;
    if (this.since < 0) return;
    this.since += 1;
    if (indoorC < wanted - BACK_WITHIN_K) return;
    this.hours.push(this.since);
    this.since = -1;
  }
}
