/** The JSON Schema of the job file, made from the Valibot schema so that the two cannot part. */
import { toJsonSchema } from '@valibot/to-json-schema';
import { Job, JOB_VERSION } from '../job/schema';

export function jobJsonSchema(): Record<string, unknown> {
  const schema = toJsonSchema(Job, { errorMode: 'ignore' });
  return { ...schema, title: `Ulterum job, version ${JOB_VERSION}` } as Record<string, unknown>;
}
