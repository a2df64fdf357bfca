/** Whatever comes in is taken, or refused with a place: a few hundred files of each kind that a seed has broken. */
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { chanceFrom } from '../../trade/random';
import { breakBytes, breakTable, breakText, breakValue } from './break';
import { fuzzMany, noFigure } from './fuzz';
import { FUZZ_KINDS, type FuzzMeans } from './kinds';

const folder = 'src/core/formats/fixtures/v1';
const files = [
  ...['schoolhouse', 'ferry-house'].map((name) => `demo/${name}.json`),
  ...readdirSync(folder)
    .filter((name) => /^(half-done|odd-marks|zones-three|old-adapter).*\.json$/.test(name))
    .map((name) => `${folder}/${name}`)
];
const jobs = files.map((name) => JSON.parse(readFileSync(name, 'utf8')) as unknown);
/** A clock that stands still: how long it takes is no matter of the tests. */
const still = () => 0;

// A year of weather has thousands of lines and few that differ.
const COUNTS = { jobs: 160, 'lists of wires': 120, weather: 40, devices: 200, bundles: 160 } as const;

describe('a broken file', () => {
  it.each(FUZZ_KINDS)('is taken or refused with a place, and no figure of it is none: %s', (kind) => {
    const means: FuzzMeans = { jobs, plans: false };
    const { taken, refused, wrongs } = fuzzMany(
      kind,
      { seed: 7, from: 0, count: COUNTS[kind] },
      means,
      still
    );
    expect(wrongs).toEqual([]);
    expect(taken + refused).toBe(COUNTS[kind]);
    // Broken enough to be refused, and not so much that nothing gets through.
    expect(refused).toBeGreaterThan(0);
    expect(taken).toBeGreaterThan(0);
  });

  it.each(['jobs', 'devices'] as const)('that is taken can be planned: %s', (kind) => {
    const { wrongs } = fuzzMany(kind, { seed: 11, from: 0, count: 24 }, { jobs, plans: true }, still);
    expect(wrongs).toEqual([]);
  });
});

describe('the check of what comes out', () => {
  it('finds a number that is none, wherever it is', () => {
    expect(noFigure({ a: [1, { b: NaN }] }, 'result')).toBe('result.a.1.b');
    expect(noFigure([-Infinity], 'result')).toBe('result.0');
    expect(noFigure({ a: null, b: 'NaN', c: 0 }, 'result')).toBeNull();
  });

  it('counts what throws, and what is refused without a place, as wrong', () => {
    const broken: FuzzMeans = { jobs: [null], plans: false };
    const { wrongs } = fuzzMany('devices', { seed: 1, from: 5, count: 1 }, broken, still);
    expect(wrongs).toMatchObject([{ file: 5, what: expect.stringContaining('thrown') as string }]);
  });

  it('breaks in the same way for the same seed, and really breaks', () => {
    const text = 'id,cable\nco-1,ca-1\n';
    for (const breaks of [breakText, breakTable]) {
      expect(breaks(chanceFrom(4), text)).toBe(breaks(chanceFrom(4), text));
      const all = Array.from({ length: 30 }, (_, seed) => breaks(chanceFrom(seed), text));
      expect(all.filter((word) => word !== text).length).toBeGreaterThan(20);
    }
    const bytes = Uint8Array.from({ length: 200 }, (_, at) => at);
    expect(breakBytes(chanceFrom(2), bytes)).not.toEqual(bytes);
    expect(breakValue(chanceFrom(3), { a: { b: 1 } })).not.toEqual({ a: { b: 1 } });
  });
});
