/** What the routes that plan take and refuse; each fault with its place. */
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { MOST_BYTES } from '$core/formats/job-json';
import type { Plan } from '$core/plan/plan';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { readBody } from './body';
import { planOf, readPlanRequest, type PlanRequest } from './plan-request';

const post = (body: BodyInit, kind = 'application/json') =>
  new Request('http://here/api/plan', { method: 'POST', body, headers: { 'content-type': kind } });
const asked = (body: unknown) => readPlanRequest(post(JSON.stringify(body)), {});
const classroom = {
  ...SCHOOLHOUSE,
  thermostats: SCHOOLHOUSE.thermostats.filter((thermostat) => thermostat.id === 'th-classroom')
};

async function refusal(body: unknown) {
  const answer = await asked(body);
  if (!(answer instanceof Response)) throw new Error('It was not refused');
  const { message, faults } = (await answer.json()) as {
    message: string;
    faults: { path: string; found: string }[];
  };
  return { status: answer.status, message, faults };
}

function planned(asked: PlanRequest<unknown>): Plan {
  const made = planOf(asked);
  if (made instanceof Response) throw new Error('The plan was refused');
  return made;
}

describe('a request to plan', () => {
  it('may be the job alone, where it holds one thermostat', async () => {
    const read = await asked(classroom);
    if (read instanceof Response) throw new Error('It was refused');
    expect(read).toMatchObject({ device: null, method: null, variant: null });
    expect(planned(read).recommended).toBe('spare-conductor');
  });

  it('names thermostat, model, method and variant, and gets what it asked for', async () => {
    const read = await asked({
      job: SCHOOLHOUSE,
      thermostat: 'th-classroom',
      model: 'de-onebar',
      method: 'new-cable',
      variant: '8'
    });
    if (read instanceof Response) throw new Error('It was refused');
    const plan = planned(read);
    expect(plan.device.id).toBe('de-onebar');
    expect(plan.taken).toBe('new-cable');
    expect(plan.options.find((option) => option.method === 'new-cable')?.variant?.id).toBe('8');
  });

  it('for a variant that the method does not have here is refused, and not planned otherwise in silence', async () => {
    for (const [method, variant, expected] of [
      ['new-cable', 'eight', 'one of 5, 8, 3'],
      ['existing-c', '8', 'none, or a method that has some']
    ]) {
      const read = await asked({ job: classroom, method, variant });
      if (read instanceof Response) throw new Error('It was refused before it was planned');
      const answer = planOf(read);
      if (!(answer instanceof Response)) throw new Error('It was planned');
      expect(answer.status).toBe(422);
      const { faults } = (await answer.json()) as { faults: { path: string; expected: string }[] };
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
  ])('is refused with the place of the fault: %s', async (_, body, path) => {
    const { status, faults } = await refusal(body);
    expect(status).toBe(422);
    expect(faults.map((fault) => fault.path)).toContain(path);
  });

  it('says which thermostats there are to choose from', async () => {
    const { faults } = await refusal({ job: SCHOOLHOUSE });
    expect(faults[0]).toMatchObject({
      expected: 'one of th-classroom, th-flat, th-bell-room',
      found: 'nothing'
    });
  });

  it('holds a bare job to the same, with paths as they stand in the file', async () => {
    const { faults } = await refusal({ ...classroom, units: { length: 'ell', temperature: 'C' } });
    expect(faults.map((fault) => fault.path)).toEqual(['units.length']);
  });

  it('takes further keys that a route asks for, and no others', async () => {
    const further = { call: v.optional(v.string('a call')) };
    const read = await readPlanRequest(post(JSON.stringify({ job: classroom, call: 'heat1' })), further);
    expect(read instanceof Response ? null : read.more).toEqual({ call: 'heat1' });
  });
});

describe('a body', () => {
  it('that is no JSON, or no text, is refused and nothing is thrown', async () => {
    for (const body of ['{"job": ', new Uint8Array([0xff, 0xfe, 0x7b])]) {
      const read = await readBody(post(body));
      if (read.ok) throw new Error('It was read');
      expect(read.response.status).toBe(400);
      expect(await read.response.json()).toMatchObject({ faults: [{ path: 'the body', expected: 'JSON' }] });
    }
  });

  it('is counted as it comes in, whatever was announced', async () => {
    const chunk = new Uint8Array(500_000).fill(0x20);
    let sent = 0;
    const stream = new ReadableStream<Uint8Array>({
      pull(controller) {
        if (sent > MOST_BYTES) return controller.close();
        sent += chunk.length;
        controller.enqueue(chunk);
      }
    });
    const request = new Request('http://here/', {
      method: 'POST',
      body: stream,
      headers: { 'content-type': 'application/json; charset=utf-8' },
      duplex: 'half'
    } as RequestInit);
    const read = await readBody(request);
    expect(read.ok ? null : read.response.status).toBe(413);
    expect(read.ok ? '' : read.response.headers.get('connection')).toBe('close');
  });

  it('that trickles in is let go after a while, with a word', async () => {
    const stream = new ReadableStream<Uint8Array>({
      start: (controller) => controller.enqueue(new TextEncoder().encode('{"job": '))
    });
    const headers = { 'content-type': 'application/json' };
    const request = new Request('http://here/', {
      method: 'POST',
      body: stream,
      headers,
      duplex: 'half'
    } as RequestInit);
    const read = await readBody(request, 20);
    if (read.ok) throw new Error('It was read');
    expect(read.response.status).toBe(408);
    expect(read.response.headers.get('connection')).toBe('close');
    expect(await read.response.json()).toMatchObject({
      faults: [{ path: 'the body', found: 'a part of it' }]
    });
  });

  it('of another kind is refused in the same form as everything else', async () => {
    for (const kind of ['text/plain', 'application/xml', '']) {
      const read = await readBody(post('{}', kind));
      if (read.ok) throw new Error('It was read');
      expect(read.response.status).toBe(415);
      const { faults } = (await read.response.json()) as { faults: unknown[] };
      expect(faults).toMatchObject([{ path: 'content-type', expected: 'application/json' }]);
    }
  });

  it('at the limit is read', async () => {
    const padded = `"${'x'.repeat(MOST_BYTES - 2)}"`;
    expect((await readBody(post(padded))).ok).toBe(true);
    expect((await readBody(post(`${padded} `))).ok).toBe(false);
  });
});
