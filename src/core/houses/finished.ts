/** Houses whose work is done: planned with a thermostat, every step in the log. */
import { makeId } from '../job/ids';
import type { Job, Thermostat } from '../job/schema';
import { apply } from '../job/steps';
import { finishedOf, type Finished } from '../handover/subject';
import { doMove } from '../plan/doing';
import { planFor, type Plan } from '../plan/plan';
import type { MethodId } from '../trade/vocabulary';
import type { House } from './builder';

/** No list of the catalogue's houses has half as many. */
const MOST_STEPS = 80;
const BEGUN = Date.UTC(2026, 9, 3, 8, 0);

export interface FinishedHouse extends House {
  readonly plan: Plan;
}

/** With a thermostat of the catalogue (`fellgate`) chosen, and a way where one is named; nothing done yet. */
export function chosen(
  { job, thermostat }: House,
  device: string,
  method: MethodId | null = null
): FinishedHouse {
  const choice = { device: makeId('device', device), method, variant: null };
  const place: Thermostat = { ...thermostat, choice };
  const made: Job = {
    ...job,
    thermostats: job.thermostats.map((other) => (other.id === place.id ? place : other))
  };
  return { job: made, thermostat: place, plan: planFor(made, place) };
}

/** The same with every step done, one a minute. */
export function worked(made: House): FinishedHouse {
  let { job } = made;
  const { id } = made.thermostat;
  for (let minute = 0; ; minute += 1) {
    const place = job.thermostats.find((candidate) => candidate.id === id)!;
    const plan = planFor(job, place);
    const [next] = plan.moves;
    if (!next) return { job, thermostat: place, plan };
    if (minute > MOST_STEPS) throw new Error(`The work does not end: ${next.text}`);
    job = apply(job, doMove(job, id, plan, next, new Date(BEGUN + minute * 60_000).toISOString()));
  }
}

/** What is set up and tested of it. Throws where no way is open. */
export function finished({ job, thermostat, plan }: FinishedHouse): Finished {
  const made = finishedOf(job, thermostat, plan);
  if ('code' in made) throw new Error(`Nothing to finish: ${made.code}`);
  return made;
}
