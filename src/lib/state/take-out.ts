/** The open job as a file; what could not go along is told where the job tells everything else. */
import { exportJob } from '../files/job-file';
import type { JobSession } from './session.svelte';
import { jobStore } from './store';

export async function takeOutJob(session: JobSession, withOwn = false): Promise<void> {
  const told = await exportJob(jobStore(), session.job, { withOwn });
  if (told !== null) session.notice = [...session.notice, told];
}
