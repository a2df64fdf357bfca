import { json } from '@sveltejs/kit';
import { jobJsonSchema } from '$core/formats/json-schema';
import type { RequestHandler } from './$types';

/** `GET /schema/job.v1.json`: the JSON Schema of the job file. */
export const GET: RequestHandler = () =>
  json(jobJsonSchema(), { headers: { 'content-type': 'application/schema+json' } });
