/** Ticks of a file of version 1, which knew a move by its words only. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readJob } from '../formats/job-json';
import type { Job } from '../job/schema';
import { apply, invert } from '../job/steps';
import { adoptTicks, withTicksAdopted } from './adopt-ticks';
import { moveKey } from './moves';
import { planFor } from './plan';

function halfDone(): Job {
  const read = readJob(readFileSync('src/core/formats/fixtures/v1/half-done.json', 'utf8'));
  if (!read.ok) throw new Error('the fixture holds');
  return read.job;
}

describe('ticks of an older file', () => {
  const job = halfDone();
  const ticked = job.thermostats.flatMap((thermostat) => thermostat.oldTicks);

  it('are there to be taken over', () => {
    expect(ticked.length).toBeGreaterThan(2);
  });

  it('are in the log with their times where the plan still has the move, and the move is no longer left to do', () => {
    const after = withTicksAdopted(job);
    for (const [index, thermostat] of after.thermostats.entries()) {
      const was = job.thermostats[index]!;
      const keys = planFor(job, was).moves.map(moveKey);
      const fitting = was.oldTicks.filter((tick) => keys.includes(tick.key));
      expect(new Map(thermostat.log.map((entry) => [moveKey(entry.act), entry.at]))).toEqual(
        new Map(fitting.map((entry) => [entry.key, entry.at]))
      );
      const left = new Set(planFor(after, thermostat).moves.map(moveKey));
      for (const { key } of fitting) expect(left.has(key), key).toBe(false);
      expect(thermostat.oldTicks).toEqual([]);
    }
  });

  it('are kept as notes where no move of the plan is meant, so that nothing is lost', () => {
    const [first] = job.thermostats;
    const key = 'land wall co-gone loose C';
    const odd = { ...job, thermostats: [{ ...first!, oldTicks: [{ key, at: '2026-01-02T03:04:05.000Z' }] }] };
    const [thermostat] = withTicksAdopted(odd).thermostats;
    expect(thermostat?.notes).toEqual([
      { at: '2026-01-02T03:04:05.000Z', about: 'move that was ticked', text: key }
    ]);
    expect(thermostat?.log).toEqual([]);
  });

  it('are taken over in one step that can be undone, and once only', () => {
    const step = adoptTicks(job)!;
    const after = apply(job, step);
    expect(apply(after, invert(step))).toEqual(job);
    expect(adoptTicks(after)).toBeNull();
  });
});
