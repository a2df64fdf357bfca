/** A list is refused by its length before anybody looks at what is in it, and faults are no list without end. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { MOST_FAULTS } from '../job/faults';
import { LIMITS } from '../job/limits';
import { readRawJob } from './job-json';

describe('a list that is far too long', () => {
  const text = readFileSync('demo/schoolhouse.json', 'utf8');
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
