/** Plans made at once, in this thread: for tests of what a place shows. The page has a thread for it. */
import { planFor } from '$core/plan/plan';
import { plannedPlace } from '$core/plan/planned-place';
import type { PlannerHere } from './planner';

export function plannerHere(): PlannerHere {
  return { planHere: (job, thermostat) => plannedPlace(job, thermostat, planFor(job, thermostat)) };
}
