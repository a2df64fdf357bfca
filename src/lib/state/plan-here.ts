/** Plans made at once, in this thread: for tests of what a place shows. The page has a thread for it. */
import { planFor } from '$core/plan/plan';
import type { Job, Thermostat } from '$core/job/schema';
import { plannedPlace, type PlannedPlace } from '$core/plan/planned-place';
import type { PlannerHere } from './planner';

export function plannerHere(): PlannerHere {
  /** The last one: outside a page, what is derived is worked out at every reading. */
  let last: { job: Job; thermostat: Thermostat; made: PlannedPlace } | null = null;
  return {
    planHere(job, thermostat) {
      if (last?.job !== job || last.thermostat !== thermostat)
        last = { job, thermostat, made: plannedPlace(job, thermostat, planFor(job, thermostat)) };
      return last.made;
    }
  };
}
