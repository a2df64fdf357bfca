import { json } from '@sveltejs/kit';
import * as v from 'valibot';
import { toleranceRun } from '$core/circuit/tolerance';
import { callReport, simulateReport } from '$core/formats/reports';
import { powerable, powerPlan } from '$core/plan/powered';
import { CallText, WIRING_STATES, type WiringState } from '$core/job/bench-schema';
import { planOf, readPlanRequest } from '$lib/server/plan-request';
import { inTurn, type Turn } from '$lib/server/turns';
import type { Plan } from '$core/plan/plan';
import type { RequestHandler } from './$types';

const MOST_DRAWS = 20_000;
/** Draws between two looks at the clock. */
const AT_ONCE = 200;

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

/**
 * `POST /api/simulate`: a job in, what runs in each call out. The body is a job, or
 * `{ job, thermostat?, model?, method?, wiring?, call?, draws?, seed? }`.
 */
export const POST: RequestHandler = async ({ request }) => {
  const asked = await readPlanRequest(request, further);
  if (asked instanceof Response) return asked;
  const { wiring, call, draws, seed } = asked.more;
  return inTurn(async (turn) => {
    const plan = planOf(asked);
    if (plan instanceof Response) return plan;
    await turn.breathe();
    const { calls, findings } = powerPlan(plan, wiring, call ?? null);
    const report = simulateReport(
      asked.thermostat.id,
      wiring,
      calls.map((poweredCall) => callReport(poweredCall.result, poweredCall.findings)),
      findings
    );
    if (draws === undefined) return json(report);
    return json({ ...report, tolerance: await spread(plan, wiring, draws, seed, turn) });
  });
};

async function spread(plan: Plan, wiring: WiringState, draws: number, seed: number, turn: Turn) {
  const subject = powerable(plan, wiring);
  if ('code' in subject) return null;
  const run = toleranceRun({ ...subject, draws, seed });
  if ('ok' in run) return null;
  while (run.done() < run.total) {
    run.advance(AT_ONCE);
    await turn.breathe();
  }
  const { window, calls } = run.result();
  return {
    draws,
    seed,
    window,
    calls: calls.map(({ call, below, above, dead }) => ({ call, below, above, dead }))
  };
}
