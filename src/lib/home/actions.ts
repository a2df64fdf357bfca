/** What the first page does once somebody asks for it: it is loaded then, so that the page itself is light. */
import { newJob } from '$core/job/create';
import { emptyMains } from '$core/job/mains-edits';
import { makeId } from '$core/job/ids';
import { JOB_VERSION, type Job } from '$core/job/schema';
import { download, fileName } from '$lib/files/download';
import { exportJob, keepPhotos, readJobFile } from '$lib/files/job-file';
import { freshRest, jobStore } from '$lib/state/store';
import type { JobSummary } from '$storage/port';
import { keepJob, unitsOf } from './keep-job';

export interface Told {
  readonly title: string;
  readonly lines: readonly string[];
}

export async function takeOut(summary: JobSummary): Promise<Told | null> {
  const store = jobStore();
  const loaded = await store.load(summary.id);
  if (loaded.ok) {
    const told = await exportJob(store, loaded.record.job);
    return told === null ? null : { title: 'The job was exported', lines: [told] };
  }
  if (loaded.reason === 'damaged') download(fileName(summary.id, 'damaged.json'), loaded.raw);
  return null;
}

/** Makes a new job; gives its address, or what to tell. */
export async function beginJob(name: string, place: string, mains = false): Promise<string | Told> {
  const job = newJob(makeId('job', freshRest()), name.slice(0, 120));
  const kept = await keepJob({
    ...(mains ? withMains(job) : job),
    place: place.slice(0, 120),
    units: unitsOf(navigator.language)
  });
  return kept.ok
    ? `/job/${kept.id}/${job.thermostats[0]?.id}/${mains ? 'strip' : 'sheet'}`
    : { title: 'The job was not stored', lines: [kept.why] };
}

/** A house whose heating is controlled at 230 V: the devices have a record of their own, no machine of the 24 V kind stands there. */
function withMains(job: Job): Job {
  return {
    ...job,
    equipment: [],
    thermostats: job.thermostats.map((thermostat) => ({
      ...thermostat,
      name: 'Heating',
      equipment: [],
      statedFamily: 'mains-hydronic',
      mains: emptyMains()
    }))
  };
}

/** Brings in a file; gives what to tell of it, or nothing. */
export async function bringIn(file: File): Promise<Told | null> {
  const read = await readJobFile(file);
  if (!read.ok)
    return { title: `${file.name} was not brought in; nothing stored was touched`, lines: read.lines };
  const kept = await keepJob(read.job);
  if (!kept.ok) return { title: 'The job was not stored', lines: [kept.why] };
  const lost = await keepPhotos(jobStore(), { ...read.job, id: kept.id }, read.photos);
  if (lost !== null) return { title: 'The job came in without all of its photos', lines: [lost] };
  if (read.idsChanged.length > 0)
    return { title: `${file.name} came in with a change`, lines: read.idsChanged };
  if (read.from < JOB_VERSION)
    return {
      title: `${file.name} was written by an earlier version`,
      lines: ['Everything in it came in. Exported again, it is a file of the present version.']
    };
  return null;
}
