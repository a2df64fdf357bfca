/** Finding out why, in the thread: the table of a wiring is made once and kept; after that an answer is a matter of milliseconds. */
import { oneStep, type LongRun } from '$core/circuit/long-run';
import type { SimulateFailure } from '$core/circuit/simulate';
import { prepareRun, type Prepared } from '$core/diagnose/diagnosis';
import { diagnosisRequest } from '$core/diagnose/from-plan';
import { stateOf } from '$core/diagnose/state';
import { diagnoseReport, seenReport } from '$core/formats/diagnose-report';
import type { Thermostat } from '$core/job/schema';
import { planFor } from '$core/plan/plan';
import { findingText } from '$core/words/findings/table';
import type { DiagnoseTask, Diagnosed } from './protocol';

/** The table that was made last, and of what. */
let kept: { readonly key: string; readonly prepared: Prepared } | null = null;

export function diagnoseRun(task: DiagnoseTask): LongRun<Diagnosed> | SimulateFailure {
  const thermostat = task.job.thermostats.find(({ id }) => id === task.thermostat);
  const failure = (why: string): SimulateFailure => ({
    ok: false,
    reason: 'not-solvable',
    at: task.thermostat,
    why
  });
  if (!thermostat) return failure('the job has no such thermostat');
  const key = keyOf(task, thermostat);
  if (kept?.key === key) return oneStep(() => diagnosed(kept!.prepared, task, thermostat));
  const request = diagnosisRequest(planFor(task.job, thermostat), thermostat, task.which);
  if ('code' in request) return failure(findingText(request));
  const run = prepareRun(request);
  if ('ok' in run) return run;
  return {
    get total() {
      return run.total;
    },
    done: () => run.done(),
    advance: (steps) => run.advance(steps),
    result: () => {
      const prepared = run.result();
      kept = { key, prepared };
      return diagnosed(prepared, task, thermostat);
    }
  };
}

/** What was seen changes no wiring. */
function keyOf({ job, which }: DiagnoseTask, thermostat: Thermostat): string {
  return JSON.stringify([
    which,
    job.equipment,
    job.places,
    job.devices,
    { ...thermostat, seen: [], photos: [] }
  ]);
}

function diagnosed(prepared: Prepared, { which, hands }: DiagnoseTask, { id, seen }: Thermostat): Diagnosed {
  const state = stateOf(prepared, seen, hands);
  return {
    report: diagnoseReport(id, which, prepared, state),
    seen: seen.map((entry) => seenReport(prepared, entry))
  };
}
