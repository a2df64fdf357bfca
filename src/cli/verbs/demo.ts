import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { writeJob } from '$core/formats/job-json';
import { DEMO_JOBS } from '$demo/jobs';
import type { Arguments } from '../arguments';
import { wrongUse, type Outcome } from '../outcome';

/** Writes the demo jobs as files. */
export async function demo({ out = 'demo', file }: Arguments): Promise<Outcome> {
  if (file !== undefined) return wrongUse('demo takes no file; --out names the folder.');
  await mkdir(out, { recursive: true });
  const files = DEMO_JOBS.map((job) => join(out, job.file));
  await Promise.all(DEMO_JOBS.map((job, index) => writeFile(files[index]!, writeJob(job.job))));
  return { kind: 'result', json: { files }, page: files.join('\n') };
}
