/** What is recognised, what is asked next and what is stopped, over three houses of every family. */
import { describe, expect, it } from 'vitest';
import { identify } from '../identify/identify';
import type { Family } from '../trade/vocabulary';
import { FAMILY_HOUSES, type Kind } from './families';

const cases = Object.entries(FAMILY_HOUSES).flatMap(([family, trio]) =>
  (Object.keys(trio) as Kind[]).map((kind) => {
    const { job, thermostat } = trio[kind]();
    return { family: family as Family, kind, result: identify(job, thermostat) };
  })
);
const stops = (result: (typeof cases)[number]['result']) =>
  result.findings.filter((finding) => finding.level === 'stop').map((finding) => finding.code);

describe('over all families', () => {
  it.each(cases)('never believes a wrong one more than not: $family, $kind', ({ family, result }) => {
    const wrong = result.candidates.filter(
      (candidate) => candidate.family !== family && candidate.family !== 'unknown'
    );
    for (const ranked of wrong) expect(ranked.probability, ranked.family).toBeLessThanOrEqual(0.5);
  });

  it.each(cases.filter((candidate) => candidate.kind === 'plain'))(
    'recognises the plain house: $family',
    ({ family, result }) => {
      expect(result.family).toBe(family);
      expect(result.decided).toBe(true);
    }
  );

  it.each(cases.filter((candidate) => candidate.kind === 'incomplete'))(
    'asks on in the incomplete house: $family',
    ({ result }) => {
      expect(result.next.length).toBeGreaterThan(0);
    }
  );

  it.each(cases.filter((candidate) => candidate.kind === 'contradictory'))(
    'names both sides, or stops, in the contradictory house: $family',
    ({ result }) => {
      const named = result.findings.some((finding) => finding.code === 'evidence-disagrees');
      expect(named || stops(result).length > 0 || !result.decided).toBe(true);
    }
  );

  it.each(
    cases.filter((candidate) =>
      ['line-voltage', 'millivolt', 'mains-hydronic', 'communicating'].includes(candidate.family)
    )
  )('stops before a dangerous class: $family, $kind', ({ result }) => {
    expect(stops(result).length).toBeGreaterThan(0);
    expect(result.voltageClass).not.toBe('24v');
  });

  it.each(
    cases.filter(
      (candidate) =>
        candidate.kind === 'plain' &&
        !['line-voltage', 'millivolt', 'mains-hydronic', 'communicating'].includes(candidate.family)
    )
  )('stops nothing in a plain 24 V house: $family', ({ result }) => {
    expect(stops(result)).toEqual([]);
  });
});

describe('the voltage class', () => {
  it('of each dangerous family is named in its plain house', () => {
    const classOf = (family: Family) =>
      cases.find((candidate) => candidate.family === family && candidate.kind === 'plain')?.result
        .voltageClass;
    expect(classOf('line-voltage')).toBe('line');
    expect(classOf('mains-hydronic')).toBe('line');
    expect(classOf('millivolt')).toBe('millivolt');
    expect(classOf('communicating')).toBe('data');
  });

  it('tells mains heating controls from a mains heater in its sentence', () => {
    const codes = (family: Family) =>
      stops(cases.find((candidate) => candidate.family === family && candidate.kind === 'plain')!.result);
    expect(codes('mains-hydronic')).toContain('mains-controls');
    expect(codes('line-voltage')).toContain('line-voltage');
  });
});
