/**
 * Jobs in the browser, through localForage (IndexedDB). A save compares revisions and writes under a lock that all tabs of the origin
 * share, so that two tabs cannot both win; other tabs hear of it through a broadcast channel.
 */
import localforage from 'localforage';
import { readRawJob, readRawJobInParts, type JobRead } from '$core/formats/job-json';
import type { PhotoId } from '$core/job/ids';
import type { Job } from '$core/job/schema';
import { faultText } from '$core/job/faults';
import { NO_HISTORY, type History } from '$core/job/history';
import { Pictures } from './pictures';
import {
  orphansOf,
  summaryOf,
  type JobStore,
  type JobSummary,
  type LoadResult,
  type NewRecord,
  type SaveResult
} from './port';
import { headOf, LISTED_FORM, StepStore, type StoredRecord } from './step-store';

const CHANNEL = 'ulterum-jobs';

export function browserStore(name = 'ulterum'): JobStore {
  const forage = localforage.createInstance({ name, storeName: 'jobs' });
  const pictures = new Pictures(localforage.createInstance({ name, storeName: 'photos' }));
  const history = new StepStore(localforage.createInstance({ name, storeName: 'steps' }));
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(`${CHANNEL}-${name}`);
  return {
    async list() {
      const summaries: JobSummary[] = [];
      await forage.iterate<unknown, void>((value, key) => {
        summaries.push(summaryOfStored(key, value));
      });
      return summaries.sort((a, b) => b.saved.localeCompare(a.saved));
    },
    async load(id) {
      try {
        const value = await forage.getItem<unknown>(id);
        if (value === null) return { ok: false, reason: 'missing' };
        const read = await readRecordInParts(value);
        return read.ok ? await history.opened(read.record, read.from) : read;
      } catch (error) {
        return { ok: false, reason: 'refused', why: messageOf(error) };
      }
    },
    async save(record, revision, known) {
      return locked(`${name}:${record.job.id}`, () =>
        compareAndSave({ forage, history, channel }, { record, revision, known })
      );
    },
    async remove(id) {
      const gone = await forage.getItem<unknown>(id);
      await forage.removeItem(id);
      await history.remove(id);
      await pictures.remove(id, await oldOrphans(forage, gone));
      channel?.postMessage(id);
    },
    async putPhoto(job, id, picture) {
      try {
        await pictures.put(job, id, picture);
        return { ok: true };
      } catch (error) {
        return failure(error);
      }
    },
    getPhoto: (job, id) => pictures.get(job, id),
    watch(listener) {
      const hear = (event: MessageEvent<string>) => listener(event.data);
      channel?.addEventListener('message', hear);
      return () => channel?.removeEventListener('message', hear);
    }
  };
}

/** A record that does not hold stands in the list as well, so that it can be taken out. */
function summaryOfStored(key: string, value: unknown): JobSummary {
  const { listed: known, revision } = (value ?? {}) as Partial<StoredRecord>;
  if (known?.of === LISTED_FORM && known.revision === revision && known.summary.id === key)
    return known.summary;
  const read = readRecord(value);
  return read.ok
    ? summaryOf(read.record)
    : { id: key, name: `${key} (damaged)`, place: '', saved: '', thermostats: [], due: [], closed: false };
}

interface Keeping {
  readonly forage: LocalForage;
  readonly history: StepStore;
  readonly channel: BroadcastChannel | null;
}

interface Saving {
  readonly record: NewRecord;
  readonly revision: number;
  readonly known: History;
}

async function compareAndSave(
  { forage, history, channel }: Keeping,
  { record, revision, known }: Saving
): Promise<SaveResult> {
  try {
    const stored = await forage.getItem<unknown>(record.job.id);
    if (stored === null && revision > 0) return { ok: false, reason: 'gone' };
    if (stored !== null) {
      const other = isRevision(stored, revision) ? null : readRecord(stored);
      if (other?.ok === false)
        return {
          ok: false,
          reason: 'refused',
          why: 'what is stored under this id is damaged and is left untouched'
        };
      if (other && other.record.revision !== revision) {
        const theirs = await history.opened(other.record, other.from);
        return { ok: false, reason: 'conflict', theirs: theirs.record };
      }
    }
    const { job, saved } = record;
    // The steps first: the record is what makes them count.
    await history.write(job.id, revision + 1, known, record.history);
    const kept: StoredRecord = {
      job,
      saved,
      revision: revision + 1,
      history: headOf(record.history),
      listed: { of: LISTED_FORM, revision: revision + 1, summary: summaryOf(record) }
    };
    await forage.setItem(job.id, kept);
    channel?.postMessage(record.job.id);
    return { ok: true, revision: revision + 1 };
  } catch (error) {
    return failure(error);
  }
}

function failure(error: unknown): { ok: false; reason: 'full' | 'refused'; why: string } {
  const full = error instanceof DOMException && error.name === 'QuotaExceededError';
  return { ok: false, reason: full ? 'full' : 'refused', why: messageOf(error) };
}

/** Pictures of an earlier version that only the removed job showed; none where another stored job does not hold, and nobody knows. */
async function oldOrphans(forage: LocalForage, gone: unknown): Promise<PhotoId[]> {
  const read = readRecord(gone);
  if (!read.ok) return [];
  const others: Job[] = [];
  let whole = true;
  await forage.iterate<unknown, void>((value) => {
    const other = readRecord(value);
    if (other.ok) others.push(other.record.job);
    else whole = false;
  });
  return whole ? orphansOf(read.record.job, others) : [];
}

/** Whether a stored record is the one that the save was made from: that one was read when it was opened, and is not looked through again. */
function isRevision(stored: unknown, revision: number): boolean {
  return revision > 0 && (stored as Partial<StoredRecord>).revision === revision;
}

type RecordRead =
  | { readonly ok: true; readonly record: StoredRecord; readonly from: number }
  | Extract<LoadResult, { reason: 'damaged' }>;

function readRecord(value: unknown): RecordRead {
  return recordWith(value, readRawJob((value as Partial<StoredRecord> | null)?.job));
}

/** The same for a job that is opened: a large one is read while the page answers. */
async function readRecordInParts(value: unknown): Promise<RecordRead> {
  return recordWith(value, await readRawJobInParts((value as Partial<StoredRecord>).job, breath()));
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

function recordWith(value: unknown, read: JobRead): RecordRead {
  const record = value as Partial<StoredRecord> | null;
  if (!read.ok) {
    return {
      ok: false,
      reason: 'damaged',
      why: read.faults.map(faultText).join('; '),
      raw: JSON.stringify(value, null, 2)
    };
  }
  return {
    ok: true,
    from: read.from,
    record: {
      job: read.job,
      revision: typeof record?.revision === 'number' ? record.revision : 0,
      saved: typeof record?.saved === 'string' ? record.saved : '',
      history: record?.history ?? (hadSteps(value) ? null : headOf(NO_HISTORY))
    }
  };
}

/** Whether a record of an older version held steps: they were kept within it. */
function hadSteps(value: unknown): boolean {
  const { past, future } = value as { past?: unknown[]; future?: unknown[] };
  return (past?.length ?? 0) + (future?.length ?? 0) > 0;
}

/** Runs alone among all tabs; in a browser without locks, alone in this page at least. */
async function locked<T>(name: string, work: () => Promise<T>): Promise<T> {
  const locks = typeof navigator === 'undefined' ? undefined : navigator.locks;
  if (locks) return (await locks.request(name, work)) as T;
  const mine = (queues.get(name) ?? Promise.resolve()).then(work, work);
  queues.set(
    name,
    mine.catch(() => undefined)
  );
  return mine;
}

const queues = new Map<string, Promise<unknown>>();

function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
