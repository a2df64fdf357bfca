/** What is put off, as a file for any calendar. The writer is loaded when somebody asks for it. */
import type { Due } from '$core/handover/due';
import type { Job } from '$core/job/schema';
import { download, fileName } from '../files/download';

export async function downloadCalendar(job: Pick<Job, 'name'>, due: readonly Due[]): Promise<void> {
  const { writeCalendar } = await import('$core/formats/calendar');
  const text = writeCalendar(due, new Date().toISOString());
  if (text !== null) download(fileName(job.name, 'ics'), text, 'text/calendar');
}
