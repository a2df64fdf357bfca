/** Copper conductors of thermostat cable. Resistance at 20 °C, ohm per metre of one conductor (IEC 60228 soft copper, AWG sizes). */
import * as v from 'valibot';

export const GAUGES = [16, 18, 20, 22] as const;
export const Gauge = v.picklist(GAUGES, 'a gauge of 16, 18, 20 or 22 AWG');
export type Gauge = v.InferOutput<typeof Gauge>;

const ohmPerMetre: Readonly<Record<Gauge, number>> = { 16: 0.0132, 18: 0.02095, 20: 0.0333, 22: 0.053 };

/** What is assumed where the record is silent: the thinnest gauge and a long run, so that a proof errs on the safe side. */
export const WORST_GAUGE: Gauge = 22;
export const WORST_LENGTH_M = 30;

/** Ohms of one conductor from end to end; unknown gauge or length (metres) counts as the worst. */
export function conductorOhms(gauge: Gauge | null, lengthM: number | null): number {
  return ohmPerMetre[gauge ?? WORST_GAUGE] * (lengthM ?? WORST_LENGTH_M);
}

export const METRES_PER_FOOT = 0.3048;
