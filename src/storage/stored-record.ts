/**
 * A record as it lies in the browser. Earlier versions kept the job in one piece (`job`); now its thermostats lie beside it, and the rest
 * (`shell`) has another name, so that a page of an earlier version which is still open takes it for damaged and leaves it alone.
 */
import { readRawJob, readRawJobInParts, type JobRead } from '$core/formats/job-json';
import { faultText } from '$core/job/faults';
import { NO_HISTORY, type History } from '$core/job/history';
import type { Job } from '$core/job/schema';
import { STEP_VERSION } from '$core/job/steps';
import { summaryOf, type JobRecord, type JobSummary, type LoadResult } from './port';
import type { ThermostatStore } from './thermostat-store';

/** What a job's record says of its steps. */
export interface HistoryHead {
  readonly version: number;
  readonly first: number;
  readonly cursor: number;
  /** Number after the last step. */
  readonly end: number;
}

export interface StoredRecord {
  readonly shell: Omit<Job, 'thermostats'>;
  /** Under which keys its thermostats lie, in their order. */
  readonly thermostats: readonly string[];
  readonly revision: number;
  readonly saved: string;
  readonly history: HistoryHead;
  /** What the list of jobs shows of it, written with it: a large job is not looked through for its name. Older records have none. */
  readonly listed?: Listed;
}

/** `of`: the form of the summary. One of another form, or of another revision than its record's, is made anew from the job. */
interface Listed {
  readonly of: typeof LISTED_FORM;
  readonly revision: number;
  readonly summary: JobSummary;
}

/** Goes up when a summary says more, or says it otherwise. */
const LISTED_FORM = 1;

/** A record that was put together and read. */
export interface WholeRecord {
  readonly job: Job;
  readonly revision: number;
  readonly saved: string;
  /** Null where an older version kept the steps within the record. */
  readonly history: HistoryHead | null;
}

export type RecordRead =
  | { readonly ok: true; readonly record: WholeRecord; readonly from: number }
  | Extract<LoadResult, { reason: 'damaged' }>;

export function headOf({ first, steps, cursor }: History): HistoryHead {
  return { version: STEP_VERSION, first, cursor, end: first + steps.length };
}

/** What is stored of a job that is saved as this revision, its thermostats under these keys. */
export function storedRecord(
  { job, saved, revision, history }: JobRecord,
  thermostats: readonly string[]
): StoredRecord {
  const { thermostats: _, ...shell } = job;
  return {
    shell,
    thermostats,
    saved,
    revision,
    history: headOf(history),
    listed: { of: LISTED_FORM, revision, summary: summaryOf({ job, saved }) }
  };
}

/** The keys of a record's thermostats; none of one in one piece, nor of one that is no record. */
export function keysOf(value: unknown): string[] {
  const keys = (value as Partial<StoredRecord> | null)?.thermostats;
  return Array.isArray(keys) ? keys.filter((key): key is string => typeof key === 'string') : [];
}

/** What was written for the list, where it is of this very record. */
export function listedOf(key: string, value: unknown): JobSummary | null {
  const { listed, revision } = (value ?? {}) as Partial<StoredRecord>;
  const holds = listed?.of === LISTED_FORM && listed.revision === revision && listed.summary.id === key;
  return holds ? listed.summary : null;
}

/** Whether a stored record is of this revision. */
export function isRevision(stored: unknown, revision: number): boolean {
  return revision > 0 && (stored as Partial<StoredRecord>).revision === revision;
}

export async function readRecord(value: unknown, thermostats: ThermostatStore): Promise<RecordRead> {
  const whole = await putTogether(value, thermostats);
  return recordWith(whole, readRawJob(whole.job));
}

/** The same for a job that is opened: a large one is read while the page answers. */
export async function readRecordInParts(value: unknown, thermostats: ThermostatStore): Promise<RecordRead> {
  const whole = await putTogether(value, thermostats);
  return recordWith(whole, await readRawJobInParts(whole.job, breath()));
}

type Loose = Readonly<Record<string, unknown>>;

/** The record in one piece, as far as it is there: a thermostat that is missing is told with its place by who reads it. */
async function putTogether(value: unknown, thermostats: ThermostatStore): Promise<Loose> {
  const record = (value ?? {}) as Loose;
  if (!record.shell) return record;
  const { shell, thermostats: _, ...rest } = record;
  return { ...rest, job: { ...(shell as object), thermostats: await thermostats.read(keysOf(value)) } };
}

function recordWith(whole: Loose, read: JobRead): RecordRead {
  if (!read.ok) {
    return {
      ok: false,
      reason: 'damaged',
      why: read.faults.map(faultText).join('; '),
      raw: JSON.stringify(whole, null, 2)
    };
  }
  const { revision, saved, history } = whole as Partial<WholeRecord>;
  return {
    ok: true,
    from: read.from,
    record: {
      job: read.job,
      revision: typeof revision === 'number' ? revision : 0,
      saved: typeof saved === 'string' ? saved : '',
      history: history ?? (hadSteps(whole) ? null : headOf(NO_HISTORY))
    }
  };
}

/** Whether a record of an older version held steps: they were kept within it. */
function hadSteps({ past, future }: { past?: unknown[]; future?: unknown[] }): boolean {
  return (past?.length ?? 0) + (future?.length ?? 0) > 0;
}

/** A frame, milliseconds. */
const FRAME_MS = 16;

/** Waits a turn where the page was kept longer than a frame; the first time always: what was read from the database was unpacked just now. */
function breath(): () => Promise<void> {
  let since = -Infinity;
  return async () => {
    if (performance.now() - since < FRAME_MS) return;
    await new Promise((done) => setTimeout(done));
    since = performance.now();
  };
}
