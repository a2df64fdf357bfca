import { computed } from '$lib/server/pool';
import type { RequestHandler } from './$types';

/** `POST /api/plan`: a job in, the plan of one thermostat out. The body is a job, or `{ job, thermostat?, model?, method?, variant? }`. */
export const POST: RequestHandler = ({ request, platform }) => computed('plan', request, platform?.req);
