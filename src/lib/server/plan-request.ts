/** What the routes that plan have in common: a job in the body, one thermostat of it, and what is asked for. */
import * as v from 'valibot';
import { faultsOf } from '$core/job/faults';
import { readRawJob } from '$core/formats/job-json';
import type { DeviceFacts } from '$core/job/device-facts';
import type { Job, Thermostat } from '$core/job/schema';
import { findDevice } from '$core/match/catalogue';
import { withTicksAdopted } from '$core/plan/adopt-ticks';
import { planFor, type Plan } from '$core/plan/plan';
import { MethodId } from '$core/trade/vocabulary';
import { isRefusal, refusal, type Answer } from './answer';

const shared = {
  job: v.unknown(),
  thermostat: v.optional(v.string('the id of a thermostat')),
  model: v.optional(v.string('the id of a model')),
  method: v.optional(MethodId),
  variant: v.optional(v.string('the id of a variant of the method'))
};

export interface PlanRequest<T> {
  readonly job: Job;
  readonly thermostat: Thermostat;
  readonly device: DeviceFacts | null;
  readonly method: MethodId | null;
  readonly variant: string | null;
  /** Further keys that the route asks for. */
  readonly more: T;
}

/** The request, or the answer that refuses it. The body is a job, or `{ job, thermostat?, model?, method? }` with the route's own keys. */
export function readPlanRequest<T extends v.ObjectEntries>(
  body: unknown,
  further: T
): PlanRequest<v.InferOutput<v.StrictObjectSchema<T, undefined>>> | Answer {
  const bare = typeof body === 'object' && body !== null && 'format' in body;
  const parsed = v.safeParse(v.strictObject({ ...shared, ...further }), bare ? { job: body } : body);
  if (!parsed.success) return refusal(422, 'The request does not hold.', faultsOf(parsed.issues));
  const {
    job: raw,
    thermostat: wanted,
    model,
    method,
    variant,
    ...more
  } = parsed.output as v.InferOutput<v.StrictObjectSchema<typeof shared, undefined>>;
  const read = readRawJob(raw);
  if (!read.ok) {
    const faults = bare
      ? read.faults
      : read.faults.map((fault) => ({
          ...fault,
          path: fault.path === 'the file' ? 'job' : `job.${fault.path}`
        }));
    return refusal(422, 'The job does not hold.', faults);
  }
  const job = withTicksAdopted(read.job);
  const thermostat = pick(job, wanted);
  if (isRefusal(thermostat)) return thermostat;
  const device = model === undefined ? null : findDevice(job, model);
  if (device === undefined)
    return refusal(422, 'The model is not known.', [
      { path: 'model', expected: 'a model of the catalogue or of the job', found: model ?? '' }
    ]);
  return {
    job,
    thermostat,
    device,
    method: method ?? null,
    variant: variant ?? null,
    more: more as v.InferOutput<v.StrictObjectSchema<T, undefined>>
  };
}

function pick(job: Job, wanted: string | undefined): Thermostat | Answer {
  const only = wanted === undefined && job.thermostats.length === 1 ? job.thermostats[0] : undefined;
  const found = only ?? job.thermostats.find((thermostat) => thermostat.id === wanted);
  if (found) return found;
  const ids = job.thermostats.map((thermostat) => thermostat.id).join(', ');
  return refusal(422, 'Name one thermostat of the job.', [
    {
      path: 'thermostat',
      expected: `one of ${ids || 'none: the job holds no thermostat'}`,
      found: wanted ?? 'nothing'
    }
  ]);
}

/** The plan asked for, or the answer that refuses a variant which its method does not have here. */
export function planOf({ job, thermostat, device, method, variant }: PlanRequest<unknown>): Plan | Answer {
  const plan = planFor(job, thermostat, { device, method, variant });
  const taken = plan.options.find((option) => option.method === plan.taken);
  if (variant === null || taken?.variant?.id === variant) return plan;
  const known = taken?.variants.map((plannedVariant) => plannedVariant.id).join(', ');
  return refusal(422, 'The variant is not known.', [
    {
      path: 'variant',
      expected: known ? `one of ${known}` : 'none, or a method that has some',
      found: variant
    }
  ]);
}
