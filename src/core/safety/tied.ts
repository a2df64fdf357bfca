/** Supplies that feed each other when one of them is off: solved, and apart from the standing that says so, since a page has no circuit. */
import { backFed, type BackFed } from '../circuit/back-feed';
import { callsOf } from '../devices/calls';
import type { Identification } from '../identify/identify';
import { worldsOf } from '../identify/worlds';
import { isSupply, type Wiring } from '../wiring/graph';

/** Supplies that stay live when they are switched off alone, in any world that is believed: the worst of each. */
export function tiedSupplies(identification: Identification, wiring: Wiring): BackFed[] {
  if (wiring.devices.filter(isSupply).length < 2) return [];
  const worst = new Map<string, BackFed>();
  for (const { world } of worldsOf(identification, wiring))
    for (const fed of backFed(wiring, world, callsOf(world, wiring))) {
      const known = worst.get(fed.device);
      if (!known || known.volts < fed.volts) worst.set(fed.device, fed);
    }
  return [...worst.values()];
}
