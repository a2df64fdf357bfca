/** Small words that the screens share. */
import { describe, expect, it } from 'vitest';
import { planFor } from '$core/plan/plan';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { fileName, readText } from './files/download';
import { photoName } from './photos/words';
import { timeText } from './safety/words';
import { callsText } from './supply/words';
import { hoursText } from './survey/words';

describe('hours', () => {
  it.each([
    [0.25, '15 minutes'],
    [1 / 60, '1 minute'],
    [1, '1 hour'],
    [2.5, '2.5 hours'],
    [9.96, '10 hours'],
    [30, '30 hours'],
    [60, '2.5 days'],
    [72, '3 days'],
    [Infinity, 'more than 4 days']
  ])('%s are said as “%s”', (hours, text) => {
    expect(hoursText(hours)).toBe(text);
  });
});

describe('a time', () => {
  it('is a time of day today, and has its day on any other', () => {
    const now = new Date(2026, 2, 1, 12);
    const today = timeText(new Date(2026, 2, 1, 9, 5).toISOString(), now);
    const before = timeText(new Date(2026, 1, 27, 9, 5).toISOString(), now);
    expect(today).toMatch(/^today .*9[:.]05/);
    expect(before).not.toContain('today');
    expect(before).toMatch(/2026|26/);
  });
});

describe('names of files and photos', () => {
  it.each([
    ['The old schoolhouse', 'the-old-schoolhouse.json'],
    ['  Café & Söhne / 2 ', 'cafe-sohne-2.json'],
    ['日本', 'job.json'],
    ['', 'job.json']
  ])('“%s” becomes %s', (name, expected) => {
    expect(fileName(name, 'json')).toBe(expected);
  });

  it('fall back to what a photo shows', () => {
    expect(photoName({ of: 'wall', caption: '' })).toBe('The wall');
    expect(photoName({ of: 'wall', caption: 'Left of the door' })).toBe('Left of the door');
  });
});

describe('a file that is chosen', () => {
  it('is refused by its size before it is read', async () => {
    const large = new File(['x'.repeat(3_000_000)], 'large.csv');
    expect(await readText(large, 2_000_000)).toEqual({
      ok: false,
      why: 'large.csv has 3.0 MB; at most 2 MB are read.'
    });
    expect(await readText(new File(['a,b'], 'small.csv'), 2_000_000)).toEqual({ ok: true, text: 'a,b' });
  });
});

describe('a proof in one line', () => {
  const of = (at: number) => {
    const plan = planFor(SCHOOLHOUSE, SCHOOLHOUSE.thermostats[at]!);
    return plan.options.find((option) => option.method === plan.taken)!.proof!;
  };

  it('says how many calls were solved, and between what the thermostat gets, at the worst as well', () => {
    expect(callsText(of(0))).toBe(
      '5 calls solved; 25.6 to 27.1 V at the thermostat (21.8 to 30.6 in the worst case)'
    );
  });

  it('leaves the worst out where nominal values fail already', () => {
    const [world] = of(0).worlds;
    const rows = world!.rows.map((row) => ({ ...row, voltsLow: null, voltsHigh: null }));
    expect(callsText({ ...of(0), worlds: [{ ...world!, rows }] })).toMatch(/at the thermostat$/);
  });

  it('says in how many ways, where the system is not settled, and no volts where none is fed', () => {
    const [world] = of(0).worlds;
    const unfed = { ...world!, rows: world!.rows.map((row) => ({ ...row, voltsAfter: null })) };
    expect(callsText({ ...of(0), worlds: [unfed, unfed] })).toBe('5 calls solved, 2 ways each');
  });
});
