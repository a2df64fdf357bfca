import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { writeJob } from '$core/formats/job-json';
import { demoFiles } from '$demo/jobs';
import type { Arguments } from '../arguments';
import { wrongUse, type Outcome } from '../outcome';

/** Writes the demo jobs as files. */
export async function demo({ out = 'demo', file }: Arguments): Promise<Outcome> {
  if (file !== undefined) return wrongUse('demo takes no file; --out names the folder.');
  await mkdir(out, { recursive: true });
  const jobs = demoFiles();
  const files = jobs.map(({ file: name }) => join(out, name));
  await Promise.all(jobs.map(({ job }, index) => writeFile(files[index]!, writeJob(job))));
  return { kind: 'result', json: { files }, page: files.join('\n') };
}
