/** Settings, tests and hand-over on the command line: the same core as the screens. */
import { mkdtemp, readdir, readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { tryCommand as run, tryJson as json } from './try-command';

describe('settings', () => {
  it('are in the words of the device, each with its reason and what goes wrong otherwise', async () => {
    const { settings, style, wiring } = await json('settings', 'demo/flat.json');
    expect([style, wiring]).toEqual(['menus', 'after']);
    const valve = settings.find(({ setting }: { setting: string }) => setting === 'valve');
    expect(valve).toMatchObject({ value: 'O', device: 'Wiring: valve: O' });
    expect(valve.otherwise[0]).toMatchObject({
      value: 'B',
      says: expect.stringContaining('it cools when it calls for heat')
    });
    expect((await run('settings', 'demo/flat.json')).out).toContain('Kind of system: heat pump');
  });

  it('of another model are in its own style', async () => {
    const { style } = await json('settings', 'demo/classroom.json', '--model', 'de-kettering');
    expect(style).toBe('numbers');
  });

  it('are none for a house that is stopped, and that is said with its place', async () => {
    const { code, error } = await run('settings', 'demo/bell-room.json');
    expect(code).toBe(1);
    expect(error).toContain('th-bell-room');
    expect(error).toContain('mains voltage');
  });
});

describe('tests', () => {
  const cooling = async (...more: string[]) =>
    (await json('tests', 'demo/classroom.json', ...more)).tests.find(
      ({ call }: { call: string }) => call === 'cool1'
    );

  it.each([
    [[], false, null],
    [['--outdoor', '15.9'], false, 'too-cold'],
    [['--outdoor', '16'], true, null]
  ] as const)('with %j: cooling open %s', async (more, open, why) => {
    const test = await cooling(...more);
    expect(test.open).toBe(open);
    expect(test.putOff?.why ?? null).toBe(why);
    if (why) expect(test.putOff.until).toMatch(/^\d{4}-\d\d-\d\d$/);
  });

  it('name what must run and what must not, in a safe order', async () => {
    const { tests } = await json('tests', 'demo/mill-cottage.json');
    expect(tests.map(({ call }: { call: string }) => call)).toEqual([
      'heat1',
      'idle',
      'cool1',
      'fan',
      'heat1+fan'
    ]);
    expect(tests[0]).toMatchObject({ mustRun: ['burner', 'blower'], mustNotRun: ['compressor'] });
    expect((await run('tests', 'demo/mill-cottage.json')).out).toContain(
      'read the temperature outdoors first'
    );
  });
});

describe('handover', () => {
  it('gives the record as built, with its codes', async () => {
    const record = await json('handover', 'demo/mill-cottage.json');
    expect(record.changes.length).toBeGreaterThan(5);
    expect(record.codes[0]).toMatch(/\/left#1\.\d\.[0-9a-f]{8}\./);
    expect(record.wires.find(({ name }: { name: string }) => name === 'blue')).toMatchObject({
      wall: { mark: 'C' }
    });
    expect((await run('handover', 'demo/mill-cottage.json')).out).toContain('Changed:');
  });

  it('writes the sheets, the labels, CSV and SPICE where it is told', async () => {
    const out = await mkdtemp(join(tmpdir(), 'ulterum-'));
    const { files } = await json('handover', 'demo/mill-cottage.json', '--out', out, '--paper', 'letter');
    expect((await readdir(out)).length).toBe(files.length);
    expect(await readFile(join(out, 'as-built.csv'), 'utf8')).toContain('wall_terminal');
    expect(await readFile(join(out, 'as-built.cir'), 'utf8')).toMatch(/\.end\s*$/i);
    const sheet = files.find((file: string) => file.includes('door-sheet'));
    expect(await readFile(sheet, 'utf8')).toContain('215.9mm');
  });

  it('has codes that lead to the server that is named, and says so where none is', async () => {
    const { codes } = await json('handover', 'demo/mill-cottage.json', '--origin', 'https://ulterum.example');
    expect(codes[0]).toMatch(/^https:\/\/ulterum\.example\/left#/);
    const out = await mkdtemp(join(tmpdir(), 'ulterum-'));
    expect((await run('handover', 'demo/mill-cottage.json', '--out', out)).out).toContain('name no server');
    expect((await run('handover', 'demo/mill-cottage.json', '--origin', 'here')).code).toBe(2);
  });

  it('of a house where nothing is done says what is not', async () => {
    const record = await json('handover', 'demo/classroom.json');
    expect(record.changes).toEqual([]);
    expect(record.cautions.map(({ code }: { code: string }) => code)).toContain('not-finished');
  });
});
