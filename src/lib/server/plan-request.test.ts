/** What the routes that plan take and refuse; each fault with its place. */
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import type { Plan } from '$core/plan/plan';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { isRefusal } from './answer';
import { planOf, readPlanRequest, type PlanRequest } from './plan-request';

const asked = (body: unknown) => readPlanRequest(body, {});
const classroom = {
  ...SCHOOLHOUSE,
  thermostats: SCHOOLHOUSE.thermostats.filter((thermostat) => thermostat.id === 'th-classroom')
};

interface Refused {
  readonly message: string;
  readonly faults: readonly { readonly path: string; readonly expected: string; readonly found: string }[];
}

function refusalOf(body: unknown) {
  const answer = asked(body);
  if (!isRefusal(answer)) throw new Error('It was not refused');
  return { status: answer.status, ...(answer.body as Refused) };
}

function planned(asked: PlanRequest<unknown>): Plan {
  const made = planOf(asked);
  if (isRefusal(made)) throw new Error('The plan was refused');
  return made;
}

describe('a request to plan', () => {
  it('may be the job alone, where it holds one thermostat', () => {
    const read = asked(classroom);
    if (isRefusal(read)) throw new Error('It was refused');
    expect(read).toMatchObject({ device: null, method: null, variant: null });
    expect(planned(read).recommended).toBe('spare-conductor');
  });

  it('names thermostat, model, method and variant, and gets what it asked for', () => {
    const read = asked({
      job: SCHOOLHOUSE,
      thermostat: 'th-classroom',
      model: 'de-onebar',
      method: 'new-cable',
      variant: '8'
    });
    if (isRefusal(read)) throw new Error('It was refused');
    const plan = planned(read);
    expect(plan.device.id).toBe('de-onebar');
    expect(plan.taken).toBe('new-cable');
    expect(plan.options.find((option) => option.method === 'new-cable')?.variant?.id).toBe('8');
  });

  it('for a variant that the method does not have here is refused, and not planned otherwise in silence', () => {
    for (const [method, variant, expected] of [
      ['new-cable', 'eight', 'one of 5, 8, 3'],
      ['existing-c', '8', 'none, or a method that has some']
    ]) {
      const read = asked({ job: classroom, method, variant });
      if (isRefusal(read)) throw new Error('It was refused before it was planned');
      const answer = planOf(read);
      if (!isRefusal(answer)) throw new Error('It was planned');
      expect(answer.status).toBe(422);
      const { faults } = answer.body as Refused;
      expect(faults[0]).toMatchObject({
        path: 'variant',
        expected: expect.stringContaining(expected!) as string
      });
    }
  });

  it.each<[string, object, string]>([
    ['which of several thermostats', { job: SCHOOLHOUSE }, 'thermostat'],
    ['a thermostat that is not there', { job: SCHOOLHOUSE, thermostat: 'th-attic' }, 'thermostat'],
    ['a model that nobody makes', { job: classroom, model: 'de-nothing' }, 'model'],
    ['a method that is none', { job: classroom, method: 'by-magic' }, 'method'],
    ['a key that nobody knows', { job: classroom, colour: 'red' }, 'colour'],
    ['a job without its name', { job: { ...classroom, name: '' } }, 'job.name'],
    ['a job of a later version', { job: { ...classroom, version: 99 } }, 'job.version'],
    ['no job at all', { job: 'here' }, 'job']
  ])('is refused with the place of the fault: %s', (_, body, path) => {
    const { status, faults } = refusalOf(body);
    expect(status).toBe(422);
    expect(faults.map((fault) => fault.path)).toContain(path);
  });

  it('says which thermostats there are to choose from', () => {
    const { faults } = refusalOf({ job: SCHOOLHOUSE });
    expect(faults[0]).toMatchObject({
      expected: 'one of th-classroom, th-flat, th-bell-room',
      found: 'nothing'
    });
  });

  it('holds a bare job to the same, with paths as they stand in the file', () => {
    const { faults } = refusalOf({ ...classroom, units: { length: 'ell', temperature: 'C' } });
    expect(faults.map((fault) => fault.path)).toEqual(['units.length']);
  });

  it('takes further keys that a route asks for, and no others', () => {
    const further = { call: v.optional(v.string('a call')) };
    const read = readPlanRequest({ job: classroom, call: 'heat1' }, further);
    expect(isRefusal(read) ? null : read.more).toEqual({ call: 'heat1' });
  });
});
