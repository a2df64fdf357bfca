import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { emptyThermostat, newJob } from '$core/job/create';
import { makeId } from '$core/job/ids';
import { writeJob } from '$core/formats/job-json';
import { mainsHouse, MAINS_SKETCHES, type MainsHouse } from '$core/houses/mains-houses';
import { tryCommand, tryJson } from './try-command';

let folder = '';
const QUARRY = join('demo', 'quarry-row.json');
const HOUSE = ['--thermostat', 'th-quarry-house'];
const ANNEXE = ['--thermostat', 'th-quarry-annexe'];
const HOUSES = Object.keys(MAINS_SKETCHES) as MainsHouse[];

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'ulterum-mains-'));
  for (const name of HOUSES) {
    const id = makeId('thermostat', 'm');
    const job = {
      ...newJob(makeId('job', name), name),
      equipment: [],
      thermostats: [
        { ...emptyThermostat(id, name, []), statedFamily: 'mains-hydronic' as const, mains: mainsHouse(name) }
      ]
    };
    await writeFile(join(folder, `${name}.json`), writeJob(job));
  }
});

describe('mains controls on the command line', () => {
  it('names both layouts of the demo house', async () => {
    const { thermostats } = await tryJson('identify', QUARRY);
    expect(
      (thermostats as { family: string; layout: string }[]).map(({ family, layout }) => [family, layout])
    ).toEqual([
      ['mains-hydronic', 'two-valve'],
      ['mains-hydronic', 'mid-position']
    ]);
  });

  it('says what fits, plans for somebody licensed, and lists moves', async () => {
    const { thermostats } = await tryJson('match', QUARRY);
    const annexe = (
      thermostats as { models: { model: string; methods: { method: string; verdict: string }[] }[] }[]
    )[1];
    const solo = annexe?.models.find(({ model }) => model === 'ct-pennhollow-solo');
    expect(solo?.methods.find(({ method }) => method === 'replace-both')?.verdict).toBe('no');
    const plan = await tryJson(
      'plan',
      QUARRY,
      ...ANNEXE,
      '--model',
      'ct-oskerry-twin',
      '--method',
      'replace-both'
    );
    expect(plan['options'][0]).toMatchObject({ method: 'replace-both', verdict: 'pro' });
    expect((plan['moves'] as { what: string }[]).map(({ what }) => what)).toContain('dead-l-n');
    expect((plan['after'] as { amiss: string[] }[]).flatMap(({ amiss }) => amiss)).toEqual([]);
  });

  it('solves a call, before and after, and writes it for SPICE', async () => {
    const call = await tryJson(
      'simulate',
      QUARRY,
      ...HOUSE,
      '--call',
      'heating+hot-water',
      '--wiring',
      'after'
    );
    expect(call['calls'][0]).toMatchObject({
      heatingWay: 'open',
      waterWay: 'open',
      boiler: true,
      pump: true
    });
    const { out } = await tryCommand('spice', QUARRY, ...HOUSE, '--call', 'heating');
    expect(out).toContain('.op');
    expect(out).toContain('md-boiler:boiler');
  });

  it('finds out why from what was seen, and says what to look at next', async () => {
    const found = await tryJson('diagnose', QUARRY, ...HOUSE, '--seen', 'boiler@heating=no,boiler@water=yes');
    const kinds = (found['causes'] as { causes: { kind: string }[] }[])[0]?.causes.map(({ kind }) => kind);
    expect(kinds).not.toContain('supply-off');
    expect(found['nextTest']).not.toBeNull();
  });

  it('gives settings, tests and the strip as built, with its papers', async () => {
    expect((await tryJson('settings', QUARRY, ...HOUSE))['settings']).not.toEqual([]);
    expect((await tryJson('tests', QUARRY, ...ANNEXE))['tests']).toHaveLength(6);
    const out = join(folder, 'papers');
    expect((await tryCommand('handover', QUARRY, ...HOUSE, '--out', out)).code).toBe(0);
    expect(await readFile(join(out, 'as-built.csv'), 'utf8')).toContain('wiring centre,4,timer');
    expect(await readFile(join(out, 'strip-sheet-1.svg'), 'utf8')).toContain('Wiring centre as built');
  });

  it.each(HOUSES)('runs every verb over %s', async (name) => {
    const file = join(folder, `${name}.json`);
    for (const words of [
      ['check', file],
      ['identify', file],
      ['match', file],
      ['plan', file],
      ['simulate', file],
      ['spice', file, '--call', 'heating'],
      ['diagnose', file],
      ['settings', file],
      ['tests', file],
      ['handover', file]
    ]) {
      const { code, out } = await tryCommand(...words);
      expect([words[0], code]).toEqual([words[0], 0]);
      expect(out.length).toBeGreaterThan(0);
    }
  });

  it.each([
    [['plan', QUARRY, ...HOUSE, '--model', 'ct-nobody'], 'No controller ct-nobody'],
    [
      ['plan', QUARRY, ...HOUSE, '--method', 'spare-conductor'],
      'No method spare-conductor for mains controls'
    ],
    [['plan', QUARRY, ...HOUSE, '--method', 'replace-both', '--variant', 'nowhere'], 'No such way here'],
    [['simulate', QUARRY, ...HOUSE, '--call', 'cool1'], 'Mains controls have the calls'],
    [['diagnose', QUARRY, ...HOUSE, '--seen', 'boiler@heating=perhaps'], 'no look boiler@heating=perhaps'],
    [['plan', QUARRY], 'name one with --thermostat']
  ])('says plainly what does not exist: %j', async (words, why) => {
    const { code, error } = await tryCommand(...words);
    expect(code).toBe(2);
    expect(error).toContain(why);
  });
});
