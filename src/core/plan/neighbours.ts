/** The other thermostats on the same machines: they draw from the same transformers. */
import { worldOfDevice } from '../devices/world';
import { identify } from '../identify/identify';
import { worldsOf } from '../identify/worlds';
import type { Job, Thermostat } from '../job/schema';
import { ANY_CONNECTED, findDevice } from '../match/catalogue';
import type { ProofNeighbour, Prover } from '../proof/types';
import { situationOf } from '../supply/situation';
import type { Wiring } from '../wiring/graph';
import { jointName } from '../wiring/joint';
import { planIn } from './way-down';

/** What each thermostat will be wired like if nobody changes his mind: kept as long as its part of the record is the same. */
const ends = new WeakMap<
  Thermostat,
  { readonly equipment: Job['equipment']; readonly devices: Job['devices']; readonly wiring: Wiring }
>();

/** The other thermostats on the same machines. */
export function neighboursHere(job: Job, thermostat: Thermostat): Thermostat[] {
  const here = new Set<string>(thermostat.equipment);
  return job.thermostats.filter(
    (other) => other.id !== thermostat.id && other.equipment.some((id) => here.has(id))
  );
}

/** As they will be where one has chosen a device for them, else as they are. */
export function neighboursOf(job: Job, thermostat: Thermostat, prover?: Prover): ProofNeighbour[] {
  return neighboursHere(job, thermostat).map((other) =>
    asNeighbour(job, other, wantedWiring(job, other, prover))
  );
}

/** A thermostat beside another one: its wiring, and how its own machines and its control are. */
export function asNeighbour(job: Job, thermostat: Thermostat, wiring: Wiring): ProofNeighbour {
  const [likeliest] = worldsOf(identify(job, thermostat), wiring);
  const worlds = likeliest
    ? Object.fromEntries(
        wiring.devices.map(({ id }) => [jointName(thermostat.id, id), worldOfDevice(likeliest.world, id)])
      )
    : {};
  return { thermostat: thermostat.id, wiring, worlds };
}

/**
 * The wiring that a place is to end with: of the way taken where a device is chosen, else today's. Taken for itself, so that a way that only
 * its neighbours' load closes still counts as what is wanted.
 */
export function wantedWiring(job: Job, thermostat: Thermostat, prover?: Prover): Wiring {
  const known = ends.get(thermostat);
  if (known && known.equipment === job.equipment && known.devices === job.devices) return known.wiring;
  const situation = situationOf(job, thermostat);
  const wiring = afterAlone(situation, prover) ?? situation.found;
  ends.set(thermostat, { equipment: job.equipment, devices: job.devices, wiring });
  return wiring;
}

function afterAlone(situation: ReturnType<typeof situationOf>, prover?: Prover): Wiring | null {
  const { job, thermostat } = situation;
  const { device, method, variant } = thermostat.choice;
  if (device === null) return null;
  const facts = findDevice(job, device) ?? ANY_CONNECTED;
  const alone = planIn(situation, { device: facts, method, variant, prover, neighbours: [] });
  const taken = alone.options.find((option) => option.method === alone.taken);
  return taken?.verdict === 'no' ? null : (taken?.after ?? null);
}
