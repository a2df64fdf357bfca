/** The JSON Schema of the job file, made from the Valibot schema so that the two cannot part. */
import { toJsonSchema } from '@valibot/to-json-schema';
import type * as v from 'valibot';
import { Job, JOB_VERSION } from '../job/schema';
import { JobV1 } from '../job/version-1';

const SCHEMAS: Readonly<Record<number, v.GenericSchema>> = { 1: JobV1, [JOB_VERSION]: Job };

/** The schema of a version of the file; null where there is no such version. */
export function jobJsonSchema(version: number = JOB_VERSION): Record<string, unknown> | null {
  const valibot = SCHEMAS[version];
  if (!valibot) return null;
  const schema = toJsonSchema(valibot, { errorMode: 'ignore' });
  return { ...schema, title: `Ulterum job, version ${version}` } as Record<string, unknown>;
}
