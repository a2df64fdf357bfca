/** What is set up and tested, worked out in the thread: a few hundred solves. */
import { oneStep, type LongRun } from '$core/circuit/long-run';
import type { SimulateFailure } from '$core/circuit/simulate';
import { settingsOf } from '$core/handover/settings';
import { finishedOf } from '$core/handover/subject';
import { testPlanOf } from '$core/handover/test-plan';
import type { Job, Thermostat } from '$core/job/schema';
import { neighboursOf } from '$core/plan/neighbours';
import { planFor } from '$core/plan/plan';
import { findingText } from '$core/words/findings/table';
import type { FinishPlan } from './protocol';

export function finishRun(job: Job, thermostat: Thermostat): LongRun<FinishPlan> | SimulateFailure {
  const neighbours = neighboursOf(job, thermostat);
  const finished = finishedOf(job, thermostat, planFor(job, thermostat, { neighbours }));
  if ('code' in finished)
    return { ok: false, reason: 'not-solvable', at: thermostat.id, why: findingText(finished) };
  return oneStep(() => ({ settings: settingsOf(finished), tests: testPlanOf(finished, { neighbours }) }));
}
