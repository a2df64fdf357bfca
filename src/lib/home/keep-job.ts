/** Jobs that come into the store from outside: new ones, those of a file, those of a quick look. Loaded once somebody asks for it. */
import { NO_HISTORY } from '$core/job/history';
import { makeId } from '$core/job/ids';
import type { Job } from '$core/job/schema';
import { freshRest, jobStore } from '$lib/state/store';
import { whyNotSaved } from '$storage/port';

export type Kept =
  { readonly ok: true; readonly id: Job['id'] } | { readonly ok: false; readonly why: string };

/** Stores a job that is new here; one that is here already is never replaced, the newcomer gets an id of its own. */
export async function keepJob(job: Job): Promise<Kept> {
  const store = jobStore();
  const taken = (await store.load(job.id)).ok;
  const own = taken ? { ...job, id: makeId('job', freshRest()) } : job;
  const record = { job: own, saved: new Date().toISOString(), history: NO_HISTORY };
  const saved = await store.save(record, 0, NO_HISTORY);
  return saved.ok ? { ok: true, id: own.id } : { ok: false, why: whyNotSaved(saved) };
}

/** What a browser's language says of units; everything can be changed in the job. */
export function unitsOf(language: string): Job['units'] {
  // The three countries that measure in feet and degrees Fahrenheit.
  const feet = /-(US|LR|MM)\b/i.test(language);
  return feet ? { length: 'ft', temperature: 'F' } : { length: 'm', temperature: 'C' };
}
