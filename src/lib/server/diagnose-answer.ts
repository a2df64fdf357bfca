/** `POST /api/diagnose`: what is wrong, from what was seen and read, and what to look at next. */
import * as v from 'valibot';
import { finish } from '$core/circuit/long-run';
import { prepareRun } from '$core/diagnose/diagnosis';
import { diagnosisRequest } from '$core/diagnose/from-plan';
import { stateOf } from '$core/diagnose/state';
import { diagnoseReport } from '$core/formats/diagnose-report';
import { readReading, readSeen } from '$core/formats/diagnose-words';
import { mainsDiagnosisReport } from '$core/formats/mains-reports';
import { diagnoseMains } from '$core/diagnose/mains/diagnose';
import { readMainsSeen } from '$core/diagnose/mains/looks';
import { isCompetent } from '$core/job/mains-edits';
import { WIRING_STATES, type WiringState } from '$core/job/bench-schema';
import type { MainsControls } from '$core/job/mains-schema';
import { planMains } from '$core/plan/mains/plan';
import { mainsWiring } from '$core/plan/mains/powered';
import type { Fault } from '$core/job/faults';
import { findingText } from '$core/words/findings/table';
import { isRefusal, refusal, type Answer } from './answer';
import { planOf, readPlanRequest } from './plan-request';

const MOST_SEEN = 100;
const words = (what: string) =>
  v.optional(
    v.pipe(v.array(v.pipe(v.string(what), v.maxLength(200))), v.maxLength(MOST_SEEN, `at most ${MOST_SEEN}`)),
    []
  );
const further = {
  wiring: v.optional(v.picklist(WIRING_STATES, 'found, now or after'), 'now'),
  /** Codes of what was seen, as the command line has them. */
  seen: words('a code such as display-dark'),
  readings: words('a reading such as R:C@heat1=24.1'),
  meter: v.optional(v.boolean('true or false'), false),
  helper: v.optional(v.boolean('true or false'), false)
};

export function diagnoseAnswer(body: unknown): Answer {
  const asked = readPlanRequest(body, further);
  if (isRefusal(asked)) return asked;
  const { wiring: which, seen: codes, readings: texts, meter, helper } = asked.more;
  const { mains, id } = asked.thermostat;
  if (mains !== null) return mainsDiagnosed(mains, id, which, codes);
  const plan = planOf(asked);
  if (isRefusal(plan)) return plan;
  const request = diagnosisRequest(plan, asked.thermostat, which);
  if ('code' in request)
    return refusal(422, findingText(request), [
      { path: 'wiring', expected: 'a wiring that can be powered', found: which }
    ]);
  const faults: Fault[] = [];
  const taken = <T extends object>(
    list: string,
    found: string,
    read: T | { readonly why: string },
    at: number
  ) => {
    if (!('why' in read)) return [read];
    faults.push({ path: `${list}[${at}]`, expected: String(read.why), found });
    return [];
  };
  const readings = texts.flatMap((text, at) =>
    taken('readings', text, readReading(request.wiring, text), at)
  );
  const run = prepareRun({ ...request, points: readings.map(({ point }) => point) });
  if ('ok' in run) return refusal(422, run.why, [{ path: run.at, expected: 'a circuit', found: run.reason }]);
  const prepared = finish(run);
  const seen = codes.flatMap((code, at) => taken('seen', code, readSeen(prepared, code), at));
  if (faults.length > 0) return refusal(422, 'What was seen does not hold.', faults);
  const state = stateOf(prepared, seen, { meter: meter || readings.length > 0, helper }, readings);
  return { status: 200, body: diagnoseReport(asked.thermostat.id, which, prepared, state) };
}

/** Codes are those of the command line: `boiler@heating=no`. */
function mainsDiagnosed(
  mains: MainsControls,
  thermostat: string,
  which: WiringState,
  codes: readonly string[]
): Answer {
  const plan = planMains(mains);
  const wiring = mainsWiring(plan, which);
  const read = readMainsSeen(wiring, plan.inputs, codes);
  if ('unknown' in read)
    return refusal(422, 'Something seen is not understood.', [
      { path: `seen[${read.at}]`, expected: 'a look with one of its answers', found: read.unknown }
    ]);
  const found = diagnoseMains({
    wiring,
    inputs: plan.inputs,
    seen: read.seen,
    touched: new Set(plan.now.done.map(({ act }) => act.what)),
    competent: isCompetent(mains)
  });
  return { status: 200, body: mainsDiagnosisReport(thermostat, found) };
}
