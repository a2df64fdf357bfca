/**
 * Where jobs are kept. Every adapter passes `acceptance.ts`. Failures that can be expected come back as values: a job that cannot be
 * stored can still be exported, and nobody else's edit is ever overwritten in silence.
 */
import { dueOf, type Due } from '$core/handover/due';
import type { PhotoId } from '$core/job/ids';
import type { Job, Thermostat } from '$core/job/schema';
import type { History } from '$core/job/history';

export interface JobRecord {
  readonly job: Job;
  /** Grows by one with each save; the next save names the one it was made from. */
  readonly revision: number;
  /** ISO time of the last save. */
  readonly saved: string;
  readonly history: History;
}

/** What there is to say of a record that was just opened. */
export interface Opened {
  /** The version of the file format that it was stored in. */
  readonly from: number;
  /** What could be undone was written by an older version, or is not whole: it was let go. */
  readonly historyLetGo: boolean;
  /** A sentence for each id that was there twice and had to be changed. */
  readonly idsChanged: readonly string[];
}

export type NewRecord = Omit<JobRecord, 'revision'>;

export interface JobSummary {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  readonly saved: string;
  readonly thermostats: readonly Pick<Thermostat, 'id' | 'name'>[];
  /** Tests that are put off, the soonest first. */
  readonly due: readonly Due[];
  readonly closed: boolean;
}

export type SaveResult =
  | { readonly ok: true; readonly revision: number }
  /** Somebody else saved since: their record is the newer one. */
  | { readonly ok: false; readonly reason: 'conflict'; readonly theirs: JobRecord }
  /** Somebody has removed it since: it is not written again. */
  | { readonly ok: false; readonly reason: 'gone' }
  | { readonly ok: false; readonly reason: 'full' | 'refused'; readonly why: string };

export type LoadResult =
  | { readonly ok: true; readonly record: JobRecord; readonly opened: Opened }
  | { readonly ok: false; readonly reason: 'missing' }
  /** What is stored does not hold; it stays untouched, and its raw text can be taken out. */
  | { readonly ok: false; readonly reason: 'damaged'; readonly why: string; readonly raw: string }
  | { readonly ok: false; readonly reason: 'refused'; readonly why: string };

export type PutResult =
  { readonly ok: true } | { readonly ok: false; readonly reason: 'full' | 'refused'; readonly why: string };

export interface JobStore {
  list(): Promise<JobSummary[]>;
  load(id: string): Promise<LoadResult>;
  /**
   * Saves what was made from `revision`; 0 for a job that is new to the store. `known`: the history that the store holds at that revision,
   * so that only its new steps are written.
   */
  save(record: NewRecord, revision: number, known: History): Promise<SaveResult>;
  /** Removes a job and its pictures, and no others. */
  remove(id: string): Promise<void>;
  /** Keeps a picture beside its job: what another job calls by the same id is another picture. */
  putPhoto(job: string, id: PhotoId, picture: Blob): Promise<PutResult>;
  /** The picture of a job's photo, or null where this browser does not keep it. */
  getPhoto(job: string, id: PhotoId): Promise<Blob | null>;
  /** Calls back when another tab saves or removes a job; returns the way to stop. */
  watch(listener: (id: string) => void): () => void;
}

export function summaryOf({ job, saved }: Pick<JobRecord, 'job' | 'saved'>): JobSummary {
  return {
    id: job.id,
    name: job.name,
    place: job.place,
    saved,
    thermostats: job.thermostats.map(({ id, name }) => ({ id, name })),
    due: dueOf(job, job.thermostats),
    closed: job.closed !== null
  };
}

/** The photos that a job shows. */
export function photosOf(job: Pick<Job, 'thermostats'>): PhotoId[] {
  return job.thermostats.flatMap((thermostat) => thermostat.photos.map((photo) => photo.id));
}

/** Why a job was not stored, in a clause. */
export function whyNotSaved(result: Extract<SaveResult, { ok: false }>): string {
  if (result.reason === 'conflict') return 'another tab stored one with the same id just now';
  return result.reason === 'gone' ? 'it was removed in another tab' : result.why;
}

/** Under what a picture of a job is kept. Earlier versions kept it under the id of the photo alone. */
export function pictureKey(job: string, id: PhotoId): string {
  return `${job}/${id}`;
}

/** Photos of the first job that none of the others shows. */
export function orphansOf(
  job: Pick<Job, 'thermostats'>,
  others: readonly Pick<Job, 'thermostats'>[]
): PhotoId[] {
  const shown = new Set(others.flatMap(photosOf));
  return photosOf(job).filter((id) => !shown.has(id));
}
