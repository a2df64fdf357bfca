import { computed } from '$lib/server/pool';
import type { RequestHandler } from './$types';

/**
 * `POST /api/diagnose`: a job and what was seen in, the likely causes and the next look out. The body is a job, or
 * `{ job, thermostat?, model?, method?, variant?, wiring?, seen?, readings?, meter?, helper? }`.
 */
export const POST: RequestHandler = ({ request, platform }) => computed('diagnose', request, platform?.req);
