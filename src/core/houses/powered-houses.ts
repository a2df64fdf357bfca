/** Houses ready to be powered up, for tests and measurements that start at the circuit. */
import { identify } from '../identify/identify';
import { worldsOf } from '../identify/worlds';
import type { Job, Thermostat } from '../job/schema';
import { CATALOGUE } from '../match/catalogue';
import { planFor } from '../plan/plan';
import { assumeUnseenEnds, wiringOf } from '../wiring/from-job';
import { boardOf, plug, strandOf, thermostatOf, wiringFrom, worldOf } from './hand-wired';
import type { PoweredHouse } from './half-wave-houses';

/** The wiring that the recommended plan of a record leaves, in the likeliest world. Throws where there is none. */
export function plannedHouse(job: Job, thermostat: Thermostat): PoweredHouse {
  const identification = identify(job, thermostat);
  const { wiring: before } = assumeUnseenEnds(wiringOf(job, thermostat));
  const [world] = worldsOf(identification, before);
  const wiring = planFor(job, thermostat, {}).wiringAfter;
  if (!world || !wiring) throw new Error(`${thermostat.name} has no plan`);
  return { wiring, world: world.world };
}

const fellgate = CATALOGUE.find((device) => device.id === 'de-fellgate');

function fellgateOn(id: string) {
  if (!fellgate) throw new Error('No de-fellgate in the catalogue');
  return thermostatOf(fellgate, id);
}

/** Furnace on RH, a plug-in supply on RC and C: two supplies of unknown polarity and bonding. */
export function twoSupplyHouse(): PoweredHouse {
  return {
    world: worldOf('furnace'),
    wiring: wiringFrom({
      devices: [fellgateOn('th'), boardOf('eq', ['R', 'C', 'W', 'G']), plug],
      strands: [
        strandOf('co-1', ['th', 'RH'], ['eq', 'R']),
        strandOf('co-2', ['th', 'W'], ['eq', 'W']),
        strandOf('co-3', ['th', 'RC'], ['plug', 'R'], 3),
        strandOf('co-4', ['th', 'C'], ['plug', 'C'], 3)
      ],
      links: []
    })
  };
}

/** A panel of valves with so many zones, a thermostat on each, all on one transformer. */
export function zonedHouse(zones: number): PoweredHouse {
  const marks = Array.from({ length: zones }, (_, at) => `Z${at + 1}`);
  const panel = boardOf('panel', ['R', 'C', ...marks], {
    machine: 'zone-panel',
    transformerVa: Math.max(40, 20 * zones),
    fuseAmps: 100
  });
  const thermostats = marks.map((_, at) => fellgateOn(`th-${at + 1}`));
  const wiring = wiringFrom({
    devices: [...thermostats, panel],
    // Each zone has a cable of its own: wires touch only within one.
    strands: marks.flatMap((mark, at) =>
      [
        strandOf(`r-${at + 1}`, [`th-${at + 1}`, 'RH'], ['panel', 'R']),
        strandOf(`w-${at + 1}`, [`th-${at + 1}`, 'W'], ['panel', mark]),
        strandOf(`c-${at + 1}`, [`th-${at + 1}`, 'C'], ['panel', 'C'])
      ].map((strand) => ({ ...strand, cable: `ca-${at + 1}` }))
    ),
    links: marks.map((_, at) => ({
      id: `clip-${at + 1}`,
      at: 'wall',
      a: `th-${at + 1}.RH`,
      b: `th-${at + 1}.RC`,
      kind: 'clip' as const
    }))
  });
  return { wiring, world: worldOf('boiler') };
}
