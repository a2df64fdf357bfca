/** Whatever comes in is taken, or refused with a place: jobs that a seed has broken, of this version and of the first. */
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { identify } from '../identify/identify';
import { planFor } from '../plan/plan';
import { MOST_FAULTS } from '../job/faults';
import { LIMITS } from '../job/limits';
import { chanceFrom, type Chance } from '../trade/random';
import { readRawJob } from './job-json';

const files = [
  ...['schoolhouse', 'ferry-house'].map((name) => `demo/${name}.json`),
  ...readdirSync('src/core/formats/fixtures/v1')
    .filter((name) => name.endsWith('.json') && !name.startsWith('expected'))
    .filter((name) => /half-done|odd-marks|zones-three|old-adapter/.test(name))
    .map((name) => `src/core/formats/fixtures/v1/${name}`)
];
const originals = files.map((name) => [name, readFileSync(name, 'utf8')] as const);

const ODD: readonly unknown[] = [
  null,
  '',
  'x'.repeat(5000),
  0,
  -1,
  1e308,
  NaN,
  true,
  [],
  [[]],
  [null],
  {},
  { a: { b: [] } },
  '2026-13-45T99:99:99Z',
  'th-1',
  '__proto__'
];

/** Puts odd values, or twice the same, somewhere in a file. */
function broken(chance: Chance, value: unknown): unknown {
  const places: { readonly of: Record<string, unknown>; readonly key: string }[] = [];
  const walk = (node: unknown): void => {
    if (typeof node !== 'object' || node === null) return;
    for (const key of Object.keys(node)) {
      places.push({ of: node as Record<string, unknown>, key });
      walk((node as Record<string, unknown>)[key]);
    }
  };
  walk(value);
  for (let count = 1 + Math.floor(chance.next() * 3); count > 0; count -= 1) {
    const { of, key } = chance.pick(places);
    if (Array.isArray(of) && chance.happens(0.3)) of.push(structuredClone(of[Number(key)]));
    else if (chance.happens(0.15)) delete of[key];
    else of[key] = structuredClone(chance.pick(ODD));
  }
  return value;
}

describe('a job that something has broken', () => {
  it.each(originals)('is taken or refused with a place: %s', (_, text) => {
    const chance = chanceFrom(text.length);
    let taken = 0;
    for (let round = 0; round < 60; round += 1) {
      const raw = broken(chance, JSON.parse(text));
      const label = `round ${round}`;
      const read = readRawJob(raw);
      if (!read.ok) {
        expect(read.faults.length, label).toBeGreaterThan(0);
        for (const fault of read.faults) expect(fault.path, label).not.toBe('');
        continue;
      }
      taken += 1;
      for (const thermostat of read.job.thermostats) {
        expect(Number.isFinite(identify(read.job, thermostat).probability), label).toBe(true);
        if (taken < 4) expect(planFor(read.job, thermostat).options.length, label).toBeGreaterThan(0);
      }
    }
  });
});

describe('a list that is far too long', () => {
  const [, text] = originals[0]!;
  const job = () => JSON.parse(text) as Record<string, unknown[]>;

  it('is refused by its length, with its place, before its members are looked at', () => {
    const touched = new Proxy({}, { ownKeys: () => expect.fail('a member was looked at') });
    const read = readRawJob({ ...job(), thermostats: Array.from({ length: 300_000 }, () => touched) });
    expect(read).toEqual({
      ok: false,
      faults: [{ path: 'thermostats', expected: `at most ${LIMITS.thermostats.read}`, found: '300000' }]
    });
    const [first, ...rest] = job()['thermostats'] as Record<string, unknown>[];
    const inside = readRawJob({
      ...job(),
      thermostats: [{ ...first, conductors: Array.from({ length: 50_000 }, () => ({})) }, ...rest]
    });
    expect(!inside.ok && inside.faults[0]).toMatchObject({
      path: 'thermostats[0].conductors',
      found: '50000'
    });
  });

  it('of things that are none makes so many faults and no more', () => {
    const read = readRawJob({ ...job(), thermostats: Array.from({ length: 150 }, () => ({})) });
    expect(!read.ok && read.faults).toHaveLength(MOST_FAULTS + 1);
    expect(!read.ok && read.faults.at(-1)?.found).toMatch(/^\d+ more faults$/);
  });
});
