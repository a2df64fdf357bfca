import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { writeJob } from '$core/formats/job-json';
import { openDemoHouse } from './houses';
import { demoFiles } from './jobs';

const files = demoFiles();

describe('The demo', () => {
  it.each(files)('ships $file as the program makes it', ({ file, job }) => {
    expect(readFileSync(`demo/${file}`, 'utf8')).toBe(writeJob(job));
  });

  it.each([
    ['schoolhouse', 'sheet'],
    ['ferry-house', 'sheet'],
    ['mill-cottage', 'why'],
    ['quarry-row', 'strip']
  ])('opens the %s at its station', async (name, station) => {
    const made = files.find(({ file }) => file === `${name}.json`)!.job;
    expect(await openDemoHouse(name)).toEqual({ job: made, station });
  });

  it('opens the first house under a name that it does not know', async () => {
    expect((await openDemoHouse('castle')).job.id).toBe('job-schoolhouse');
    expect((await openDemoHouse('')).job.id).toBe('job-schoolhouse');
  });
});
