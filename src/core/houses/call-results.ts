/** Solved calls written by hand, for tests of what is said of one: each value is there because somebody put it there. */
import type { CallResult, SupplyResult } from '../circuit/simulate';
import { PLAIN_CASE } from '../devices/world';
import type { PartRef } from '../findings/refs';
import type { LoadId } from '../trade/vocabulary';

export const coil = (id: string): PartRef => ({ kind: 'part', id, device: 'eq-1', part: 'coil', mark: 'W1' });

export const supply = (more: Partial<SupplyResult> = {}): SupplyResult => ({
  id: 'eq-1:secondary',
  part: { kind: 'part', id: 'eq-1:secondary', device: 'eq-1', part: 'transformer', mark: null },
  name: 'furnace',
  va: 20,
  amps: 0.8,
  device: 'eq-1',
  nominalVolts: 24,
  voltageClass: '24v',
  ratedVa: 40,
  ratedAmps: 40 / 24,
  leastVa: 40,
  fuseRating: 3,
  fuseOpen: false,
  fuseAmps: null,
  ...more
});

/** A call in which these loads run and all is well, but for what is said otherwise. */
export function solvedCall(running: readonly LoadId[], more: Partial<CallResult> = {}): CallResult {
  return {
    call: 'heat1',
    supplyCase: PLAIN_CASE,
    loads: running.map((id) => ({ id, energised: true, volts: 25 })),
    feeds: [],
    thermostatVolts: 26,
    thermostatFed: true,
    supplies: [supply()],
    islands: [],
    tied: [],
    chattering: [],
    starved: [],
    coils: [],
    dipVolts: 24,
    bounded: true,
    solves: 1,
    ...more
  };
}
