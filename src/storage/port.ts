/**
 * Where jobs are kept. Every adapter passes `acceptance.ts`. Failures that can be expected come back as values: a job that cannot be
 * stored can still be exported, and nobody else's edit is ever overwritten in silence.
 */
import type { Job, Thermostat } from '$core/job/schema';
import type { Step } from '$core/job/steps';

export interface JobRecord {
  readonly job: Job;
  /** Grows by one with each save; the next save names the one it was made from. */
  readonly revision: number;
  /** ISO time of the last save. */
  readonly saved: string;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
}

export interface JobSummary {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  readonly saved: string;
  readonly thermostats: readonly Pick<Thermostat, 'id' | 'name'>[];
}

export type SaveResult =
  | { readonly ok: true; readonly revision: number }
  /** Somebody else saved since: their record is the newer one. */
  | { readonly ok: false; readonly reason: 'conflict'; readonly theirs: JobRecord }
  | { readonly ok: false; readonly reason: 'full' | 'refused'; readonly why: string };

export type LoadResult =
  | { readonly ok: true; readonly record: JobRecord }
  | { readonly ok: false; readonly reason: 'missing' }
  /** What is stored does not hold; it stays untouched, and its raw text can be taken out. */
  | { readonly ok: false; readonly reason: 'damaged'; readonly why: string; readonly raw: string }
  | { readonly ok: false; readonly reason: 'refused'; readonly why: string };

export interface JobStore {
  list(): Promise<JobSummary[]>;
  load(id: string): Promise<LoadResult>;
  /** Saves what was made from `revision`; 0 for a job that is new to the store. */
  save(record: Omit<JobRecord, 'revision'>, revision: number): Promise<SaveResult>;
  remove(id: string): Promise<void>;
  /** Calls back when another tab saves or removes a job; returns the way to stop. */
  watch(listener: (id: string) => void): () => void;
}

export function summaryOf({ job, saved }: Pick<JobRecord, 'job' | 'saved'>): JobSummary {
  return {
    id: job.id,
    name: job.name,
    place: job.place,
    saved,
    thermostats: job.thermostats.map(({ id, name }) => ({ id, name }))
  };
}
