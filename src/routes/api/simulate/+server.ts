import { computed } from '$lib/server/pool';
import type { RequestHandler } from './$types';

/**
 * `POST /api/simulate`: a job in, what runs in each call out. The body is a job, or
 * `{ job, thermostat?, model?, method?, variant?, wiring?, call?, draws?, seed? }`.
 */
export const POST: RequestHandler = ({ request, platform }) => computed('simulate', request, platform?.req);
