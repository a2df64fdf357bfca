/** Plans made at once, in this thread: for tests of what a place shows. The page has a thread for it. */
import { identify } from '$core/identify/identify';
import { planFor } from '$core/plan/plan';
import { savingPrices } from '$core/plan/saving-prices';
import { tiedSupplies } from '$core/safety/tied';
import { wiringOf } from '$core/wiring/from-job';
import { rememberingProver } from '$core/proof/proof-memory';
import type { PlannerHere } from './planner';

export function plannerHere(): PlannerHere {
  const prover = rememberingProver(200);
  return {
    planHere: (job, thermostat) => planFor(job, thermostat, { prover }),
    tiedHere: (job, thermostat) => tiedSupplies(identify(job, thermostat), wiringOf(job, thermostat)),
    pricesHere: savingPrices
  };
}
