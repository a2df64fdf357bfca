import { describe, expect, it } from 'vitest';
import { deflateSync, strToU8 } from 'fflate';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { planFor } from '../plan/plan';
import { MOST_LINK_CHARACTERS, readJobLink, writeJobLink } from './job-link';

const classroom = SCHOOLHOUSE.thermostats[0]!;
const packed = (text: string) => Buffer.from(deflateSync(strToU8(text))).toString('base64url');

describe('a job in an address', () => {
  it('brings the other phone the same steps, without photos and survey, in few enough characters for a code', () => {
    const link = writeJobLink(SCHOOLHOUSE, classroom);
    expect(link).toMatch(/^[A-Za-z0-9_-]+$/);
    expect(link.length).toBeLessThanOrEqual(MOST_LINK_CHARACTERS);
    const read = readJobLink(link);
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    const moves = (job: typeof SCHOOLHOUSE) =>
      planFor(job, job.thermostats[0]!, { method: 'spare-conductor' }).moves.map(({ text }) => text);
    const alone = { ...SCHOOLHOUSE, thermostats: [classroom] };
    expect(moves(read.job)).toEqual(moves(alone));
    expect(read.job.thermostats).toHaveLength(1);
    expect(read.job.survey.building.floorAreaM2).toBeNull();
  });

  it.each(['', 'no code at all!', 'AAAA', packed('{"format":"else"}'), packed('not JSON')])(
    'refuses %j with a word',
    (text) => {
      const read = readJobLink(text);
      expect(read.ok).toBe(false);
      if (!read.ok) expect(read.faults.length).toBeGreaterThan(0);
    }
  );

  it('does not unpack what would fill the memory', () => {
    const bomb = packed('0'.repeat(30_000_000));
    expect(readJobLink(bomb).ok).toBe(false);
  });
});
