/** Every supply that what is recorded implies, with the ways to cut it. Each is off, and proven off, before a cover comes off. */
import { worldsOf } from '../identify/worlds';
import type { Identification } from '../identify/identify';
import type { SupplyOff } from '../job/reading-schema';
import type { Equipment, Job, Thermostat } from '../job/schema';
import type { Wiring } from '../wiring/graph';

export interface ImpliedSupply {
  readonly id: string;
  readonly name: string;
  /** Why there is one. */
  readonly why: string;
  /** Where to find what cuts it, as far as the inventory says. */
  readonly where: string;
  readonly cuts: readonly SupplyOff['cut'][];
}

/** The id under which an outdoor unit is known that no inventory names yet. */
export const OUTDOOR_ID = 'outdoor-unit';

export function impliedSupplies(
  job: Job,
  thermostat: Thermostat,
  identification: Identification,
  wiring: Wiring
): ImpliedSupply[] {
  const machines = job.equipment.filter(
    (machine) => thermostat.equipment.includes(machine.id) && machine.kind !== 'old-adapter'
  );
  const own = [...machines.map(supplyOf), ...outletSupplies(wiring)];
  const outdoor = outdoorSupply(machines, identification, wiring);
  return outdoor ? [...own, outdoor] : own;
}

/** A supply in an outlet: it is pulled out, no breaker is looked for. */
function outletSupplies(wiring: Wiring): ImpliedSupply[] {
  return wiring.devices
    .filter((device) => device.kind === 'plug-in-transformer')
    .map(({ id, name }) => ({
      id,
      name,
      why: 'it feeds the thermostat from an outlet of its own',
      where: 'pull it out of its outlet',
      cuts: ['plug', 'cannot']
    }));
}

function supplyOf(machine: Equipment): ImpliedSupply {
  const outdoor = machine.kind === 'outdoor-unit';
  const where = [
    machine.breaker === '' ? 'breaker not found yet' : `breaker ${machine.breaker}`,
    machine.serviceSwitch === '' ? '' : `switch ${machine.serviceSwitch}`
  ];
  return {
    id: machine.id,
    name: machine.name,
    why: outdoor
      ? 'an outdoor unit has a breaker of its own'
      : 'its transformer feeds the thermostat’s wires',
    where: where.filter(Boolean).join(', '),
    cuts: outdoor
      ? ['both', 'breaker', 'disconnect', 'cannot']
      : ['both', 'breaker', 'service-switch', 'cannot']
  };
}

/** The outdoor unit that a believable compressor implies, unless the inventory holds one. */
function outdoorSupply(
  machines: readonly Equipment[],
  identification: Identification,
  wiring: Wiring
): ImpliedSupply | null {
  if (machines.some((machine) => machine.kind === 'outdoor-unit')) return null;
  if (!worldsOf(identification, wiring).some((world) => world.world.compressor)) return null;
  return {
    id: OUTDOOR_ID,
    name: 'outdoor unit',
    why: 'a compressor is called through these wires; wherever it stands, it has a breaker of its own',
    where: 'not in the inventory yet',
    cuts: ['both', 'breaker', 'disconnect', 'cannot']
  };
}
