import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { mkdtemp, readFile, readdir, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { writeJob } from '$core/formats/job-json';
import { tryCommand as run, tryJson as json } from './try-command';

describe('the command line', () => {
  it('plans the classroom: a spare wire, the others with verdict and findings', async () => {
    const plan = await json('plan', 'demo/classroom.json');
    expect(plan.recommended).toBe('spare-conductor');
    const option = (method: string) =>
      plan.options.find((candidate: { method: string }) => candidate.method === method);
    expect(option('spare-conductor').verdict).toBe('care');
    expect(option('repurpose-g')).toMatchObject({
      verdict: 'care',
      loses: [expect.stringContaining('Fan alone')]
    });
    expect(option('plug-in-transformer')).toMatchObject({ verdict: 'no' });
    expect(option('plug-in-transformer').findings[0]).toMatchObject({ code: 'function-lost', level: 'stop' });
    expect(plan.before.map((row: { call: string }) => row.call)).toEqual([
      'idle',
      'heat1',
      'cool1',
      'fan',
      'heat1+fan'
    ]);
    expect(plan.moves[0]).toMatchObject({ end: 'equipment', action: 'power-off' });
  });

  it('plans with another model and method', async () => {
    const plan = await json(
      'plan',
      'demo/schoolhouse.json',
      '--thermostat',
      'th-classroom',
      '--model',
      'de-pair',
      '--method',
      'no-c-needed'
    );
    expect(plan).toMatchObject({ model: 'de-pair', method: 'no-c-needed' });
  });

  it('identifies and matches every thermostat of the house', async () => {
    const { thermostats } = await json('identify', 'demo/schoolhouse.json');
    expect(thermostats.map((thermostat: { family: string }) => thermostat.family)).toEqual([
      'furnace-ac',
      'heat-pump',
      'line-voltage'
    ]);
    const matched = await json('match', 'demo/bell-room.json');
    expect(new Set(matched.thermostats[0].models.map((model: { verdict: string }) => model.verdict))).toEqual(
      new Set(['no'])
    );
  });

  it('finds out why: the causes with their shares, the next look, and a remedy once one is settled', async () => {
    const first = await json(
      'diagnose',
      'demo/classroom.json',
      '--wiring',
      'after',
      '--seen',
      'display-dark'
    );
    expect(first.nextTest.id).toBe('head');
    expect(first.causes[0].probability).toBeLessThan(0.8);
    const found = await json(
      'diagnose',
      'demo/classroom.json',
      ...['--wiring', 'after', '--seen', 'display-dark,head-off']
    );
    expect(found.causes[0].fault).toMatch(/^head-not-seated/);
    expect(found.settled.remedy.says).toContain('Press the head');
    const read = await json(
      'diagnose',
      'demo/classroom.json',
      ...['--wiring', 'after', '--seen', 'display-dark'],
      ...['--reading', 'machine.R:machine.C@idle=0.3']
    );
    const fuseAndPower = read.causes.slice(0, 3).map(({ fault }: { fault: string }) => fault.split(':')[0]);
    expect(fuseAndPower).toEqual(expect.arrayContaining(['fuse-open', 'supply-off']));
    const stop = await json('diagnose', 'demo/classroom.json', '--wiring', 'after', '--seen', 'smell');
    expect(stop).toMatchObject({ stop: { id: 'smell' }, nextTest: null, settled: null });
  });

  it('simulates before and after, one call or all', async () => {
    const before = await json('simulate', 'demo/flat.json');
    expect(before.calls.map((call: { call: string }) => call.call)).toEqual([
      'idle',
      'heat1',
      'cool1',
      'fan',
      'aux',
      'emergency'
    ]);
    const after = await json('simulate', 'demo/classroom.json', '--wiring', 'after', '--call', 'cool1');
    expect(after.calls).toHaveLength(1);
    expect(after.calls[0].thermostatVolts).toBeCloseTo(25.9, 1);
    const closed = await json('simulate', 'demo/bell-room.json', '--wiring', 'after');
    expect(closed.findings[0].level).toBe('stop');
  });

  it('checks a file, and names each fault of a bad one with exit 1', async () => {
    expect(await json('check', 'demo/schoolhouse.json')).toMatchObject({
      ok: true,
      thermostats: 3,
      findings: []
    });
    expect((await run('check', 'demo/classroom.json')).out).toContain('1 thermostat, 5 wires.');
    const folder = await mkdtemp(join(tmpdir(), 'ulterum-'));
    const bad = join(folder, 'bad.json');
    const job = SCHOOLHOUSE;
    await writeFile(
      bad,
      writeJob({ ...job, thermostats: [{ ...job.thermostats[0]!, outlet: 'far' as never }] })
    );
    const { code, error } = await run('check', bad);
    expect(code).toBe(1);
    expect(error).toContain('thermostats[0].outlet: expected near, none or unknown, found "far"');
    expect((await run('check', join(folder, 'none.json'))).code).toBe(1);
  });

  it('says what is wrong with a call, with exit 2', async () => {
    const why = async (...words: string[]) => {
      const { code, error } = await run(...words);
      expect(code).toBe(2);
      return error.split('\n')[0];
    };
    expect(await why()).toBe('Name a verb.');
    expect(await why('tests', 'demo/flat.json', '--outdoor', 'warm')).toContain('°C from -60 to 60');
    expect(await why('handover', 'demo/flat.json', '--paper', 'A0')).toContain('A4 or Letter');
    expect(await why('diagnose', 'demo/classroom.json', '--seen', 'display-purple')).toContain(
      'no answer "purple" to display; known: lit, dim, dark'
    );
    expect(
      await why('diagnose', 'demo/classroom.json', '--reading', 'machine.R:machine.Q@heat1=24')
    ).toContain('no screw "machine.Q"');
    expect(await why('spice', 'demo/flat.json')).toContain('Name a call');
    expect(await why('constructor', 'x')).toContain('No verb');
    expect(await why('plan', 'demo/schoolhouse.json')).toContain(
      '--thermostat (th-classroom, th-flat, th-bell-room)'
    );
    expect(await why('plan', 'demo/flat.json', '--model', 'de-x')).toContain('known: de-fellgate');
    expect(
      await why('plan', 'demo/classroom.json', '--method', 'signal-splitter', '--variant', 'sideways')
    ).toContain('known: g-becomes-c, y-becomes-c');
    expect(await why('plan', 'demo/flat.json', '--speed', '9')).toContain('--speed');
    expect(await why('simulate', 'demo/flat.json', '--call', 'polka')).toContain('No call');
  });

  it('writes a netlist whose nodes are named after terminals, and none for a house that has no circuit', async () => {
    const made = await json('spice', 'demo/classroom.json', '--call', 'cool1', '--complex');
    expect(made).toMatchObject({ analysis: 'ac', wiring: 'now', call: 'cool1' });
    expect(made.netlist).toContain(`* ${made.nodes['eq-oil-furnace.Y1']} is eq-oil-furnace.Y1`);
    expect(made.netlist.trimEnd().endsWith('.end')).toBe(true);
    const { code, error } = await run('spice', 'demo/bell-room.json', '--call', 'heat1');
    expect(code).toBe(1);
    expect(error).toContain('no circuit is known');
  });

  it('draws houses and lays faults over them, here as in a thread of its own', async () => {
    const spread = await json('tolerance', 'demo/classroom.json', '--wiring', 'after', '--draws', '300');
    expect(spread).toMatchObject({ draws: 300, seed: 1, window: { min: 18, max: 30 } });
    const idle = spread.calls.find((call: { call: string }) => call.call === 'idle');
    expect(idle.low).toBeLessThan(idle.middle);
    const table = await json('faults', 'demo/classroom.json', '--wiring', 'after', '--call', 'heat1');
    expect(table.rows[0]).toMatchObject({ faults: [], calls: [{ runs: ['burner', 'blower'] }] });
    const bundle = [
      'scripts/ulterum.mjs',
      'faults',
      'demo/classroom.json',
      '--wiring',
      'after',
      '--call',
      'heat1',
      '--json'
    ];
    const { stdout } = await promisify(execFile)(process.execPath, bundle, { maxBuffer: 1e8 });
    expect(JSON.parse(stdout)).toEqual(table);
  }, 60_000);

  it('prints readable pages', async () => {
    const { out } = await run('plan', 'demo/classroom.json');
    expect(out).toContain('Recommended: spare-conductor');
    expect(out.split('\n').every((line) => line.length <= 110)).toBe(true);
    const all = await run('plan', 'demo/ferry-house.json', '--together');
    expect(all.out).toContain('Too much: one of 75 VA would carry it');
    expect(all.out.split('\n').every((line) => line.length <= 110)).toBe(true);
    for (const verb of ['identify', 'match', 'simulate', 'check'])
      expect((await run(verb, 'demo/flat.json')).out).toContain('\n');
  });

  it('writes the demo jobs as they lie in the folder demo', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'ulterum-'));
    expect((await run('demo', '--out', folder)).code).toBe(0);
    for (const file of await readdir(folder)) {
      expect(await readFile(join(folder, file), 'utf8'), file).toBe(
        await readFile(join('demo', file), 'utf8')
      );
    }
  });
});
