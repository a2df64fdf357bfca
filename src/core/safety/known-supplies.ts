/** The supplies of a thermostat, and which feed each other when one is off: worked out apart from the standing, since a page has no circuit. */
import { backFed, type BackFed } from '../circuit/back-feed';
import { callsOf } from '../devices/calls';
import type { Identification } from '../identify/identify';
import { worldsOf } from '../identify/worlds';
import type { Job, Thermostat } from '../job/schema';
import { isSupply, type Wiring } from '../wiring/graph';
import { impliedSupplies, type ImpliedSupply } from './supplies';

export interface KnownSupplies {
  readonly supplies: readonly ImpliedSupply[];
  /** Those that stay live when they are switched off alone. */
  readonly tied: readonly BackFed[];
}

export function knownSupplies(
  job: Job,
  thermostat: Thermostat,
  identification: Identification,
  wiring: Wiring
): KnownSupplies {
  return {
    supplies: impliedSupplies(job, thermostat, identification, wiring),
    tied: tiedSupplies(identification, wiring)
  };
}

/** Supplies that stay live when they are switched off alone, in any world that is believed: the worst of each. */
function tiedSupplies(identification: Identification, wiring: Wiring): BackFed[] {
  if (wiring.devices.filter(isSupply).length < 2) return [];
  const worst = new Map<string, BackFed>();
  for (const { world } of worldsOf(identification, wiring))
    for (const fed of backFed(wiring, world, callsOf(world, wiring))) {
      const known = worst.get(fed.device);
      if (!known || known.volts < fed.volts) worst.set(fed.device, fed);
    }
  return [...worst.values()];
}
