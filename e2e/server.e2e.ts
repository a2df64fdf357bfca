/** The server routes: what they give, and how they refuse. */
import { readFile } from 'node:fs/promises';
import { expect, test, type APIResponse } from '@playwright/test';

const classroom = async () => JSON.parse(await readFile('demo/classroom.json', 'utf8'));

test('POST /api/plan plans a job', async ({ request }) => {
  const answer = await request.post('/api/plan', { data: await classroom() });
  expect(answer.status()).toBe(200);
  const plan = await answer.json();
  expect(plan).toMatchObject({ recommended: 'spare-conductor', family: 'furnace-ac' });
  expect(plan.options.map((option: { method: string }) => option.method)).toEqual(
    expect.arrayContaining(['repurpose-g', 'plug-in-transformer', 'none'])
  );
  const asked = await request.post('/api/plan', {
    data: { job: await classroom(), model: 'de-pair', method: 'no-c-needed' }
  });
  expect(await asked.json()).toMatchObject({ model: 'de-pair', method: 'no-c-needed' });
});

test('POST /api/plan refuses with the path at fault', async ({ request }) => {
  const bad = await classroom();
  bad.thermostats[0].conductors[2].near.state = 'welded';
  const answer = await request.post('/api/plan', { data: bad });
  expect(answer.status()).toBe(422);
  expect((await answer.json()).faults).toEqual([
    {
      path: 'thermostats[0].conductors[2].near.state',
      expected: 'landed, loose, coiled or unseen',
      found: '"welded"'
    }
  ]);
  const nested = await request.post('/api/plan', { data: { job: bad } });
  expect((await nested.json()).faults[0].path).toBe('job.thermostats[0].conductors[2].near.state');
  const broken = await request.post('/api/plan', {
    data: Buffer.from('{"job":'),
    headers: { 'content-type': 'application/json' }
  });
  expect(broken.status()).toBe(400);
  const large = await request.post('/api/plan', {
    data: Buffer.alloc(2_050_000, ' '),
    headers: { 'content-type': 'application/json' }
  });
  expect(large.status()).toBe(413);
  expect((await large.json()).faults[0]).toMatchObject({ path: 'the body' });
  const whole = JSON.parse(await readFile('demo/schoolhouse.json', 'utf8'));
  const which = await request.post('/api/plan', { data: whole });
  expect(which.status()).toBe(422);
  expect((await which.json()).faults[0].expected).toContain('th-classroom');
  for (const [key, value] of [
    ['model', 'de-nothing'],
    ['method', 'by-magic'],
    ['surprise', 1]
  ] as const) {
    const refused = await request.post('/api/plan', { data: { job: await classroom(), [key]: value } });
    expect(refused.status(), key).toBe(422);
  }
});

test('every answer forbids what it does not need, and the server says that it is there', async ({
  request
}) => {
  const health = await request.get('/healthz');
  expect(await health.json()).toEqual({ ok: true });
  for (const path of ['/', '/healthz', '/api/catalogue', '/api/weather/harrowdale']) {
    const headers = (await request.get(path)).headers();
    expect(headers['x-content-type-options'], path).toBe('nosniff');
    expect(headers['referrer-policy'], path).toBe('no-referrer');
    expect(headers['permissions-policy'], path).toContain('camera=(self)');
    expect(headers['cross-origin-opener-policy'], path).toBe('same-origin');
    expect(headers['content-security-policy'] ?? '', path).toMatch(
      path === '/' ? /'self'|^$/ : /default-src 'none'/
    );
  }
  const text = await request.post('/api/plan', { data: 'a house', headers: { 'content-type': 'text/xml' } });
  expect(text.status()).toBe(415);
  const many = { ...(await classroom()), thermostats: Array.from({ length: 300_000 }, () => ({})) };
  const refused = await request.post('/api/plan', { data: many });
  expect(refused.status()).toBe(422);
  expect((await refused.json()).faults).toEqual([
    { path: 'thermostats', expected: expect.stringContaining('at most'), found: '300000' }
  ]);
});

test('the schema and the catalogue are served', async ({ request }) => {
  for (const version of [1, 2]) {
    const schema = await request.get(`/schema/job.v${version}.json`);
    expect(schema.headers()['content-type']).toContain('schema+json');
    expect((await schema.json()).title).toBe(`Ulterum job, version ${version}`);
  }
  expect((await request.get('/schema/job.v9.json')).status()).toBe(404);
  const catalogue = await (await request.get('/api/catalogue')).json();
  expect(catalogue.devices).toHaveLength(14);
  expect(catalogue.invented).toBe(true);
});

test('POST /api/simulate powers a wiring up, with draws when asked', async ({ request }) => {
  const answer = await request.post('/api/simulate', {
    data: { job: await classroom(), wiring: 'after', draws: 500 }
  });
  expect(answer.status()).toBe(200);
  const body = await answer.json();
  expect(body.calls.map((call: { call: string }) => call.call)).toEqual([
    'idle',
    'heat1',
    'cool1',
    'fan',
    'heat1+fan'
  ]);
  expect(body.calls[2].thermostatVolts).toBeGreaterThan(25);
  expect(body.tolerance).toMatchObject({ draws: 500, window: { min: 18, max: 30 } });
});

/** What is answered in the end: a server whose queue is full says in how many seconds it is worth asking again. */
async function askedAgain(ask: () => Promise<APIResponse>): Promise<APIResponse> {
  const answer = await ask();
  if (answer.status() !== 503) return answer;
  const seconds = Number(answer.headers()['retry-after']);
  expect(seconds).toBeGreaterThan(0);
  await new Promise((done) => setTimeout(done, 1000 * seconds));
  return askedAgain(ask);
}

test(
  'POST /api/simulate refuses what is no house, and stays alive under two hundred bad requests at once',
  { tag: '@wide' },
  async ({ request }) => {
    const job = await classroom();
    const broken = structuredClone(job);
    broken.thermostats[0].cables[0].lengthM = -4;
    const noPlate = structuredClone(job);
    noPlate.equipment[0].transformerVa = 0;
    const crowded = structuredClone(job);
    crowded.thermostats[0].conductors = Array.from({ length: 801 }, (_, at) => ({
      ...job.thermostats[0].conductors[0],
      id: `co-${at}`
    }));
    const bad: [unknown, number, string][] = [
      [{ job: broken }, 422, 'job.thermostats[0].cables[0].lengthM'],
      [{ job: noPlate }, 422, 'job.equipment[0].transformerVa'],
      [{ job: crowded }, 422, 'job.thermostats[0].conductors'],
      [{ job, call: 'polka' }, 422, 'call'],
      [{ job, draws: 1e9 }, 422, 'draws']
    ];
    const answers = await Promise.all(
      Array.from({ length: 200 }, async (_, at) => {
        const [data, status, path] = bad[at % bad.length]!;
        const answer = await askedAgain(() => request.post('/api/simulate', { data }));
        return { got: answer.status(), status, path, faults: (await answer.json()).faults };
      })
    );
    for (const answer of answers) {
      expect(answer.got).toBe(answer.status);
      expect(answer.faults[0].path).toBe(answer.path);
    }
    const large = await request.post('/api/simulate', {
      data: Buffer.alloc(2_050_000, ' '),
      headers: { 'content-type': 'application/json' }
    });
    expect(large.status()).toBe(413);
    const alive = await request.post('/api/simulate', { data: { job } });
    expect(alive.status()).toBe(200);
  }
);
