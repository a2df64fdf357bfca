/** The way of a new cable: length with slack, conductors, gauge by voltage drop, what to buy. Metres, volts. */
import type { CablePath } from '../job/survey-schema';
import { conductorOhms, GAUGES, type Gauge } from '../trade/cable';

export interface CableAdvice {
  /** Sum of the stretches. */
  readonly wayM: number;
  /** With what goes round corners and is stripped at both ends. */
  readonly lengthM: number;
  readonly stapled: readonly string[];
  readonly unknown: readonly string[];
  /** Conductors of the cable to buy, out of the sizes sold. */
  readonly conductors: number;
  /** The thinnest gauge that keeps the drop below the limit; null where none of them does. */
  readonly gauge: Gauge | null;
  /** Volts lost there and back at the current taken, for each gauge. */
  readonly drops: readonly { readonly gauge: Gauge; readonly volts: number }[];
  readonly buy: string;
}

/** A tenth more for corners, and half a metre at each end. */
const SLACK_SHARE = 0.1;
const END_M = 0.5;
const SOLD = [2, 3, 4, 5, 8, 10, 12] as const;
/** The largest current that one conductor of the house carries: 20 VA at 24 V. */
export const DESIGN_AMPS = 20 / 24;
/** Five per cent of 24 V, there and back. */
export const MOST_DROP_V = 1.2;

export function cableAdvice(path: CablePath, conductorsNow: number): CableAdvice {
  const wayM = path.stretches.reduce((sum, stretch) => sum + stretch.lengthM, 0);
  const lengthM = wayM === 0 ? 0 : Math.ceil(wayM * (1 + SLACK_SHARE) + 2 * END_M);
  const needed = Math.max(2, conductorsNow + path.more);
  const conductors = SOLD.find((candidate) => candidate >= needed) ?? needed;
  const drops = [...GAUGES]
    .sort((a, b) => b - a)
    .map((gauge) => ({ gauge, volts: 2 * conductorOhms(gauge, lengthM) * DESIGN_AMPS }));
  const gauge = drops.find((drop) => drop.volts <= MOST_DROP_V)?.gauge ?? null;
  // 18 AWG is what the trade pulls; thinner is only what exists.
  const bought: Gauge = gauge === null ? 16 : gauge > 18 ? 18 : gauge;
  return {
    wayM,
    lengthM,
    stapled: path.stretches.filter((stretch) => stretch.held === 'stapled').map((stretch) => stretch.name),
    unknown: path.stretches.filter((stretch) => stretch.held === 'unknown').map((stretch) => stretch.name),
    conductors,
    gauge,
    drops,
    buy:
      lengthM === 0
        ? ''
        : `${lengthM} m of listed thermostat cable, ${conductors} wires, ${bought} AWG solid; a pull line of the same length`
  };
}
