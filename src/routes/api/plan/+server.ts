import { json } from '@sveltejs/kit';
import { planReport } from '$core/formats/reports';
import { planOf, readPlanRequest } from '$lib/server/plan-request';
import { inTurn } from '$lib/server/turns';
import type { RequestHandler } from './$types';

/** `POST /api/plan`: a job in, the plan of one thermostat out. The body is a job, or `{ job, thermostat?, model?, method? }`. */
export const POST: RequestHandler = async ({ request }) => {
  const asked = await readPlanRequest(request, {});
  if (asked instanceof Response) return asked;
  return inTurn(() => {
    const plan = planOf(asked);
    return plan instanceof Response ? plan : json(planReport(plan));
  });
};
