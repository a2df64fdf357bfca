import { error, json } from '@sveltejs/kit';
import { jobJsonSchema } from '$core/formats/json-schema';
import type { RequestHandler } from './$types';

/** `GET /schema/job.v2.json`, and `job.v1.json` for files of that version: the JSON Schema of the job file. */
export const GET: RequestHandler = ({ params }) => {
  const schema = jobJsonSchema(Number(params.version));
  if (schema === null) error(404, `There is no version ${params.version} of the job file.`);
  return json(schema, { headers: { 'content-type': 'application/schema+json' } });
};
