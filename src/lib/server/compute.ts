/** What the routes that plan and simulate compute, from the bytes of a body to an answer: plain functions, run in a thread of the pool. */
import * as v from 'valibot';
import { finish } from '$core/circuit/long-run';
import { toleranceRun } from '$core/circuit/tolerance';
import { mainsPlanReport, rowReport } from '$core/formats/mains-reports';
import { callReport, planReport, simulateReport } from '$core/formats/reports';
import type { MainsControls } from '$core/job/mains-schema';
import { planMains } from '$core/plan/mains/plan';
import { MAINS_CALLS, powerMains } from '$core/plan/mains/powered';
import type { Call } from '$core/trade/calls';
import { CallText, WIRING_STATES, type WiringState } from '$core/job/bench-schema';
import type { Plan } from '$core/plan/plan';
import { powerable, powerPlan } from '$core/plan/powered';
import { isRefusal, refusal, type Answer } from './answer';
import { diagnoseAnswer } from './diagnose-answer';
import { planOf, readPlanRequest } from './plan-request';

/** What may be asked for. */
export type WorkKind = 'plan' | 'simulate' | 'diagnose';

/** `bytes`: a body as it came in, not looked at yet. */
export function answerTo(kind: WorkKind, bytes: Uint8Array): Answer {
  const body = parsed(bytes);
  if ('broken' in body)
    return refusal(400, 'The body is no JSON.', [{ path: 'the body', expected: 'JSON', found: body.broken }]);
  return ANSWERS[kind](body.value);
}

const ANSWERS: Readonly<Record<WorkKind, (body: unknown) => Answer>> = {
  plan: planAnswer,
  simulate: simulateAnswer,
  diagnose: diagnoseAnswer
};

function parsed(bytes: Uint8Array): { readonly value: unknown } | { readonly broken: string } {
  try {
    return { value: JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes)) };
  } catch (error) {
    if (error instanceof SyntaxError || error instanceof TypeError) return { broken: error.message };
    throw error;
  }
}

function planAnswer(body: unknown): Answer {
  const asked = readPlanRequest(body, {});
  if (isRefusal(asked)) return asked;
  const { mains, id } = asked.thermostat;
  if (mains !== null) return { status: 200, body: mainsPlanReport(id, planMains(mains)) };
  const plan = planOf(asked);
  return isRefusal(plan) ? plan : { status: 200, body: planReport(plan) };
}

export const MOST_DRAWS = 20_000;

const further = {
  /** `before` is the older word for `found`. */
  wiring: v.optional(
    v.pipe(
      v.picklist([...WIRING_STATES, 'before'], 'found, now or after'),
      v.transform((state): WiringState => (state === 'before' ? 'found' : state))
    ),
    'found'
  ),
  call: v.optional(CallText),
  /** Draws of the tolerance run; none where it is left out. */
  draws: v.optional(
    v.pipe(
      v.number('a whole number'),
      v.integer('a whole number'),
      v.minValue(1, 'at least 1'),
      v.maxValue(MOST_DRAWS, `at most ${MOST_DRAWS}`)
    )
  ),
  seed: v.optional(
    v.pipe(v.number('a whole number'), v.integer('a whole number'), v.minValue(0), v.maxValue(2 ** 31)),
    1
  )
};

function simulateAnswer(body: unknown): Answer {
  const asked = readPlanRequest(body, further);
  if (isRefusal(asked)) return asked;
  const { wiring, call, draws, seed } = asked.more;
  const { mains, id } = asked.thermostat;
  if (mains !== null) return mainsSimulated(mains, id, wiring, call ?? null);
  const plan = planOf(asked);
  if (isRefusal(plan)) return plan;
  const { calls, findings } = powerPlan(plan, wiring, call ?? null);
  const report = simulateReport(
    asked.thermostat.id,
    wiring,
    calls.map((poweredCall) => callReport(poweredCall.result, poweredCall.findings)),
    findings
  );
  if (draws === undefined) return { status: 200, body: report };
  return { status: 200, body: { ...report, tolerance: spread(plan, wiring, draws, seed) } };
}

/** As the job has chosen: a controller and what it replaces are no model and no method of the 24 V kind. */
function mainsSimulated(
  mains: MainsControls,
  thermostat: string,
  wiring: WiringState,
  call: Call | null
): Answer {
  const states = powerMains(planMains(mains), wiring, call);
  if (states === 'no-such-call')
    return refusal(422, MAINS_CALLS, [{ path: 'call', expected: 'such a call', found: call ?? '' }]);
  if ('ok' in states)
    return refusal(422, states.why, [
      { path: states.at, expected: 'a circuit that can be solved', found: states.why }
    ]);
  return { status: 200, body: { thermostat, wiring, calls: states.map(rowReport) } };
}

function spread(plan: Plan, wiring: WiringState, draws: number, seed: number) {
  const subject = powerable(plan, wiring);
  if ('code' in subject) return null;
  const run = toleranceRun({ ...subject, draws, seed });
  if ('ok' in run) return null;
  const { window, calls } = finish(run);
  return {
    draws,
    seed,
    window,
    calls: calls.map(({ call, below, above, dead }) => ({ call, below, above, dead }))
  };
}
