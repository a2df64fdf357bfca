/** What is done for several thermostats at once: in the log of each whose move it is, and back again. */
import { describe, expect, it } from 'vitest';
import { choosing, zonedHouse } from '../houses/zoned-houses';
import type { Job } from '../job/schema';
import { apply } from '../job/steps';
import { doJointMove, jointDone, takeJointBack } from './joint-doing';
import { moveKey } from './moves';
import { planTogether } from './together';

const at = (minute: number) => `2026-03-01T09:${String(minute).padStart(2, '0')}:00.000Z`;
const zones = choosing(zonedHouse(3), 'de-fellgate', 'spare-conductor');

/** The first `count` moves of the list of all, one after the other. */
function doing(job: Job, count: number): Job {
  return Array.from({ length: count }).reduce<Job>((so, _, minute) => {
    const { places, moves } = planTogether(so);
    return apply(so, doJointMove(so, places, moves[0]!, at(minute)));
  }, job);
}

describe('the work on several thermostats', () => {
  it('is written down for each whose move it is: power once for all, a wire for its own', () => {
    const { moves } = planTogether(zones);
    const job = doing(zones, 3);
    const logs = job.thermostats.map((thermostat) => thermostat.log.map((entry) => moveKey(entry.act)));
    for (const [index, thermostat] of job.thermostats.entries())
      expect(logs[index]).toEqual(
        moves
          .slice(0, 3)
          .filter((move) => move.thermostats.includes(thermostat.id))
          .map(moveKey)
      );
    expect(moves[0]?.thermostats).toHaveLength(3);
    expect(planTogether(job).moves).toHaveLength(moves.length - 3);
  });

  it('shows what was done once for several once, with all whose it was', () => {
    const job = doing(zones, 3);
    const { places } = planTogether(job);
    const done = jointDone(job, places);
    expect(done).toHaveLength(3);
    expect(done[0]?.entries.map((entry) => entry.thermostat)).toEqual(
      zones.thermostats.map((thermostat) => thermostat.id)
    );
  });

  it('is taken back from each, and the list is as it was', () => {
    const before = planTogether(zones).moves.map(moveKey);
    let job = doing(zones, 4);
    for (let minute = 30; ; minute += 1) {
      const { places } = planTogether(job);
      const last = jointDone(job, places).at(-1);
      if (!last) break;
      job = apply(job, takeJointBack(job, places, last, at(minute)));
    }
    expect(planTogether(job).moves.map(moveKey)).toEqual(before);
  });

  it('leads to the end of every plan when all is done, and nothing is left', { tags: ['wide'] }, () => {
    const count = planTogether(zones).moves.length;
    const job = doing(zones, count);
    const { places, moves } = planTogether(job);
    expect(moves).toEqual([]);
    for (const { option } of places) expect(option.now).toEqual(option.after);
  });
});
