/** Plans made at once, in this thread: for tests of what a place shows. The page has a thread for it. */
import { planFor } from '$core/plan/plan';
import { plannedPlace } from '$core/plan/planned-place';
import { rememberingProver } from '$core/proof/proof-memory';
import type { PlannerHere } from './planner';

export function plannerHere(): PlannerHere {
  const prover = rememberingProver(200);
  return {
    planHere: (job, thermostat) => plannedPlace(job, thermostat, planFor(job, thermostat, { prover }))
  };
}
