import { json } from '@sveltejs/kit';
import * as v from 'valibot';
import { faultsOf } from '$core/formats/faults';
import { readRawJob } from '$core/formats/job-json';
import { planReport } from '$core/formats/reports';
import { findDevice } from '$core/match/catalogue';
import { planFor } from '$core/plan/plan';
import { findMethod } from '$core/supply/methods/registry';
import { MethodId } from '$core/trade/vocabulary';
import { readBody, refuse } from '$lib/server/body';
import type { RequestHandler } from './$types';

const Request = v.strictObject({
  job: v.unknown(),
  thermostat: v.optional(v.string('the id of a thermostat')),
  model: v.optional(v.string('the id of a model')),
  method: v.optional(MethodId)
});

/** `POST /api/plan`: a job in, the plan of one thermostat out. The body is a job, or `{ job, thermostat?, model?, method? }`. */
export const POST: RequestHandler = async ({ request }) => {
  const body = await readBody(request);
  if (!body.ok) return body.response;
  const bare = typeof body.value === 'object' && body.value !== null && 'format' in body.value;
  const parsed = v.safeParse(Request, bare ? { job: body.value } : body.value);
  if (!parsed.success) return refuse(422, 'The request does not hold.', faultsOf(parsed.issues));
  const { thermostat: wanted, model, method } = parsed.output;
  const read = readRawJob(parsed.output.job);
  if (!read.ok) {
    const faults = bare
      ? read.faults
      : read.faults.map((one) => ({ ...one, path: one.path === 'the file' ? 'job' : `job.${one.path}` }));
    return refuse(422, 'The job does not hold.', faults);
  }
  const { job } = read;
  const ids = job.thermostats.map((one) => one.id).join(', ');
  const thermostat =
    wanted === undefined && job.thermostats.length === 1
      ? job.thermostats[0]
      : job.thermostats.find((one) => one.id === wanted);
  if (!thermostat)
    return refuse(422, 'Name one thermostat of the job.', [
      {
        path: 'thermostat',
        expected: `one of ${ids || 'none: the job holds no thermostat'}`,
        found: wanted ?? 'nothing'
      }
    ]);
  const device = model === undefined ? null : findDevice(job, model);
  if (device === undefined)
    return refuse(422, 'The model is not known.', [
      { path: 'model', expected: 'a model of the catalogue or of the job', found: model ?? '' }
    ]);
  if (method !== undefined && findMethod(method) === null) {
    return refuse(422, 'The method is known and not offered by this version.', [
      { path: 'method', expected: 'a method on offer', found: method }
    ]);
  }
  return json(planReport(planFor(job, thermostat, { device, method: method ?? null })));
};
