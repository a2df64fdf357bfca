/** Every kind of value that a job may not hold, with the place that is named and what was expected there. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { CATALOGUE } from '../match/catalogue';
import { makeId } from '../job/ids';
import type { Job } from '../job/schema';
import { readRawJob, readRawJobInParts, writeJob } from './job-json';
import { faultText } from '../job/faults';

type Raw = Record<string, unknown>;
const own = { ...CATALOGUE[0]!, id: makeId('device', 'own') };
const fresh = (): Job => JSON.parse(writeJob({ ...SCHOOLHOUSE, devices: [own] })) as Job;

/** What is said of the job with `value` put at `path`. */
function faultsWith(path: readonly (string | number)[], value: unknown): string[] {
  const raw = fresh();
  let at = raw as unknown as Raw;
  for (const key of path.slice(0, -1)) at = at[key] as Raw;
  const last = path.at(-1)!;
  if (value === undefined) delete at[last];
  else at[last] = value;
  const read = readRawJob(raw);
  return read.ok ? [] : read.faults.map(faultText);
}

const TH = ['thermostats', 0] as const;
const CO = [...TH, 'conductors', 1] as const;
const EQ = ['equipment', 0] as const;
const DE = ['devices', 0] as const;

describe('a job file that does not hold', () => {
  it('is none as it stands', () => {
    expect(readRawJob(fresh()).ok).toBe(true);
  });

  it.each<[readonly (string | number)[], unknown, string]>([
    [['name'], '', 'name: expected a name, found ""'],
    [['name'], 7, 'name: expected text, found 7'],
    [['id'], 'schoolhouse', 'id: expected '],
    [['units', 'length'], 'ell', 'units.length: expected m or ft, found "ell"'],
    [['units', 'temperature'], undefined, 'units.temperature: expected '],
    [['note'], 'x'.repeat(4001), 'note: expected at most 4000 characters'],
    [['thermostats'], {}, 'thermostats: expected '],
    [['survey', 'workDay'], 'tomorrow', 'survey.workDay: expected '],
    [[...TH, 'name'], 'x'.repeat(121), 'thermostats[0].name: expected at most 120 characters'],
    [
      [...TH, 'screws', 2, 'mark'],
      'w',
      'thermostats[0].screws[2].mark: expected a mark of at most 12 capitals'
    ],
    [[...TH, 'screws', 0, 'id'], '', 'thermostats[0].screws[0].id: expected '],
    [
      [...TH, 'screws', 0, 'role'],
      { means: 'magic', from: 'plate' },
      'thermostats[0].screws[0].role.means: expected '
    ],
    [
      [...TH, 'screws', 0, 'role'],
      { means: 'common', from: 'hearsay' },
      'thermostats[0].screws[0].role.from: expected '
    ],
    [[...TH, 'oldSupply'], 'sun', 'thermostats[0].oldSupply: expected '],
    [[...TH, 'equipment', 0], 'th-classroom', 'thermostats[0].equipment[0]: expected '],
    [[...TH, 'outlet'], 'far', 'thermostats[0].outlet: expected near, none or unknown, found "far"'],
    [[...TH, 'choice', 'method'], 'glue', 'thermostats[0].choice.method: expected '],
    [[...TH, 'choice', 'device'], 'fellgate', 'thermostats[0].choice.device: expected '],
    [[...TH, 'statedFamily'], 'stove', 'thermostats[0].statedFamily: expected '],
    [
      [...TH, 'observed', 'flue'],
      ['burner'],
      'thermostats[0].observed.flue: expected an answer or a reading'
    ],
    [[...TH, 'minds'], { cost: 9, work: 1, looks: 1 }, 'thermostats[0].minds.cost: expected '],
    [
      [...TH, 'cables', 0, 'gauge'],
      12,
      'thermostats[0].cables[0].gauge: expected a gauge of 16, 18, 20 or 22 AWG, found 12'
    ],
    [
      [...TH, 'cables', 0, 'lengthM'],
      0,
      'thermostats[0].cables[0].lengthM: expected a number above 0, found 0'
    ],
    [
      [...TH, 'cables', 0, 'lengthM'],
      5000,
      'thermostats[0].cables[0].lengthM: expected a number of at most 1000'
    ],
    [
      [...TH, 'cables', 0, 'path'],
      'loose',
      'thermostats[0].cables[0].path: expected free, stapled or unknown'
    ],
    [
      [...CO, 'colour'],
      'red',
      'thermostats[0].conductors[1].colour: expected a colour code such as RD, WH or BU, found "red"'
    ],
    [
      [...CO, 'continuity'],
      'perhaps',
      'thermostats[0].conductors[1].continuity: expected untested, proven or broken'
    ],
    [[...CO, 'near'], null, 'thermostats[0].conductors[1].near: expected '],
    [[...CO, 'near', 'state'], 'hanging', 'thermostats[0].conductors[1].near.state: expected '],
    [
      [...CO, 'far', 'on', 0, 'at'],
      'furnace',
      'thermostats[0].conductors[1].far.on[0].at: expected the id of a thermostat, a machine or a place'
    ],
    [
      [...CO, 'splices'],
      [{ id: 'sp-1', colourBeyond: 'RD', seen: 'yes', place: '' }],
      'thermostats[0].conductors[1].splices[0].seen: expected true or false'
    ],
    [[...CO, 'position'], 1.5, 'thermostats[0].conductors[1].position: expected a whole number'],
    [[...TH, 'links', 0, 'kind'], 'tape', 'thermostats[0].links[0].kind: expected wire, clip or inside'],
    [[...TH, 'links', 0, 'a', 'screw'], 'R H', 'thermostats[0].links[0].a.screw: expected '],
    [
      [...TH, 'signal', 0, 'at'],
      'noon',
      'thermostats[0].signal[0].at: expected a time such as 2026-01-31T08:30:00.000Z'
    ],
    [[...TH, 'oldTicks'], [{ key: 'x', at: '2026-01-01' }], 'thermostats[0].oldTicks[0].at: expected a time'],
    [[...EQ, 'transformerVa'], -40, 'equipment[0].transformerVa: expected a number above 0, found -40'],
    [[...EQ, 'plannedVa'], 150, 'equipment[0].plannedVa: expected a number of at most 100'],
    [[...EQ, 'fuseAmps'], '3', 'equipment[0].fuseAmps: expected a number, found "3"'],
    [[...EQ, 'kind'], 'stove', 'equipment[0].kind: expected one of furnace, air-handler'],
    [
      [...EQ, 'accessories'],
      [{ kind: 'sauna', ownRelay: 'yes', note: '' }],
      'equipment[0].accessories[0].kind: expected one of humidifier'
    ],
    [[...DE, 'supply'], 'wind', 'devices[0].supply: expected one of common-required'],
    [[...DE, 'heatStages'], 5, 'devices[0].heatStages: expected at most 4'],
    [[...DE, 'drawVa'], 'five', 'devices[0].drawVa: expected a number, found "five"'],
    [[...DE, 'heatPump'], 1, 'devices[0].heatPump: expected true or false'],
    [[...DE, 'rails'], 'three-r', 'devices[0].rails: expected one of one-r']
  ])('%j: %j', (path, value, said) => {
    const faults = faultsWith(path, value);
    expect(faults.length).toBeGreaterThan(0);
    expect(
      faults.some((fault) => fault.startsWith(said)),
      faults.join('\n')
    ).toBe(true);
  });

  it('names a key that nobody knows, wherever it stands, so that a slip of the pen is not lost in silence', () => {
    for (const path of [['colour'], [...TH, 'colour'], [...CO, 'color'], [...EQ, 'va'], [...DE, 'watts']])
      expect(faultsWith(path, 1).join(), path.join('.')).toContain('expected no such key');
  });

  it('is told all of its faults at once, not one after the other', () => {
    const raw = fresh() as unknown as { name: string; equipment: Raw[]; thermostats: Raw[] };
    raw.name = '';
    raw.equipment[0]!['fuseAmps'] = -1;
    raw.thermostats[1]!['outlet'] = 'far';
    const read = readRawJob(raw);
    const paths = read.ok ? [] : read.faults.map((fault) => fault.path);
    expect(paths).toEqual(expect.arrayContaining(['name', 'equipment[0].fuseAmps', 'thermostats[1].outlet']));
  });
});

describe('a job that is read a thermostat at a time', () => {
  const text = readFileSync('demo/schoolhouse.json', 'utf8');
  const raw = () => JSON.parse(text) as { thermostats: Record<string, unknown>[]; name: unknown };

  it('is the one that is read at once, and lets the page answer between them', async () => {
    let pauses = 0;
    const read = await readRawJobInParts(raw(), async () => void (pauses += 1));
    expect(read).toEqual(readRawJob(raw()));
    expect(pauses).toBe(raw().thermostats.length + 1);
    // A key at another place would be another file.
    expect(read.ok && writeJob(read.job)).toBe(text);
  });

  it.each([
    ['a thermostat that is none', { ...raw(), thermostats: [...raw().thermostats, {}] }],
    ['no list of them', { ...raw(), thermostats: 'three' }],
    ['a fault beside them', { ...raw(), name: 7 }],
    ['another format', { ...raw(), format: 'other' }],
    ['nothing', null]
  ])('says the same of %s', async (_, broken) => {
    const read = await readRawJobInParts(broken, async () => undefined);
    expect(read.ok).toBe(false);
    expect(read).toEqual(readRawJob(broken));
  });
});
