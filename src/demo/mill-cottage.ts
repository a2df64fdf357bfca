/**
 * A made-up house with the work done this morning, and a thermostat that stays dark: what to look at is found under Find out why. All its steps
 * are in the log, as if somebody had ticked them one after the other.
 */
import { emptyEquipment, emptyThermostat, newJob } from '$core/job/create';
import { makeId } from '$core/job/ids';
import type { Job, Thermostat } from '$core/job/schema';
import { screwsFrom } from '$core/job/screws';
import { apply } from '$core/job/steps';
import { doMove } from '$core/plan/doing';
import { planFor } from '$core/plan/plan';
import { conductors } from './lines';

const parlourId = makeId('thermostat', 'parlour');
const furnaceId = makeId('equipment', 'mill-furnace');

const parlour: Thermostat = {
  ...emptyThermostat(parlourId, 'Parlour', [furnaceId]),
  screws: screwsFrom(['R', 'W', 'Y', 'G']),
  oldSupply: 'battery',
  cables: [
    {
      id: makeId('cable', 'parlour'),
      name: 'grey cable',
      gauge: 18,
      lengthM: 12,
      path: 'free',
      insulation: 'sound',
      near: parlourId,
      far: furnaceId
    }
  ],
  conductors: conductors('parlour', parlourId, furnaceId, [
    ['RD', 'R', 'R'],
    ['WH', 'W', 'W'],
    ['YE', 'Y', 'Y'],
    ['GN', 'G', 'G'],
    ['BU', 'coiled', 'coiled']
  ]).map((wire) => (wire.colour === 'BU' ? { ...wire, continuity: 'proven' } : wire)),
  observed: { 'conductor-build': 'thin', 'heat-from': 'registers', 'outdoor-unit': 'rests', flue: 'burner' },
  statedFamily: 'furnace-ac',
  choice: { device: makeId('device', 'fellgate'), method: 'spare-conductor', variant: null }
};

const before: Job = {
  ...newJob(makeId('job', 'mill-cottage'), 'Mill cottage'),
  place: 'behind the weir',
  equipment: [
    {
      ...emptyEquipment(furnaceId, 'Gas furnace'),
      place: 'cellar',
      kind: 'furnace',
      fuel: 'gas',
      screws: screwsFrom(['R', 'C', 'W', 'Y', 'G']),
      transformerVa: 40,
      fuseAmps: 3,
      breaker: 'number 9',
      serviceSwitch: 'at the cellar stair'
    }
  ],
  thermostats: [parlour]
};

const BEGUN = Date.UTC(2026, 9, 3, 8, 5);
const MINUTES_EACH = 5;

/** The job with every step of its plan done, in their order. */
function worked(job: Job): Job {
  let done = job;
  for (let step = 0; ; step += 1) {
    const plan = planFor(done, done.thermostats[0]!);
    const [next] = plan.moves;
    if (!next) return done;
    const at = new Date(BEGUN + step * MINUTES_EACH * 60_000).toISOString();
    done = apply(done, doMove(done, parlourId, plan, next, at));
  }
}

/** Made when it is asked for: it takes a plan for each step. */
export const millCottage = (): Job => worked(before);
