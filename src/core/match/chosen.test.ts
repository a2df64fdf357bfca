import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import type { Job } from '../job/schema';
import { planFor } from '../plan/plan';
import { findingText } from '../words/findings/table';
import { chosenFindings } from './chosen';

const [classroom] = SCHOOLHOUSE.thermostats;
const withChoice = (device: string | null): Job => ({
  ...SCHOOLHOUSE,
  thermostats: [{ ...classroom!, choice: { ...classroom!.choice, device: device as never } }]
});

describe('a thermostat that was chosen', () => {
  it('and has gone is said, and the plan is for any connected one with a word', () => {
    const job = withChoice('de-sold-out');
    const [gone] = chosenFindings(job, job.thermostats[0]!);
    expect(findingText(gone!)).toMatch(/de-sold-out.*Choose again/);
    const plan = planFor(job, job.thermostats[0]!);
    expect(plan.assumedDevice).toBe(true);
    const ways = plan.options.filter(({ method, after }) => method !== 'none' && after !== null);
    expect(ways.length).toBeGreaterThan(0);
    for (const way of ways) expect(way.findings.map(({ code }) => code)).toContain('device-gone');
    expect(ways.some(({ verdict }) => verdict === 'go')).toBe(false);
  });

  it('and is there, or was never chosen, needs no word', () => {
    for (const device of ['de-fellgate', null])
      expect(chosenFindings(withChoice(device), withChoice(device).thermostats[0]!)).toEqual([]);
  });
});
