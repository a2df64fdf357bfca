/** From the bytes of a body to an answer, as a thread does it. */
import { describe, expect, it } from 'vitest';
import { quarryRow } from '$demo/quarry-row';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { answerTo, MOST_DRAWS } from './compute';
import { isSmall } from './small';

const bytesOf = (body: unknown) => new TextEncoder().encode(JSON.stringify(body));
const classroom = {
  ...SCHOOLHOUSE,
  thermostats: SCHOOLHOUSE.thermostats.filter((thermostat) => thermostat.id === 'th-classroom')
};

describe('work on a body', () => {
  it('finds out why over HTTP, and names the place of what does not hold', () => {
    const ask = (more: object) => answerTo('diagnose', bytesOf({ job: classroom, wiring: 'after', ...more }));
    expect(ask({ seen: ['display-dark', 'head-off'] })).toMatchObject({
      status: 200,
      body: { wiring: 'after', settled: { remedy: { pro: false } } }
    });
    expect(ask({ seen: ['display-dark', 'display-purple'] })).toMatchObject({
      status: 422,
      body: { faults: [{ path: 'seen[1]' }] }
    });
    expect(ask({ readings: ['R:C'] })).toMatchObject({
      status: 422,
      body: { faults: [{ path: 'readings[0]' }] }
    });
    expect(ask({ seen: Array.from({ length: 101 }, () => 'display-dark') })).toMatchObject({ status: 422 });
  });

  it('plans, solves and finds out why where mains controls are recorded', () => {
    const job = { ...quarryRow(), thermostats: quarryRow().thermostats.slice(0, 1) };
    expect(answerTo('plan', bytesOf(job))).toMatchObject({
      status: 200,
      body: {
        layout: 'two-valve',
        options: expect.arrayContaining([expect.objectContaining({ method: 'replace-both', verdict: 'pro' })])
      }
    });
    expect(answerTo('simulate', bytesOf({ job, call: 'heating' }))).toMatchObject({
      status: 200,
      body: { calls: [{ heatingWay: 'open', waterWay: 'closed', boiler: true }] }
    });
    expect(answerTo('simulate', bytesOf({ job, call: 'cool1' }))).toMatchObject({ status: 422 });
    expect(answerTo('diagnose', bytesOf({ job, seen: ['boiler@heating=no'] }))).toMatchObject({
      status: 200
    });
    expect(answerTo('diagnose', bytesOf({ job, seen: ['boiler@heating=perhaps'] }))).toMatchObject({
      status: 422,
      body: { faults: [{ path: 'seen[0]' }] }
    });
  });

  it('refuses what is no JSON, or no text, and throws nothing', () => {
    for (const bytes of [new TextEncoder().encode('{"job": '), new Uint8Array([0xff, 0xfe, 0x7b])])
      expect(answerTo('plan', bytes)).toMatchObject({
        status: 400,
        body: { faults: [{ path: 'the body', expected: 'JSON' }] }
      });
  });

  it('plans, and powers up what the plan leaves', () => {
    expect(answerTo('plan', bytesOf(classroom))).toMatchObject({
      status: 200,
      body: { recommended: 'spare-conductor' }
    });
    const simulated = answerTo(
      'simulate',
      bytesOf({ job: classroom, wiring: 'after', call: 'heat1', draws: 50 })
    );
    expect(simulated).toMatchObject({
      status: 200,
      body: { calls: [{ call: 'heat1' }], tolerance: { draws: 50 } }
    });
  });

  it('refuses more draws than it makes', () => {
    const body = bytesOf({ job: classroom, draws: MOST_DRAWS + 1 });
    expect(answerTo('simulate', body)).toMatchObject({ status: 422, body: { faults: [{ path: 'draws' }] } });
  });
});

describe('the quick lane', () => {
  const [place] = classroom.thermostats;
  const times = (count: number) => Array.from({ length: count }, () => place);

  it('takes an ordinary house, bare or in a request, and what is no house at all', () => {
    expect(isSmall(bytesOf(classroom))).toBe(true);
    expect(isSmall(bytesOf({ job: classroom, draws: 500 }))).toBe(true);
    expect(isSmall(new TextEncoder().encode('{"job": '))).toBe(true);
    expect(isSmall(bytesOf([[]]))).toBe(true);
  });

  it.each<[string, unknown]>([
    ['many thermostats', { ...classroom, thermostats: times(5) }],
    ['many machines', { ...classroom, equipment: [...classroom.equipment, ...classroom.equipment, {}, {}] }],
    ['many draws', { job: classroom, draws: 20_000 }],
    ['a large body', { ...classroom, note: 'x'.repeat(70_000) }]
  ])('leaves to the other: %s', (_, body) => {
    expect(isSmall(bytesOf(body))).toBe(false);
  });
});
