/** Who makes the plan of a thermostat: a thread of its own, so that the page stays awake while it is made. */
import type { Job, Thermostat } from '$core/job/schema';
import type { Look } from '$core/plan/looks';
import type { PlannedPlace } from '$core/plan/planned-place';
import { longWork } from '../bench/thread';

export interface PlanWatch {
  readonly signal: AbortSignal;
  /** How much of it is done, 0 to 1. */
  readonly onProgress?: (share: number) => void;
}

export interface Planner {
  /** The plan with what comes with it, or null where it was stopped; throws where it cannot be made. */
  plan(job: Job, thermostat: string, watch: PlanWatch): Promise<PlannedPlace | null>;
  /** What is worth looking at next; nothing where it was stopped. */
  looks(job: Job, thermostat: string, signal: AbortSignal): Promise<readonly Look[]>;
}

/** Who makes it at once, where it is asked for. */
export interface PlannerHere {
  planHere(job: Job, thermostat: Thermostat): PlannedPlace;
}

export const threadPlanner: Planner = {
  async plan(job, thermostat, watch) {
    const outcome = await longWork().run('plan', { job, thermostat }, watch);
    if (outcome.ok) return outcome.result;
    if (outcome.reason === 'cancelled') return null;
    throw new Error(outcome.why);
  },
  async looks(job, thermostat, signal) {
    const outcome = await longWork().run('looks', { job, thermostat }, { signal });
    return outcome.ok ? outcome.result : [];
  }
};
