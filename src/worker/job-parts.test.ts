import { describe, expect, it } from 'vitest';
import type { Job } from '$core/job/schema';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { JobJoiner, JobSplitter } from './job-parts';

/** Over the wire: nothing on the other side is the same thing as here. */
function wire() {
  const [splitter, joiner] = [new JobSplitter(), new JobJoiner()];
  return {
    send(job: Job) {
      const parts = structuredClone(splitter.split(job));
      return { parts, arrived: joiner.join(parts) };
    }
  };
}

const renamed = (job: Job, at: number): Job => ({
  ...job,
  thermostats: job.thermostats.map((thermostat, place) =>
    place === at ? { ...thermostat, name: 'Attic' } : thermostat
  )
});

describe('a job on its way to the thread', () => {
  it('arrives whole, first and after every edit', () => {
    const { send } = wire();
    const jobs: Job[] = [
      SCHOOLHOUSE,
      renamed(SCHOOLHOUSE, 1),
      { ...renamed(SCHOOLHOUSE, 1), note: 'the key is under the mat' },
      { ...SCHOOLHOUSE, thermostats: SCHOOLHOUSE.thermostats.slice(1).reverse() },
      { ...SCHOOLHOUSE, thermostats: [] },
      SCHOOLHOUSE
    ];
    for (const job of jobs) expect(send(job).arrived).toEqual(job);
  });

  it('takes along what has changed only, and leaves the rest the very thing that it was', () => {
    const { send } = wire();
    const first = send(SCHOOLHOUSE).arrived;
    const { parts, arrived } = send(renamed(SCHOOLHOUSE, 1));
    expect(parts.changed).toEqual({});
    expect(parts.thermostats.map((part) => typeof part)).toEqual(['number', 'object', 'number']);
    expect(arrived.thermostats[0]).toBe(first.thermostats[0]);
    expect(arrived.equipment).toBe(first.equipment);
    expect(arrived.thermostats[1]).not.toBe(first.thermostats[1]);
  });

  it('is not made up where the first parts never came', () => {
    const splitter = new JobSplitter();
    splitter.split(SCHOOLHOUSE);
    const lost = splitter.split(renamed(SCHOOLHOUSE, 0));
    expect(() => new JobJoiner().join(lost)).toThrow('missing');
    expect(() => new JobJoiner().join({ ...lost, number: 1 })).toThrow('never given');
  });

  it('is not put together from an older one where parts were lost on the way', () => {
    const [splitter, joiner] = [new JobSplitter(), new JobJoiner()];
    joiner.join(splitter.split(SCHOOLHOUSE));
    splitter.split(renamed(SCHOOLHOUSE, 1));
    expect(() => joiner.join(splitter.split({ ...renamed(SCHOOLHOUSE, 1), note: 'later' }))).toThrow(
      'missing'
    );
  });
});
