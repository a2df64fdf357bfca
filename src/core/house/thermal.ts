/**
 * One heat capacity C (Wh/K) behind one loss H (W/K): C dT/dt = Q + G − H (T − To). Within an hour Q, G and To are constant, and the step is
 * the exact solution, so that a long run keeps its energy balance to rounding:
 *
 *   T(t) = Tend + (T0 − Tend) e^(−t/τ),   Tend = To + (Q + G) / H,   τ = C / H
 *   loss over t = H (mean T − To) t,   mean T = Tend + (T0 − Tend) (τ/t) (1 − e^(−t/τ))
 */

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
  /** Indoor temperature at the end of each hour. */
  readonly indoor: Float64Array;
}

/** Above the comfortable temperature by this much, somebody opens a window. */
const AIRS_ABOVE_K = 4;

/**
 * A year hour by hour with a setting per hour of it. The heating gives what brings the house to the setting by the end of the hour, at
 * most its power; what is warmer than `comfortC` plus 4 K is aired out.
 */
export function heatingYear(
  plant: Plant,
  hourly: Float64Array,
  setting: (hour: number) => number,
  comfortC: number
): YearBalance {
  const tau = plant.capacityWhPerK / plant.lossWPerK;
  const keep = Math.exp(-1 / tau);
  const meanShare = tau * (1 - keep);
  const indoor = new Float64Array(hourly.length);
  const most = comfortC + AIRS_ABOVE_K;
  let now = setting(0);
  const start = now;
  let [heat, loss, aired] = [0, 0, 0];
  for (let hour = 0; hour < hourly.length; hour += 1) {
    const outdoor = hourly[hour] ?? 0;
    const wanted = setting(hour);
    const endWanted = (wanted - now * keep) / (1 - keep);
    const power = Math.min(
      plant.heatingW,
      Math.max(0, plant.lossWPerK * (endWanted - outdoor) - plant.gainsW)
    );
    const end = outdoor + (power + plant.gainsW) / plant.lossWPerK;
    const mean = end + (now - end) * meanShare;
    let next = end + (now - end) * keep;
    heat += power;
    loss += plant.lossWPerK * (mean - outdoor);
    if (next > most) {
      aired += (next - most) * plant.capacityWhPerK;
      next = most;
    }
    indoor[hour] = next;
    now = next;
  }
  return {
    heatKWh: heat / 1000,
    gainsKWh: (plant.gainsW * hourly.length) / 1000,
    lossKWh: loss / 1000,
    storedKWh: ((now - start) * plant.capacityWhPerK) / 1000,
    airedKWh: aired / 1000,
    indoor
  };
}
