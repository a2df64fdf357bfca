/**
 * Jobs in the browser, through localForage (IndexedDB). A save compares revisions and writes under a lock that all tabs of the origin
 * share, so that two tabs cannot both win; other tabs hear of it through a broadcast channel.
 */
import localforage from 'localforage';
import type { PhotoId } from '$core/job/ids';
import type { History } from '$core/job/history';
import { JOB_VERSION } from '$core/job/schema';
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
import { StepStore } from './step-store';
import { isRevision, keysOf, listedOf, readRecord, readRecordInParts, storedRecord } from './stored-record';
import { ThermostatStore } from './thermostat-store';
import { browserTyped, type TypedTexts } from './typed-text';

const CHANNEL = 'ulterum-jobs';

export function browserStore(name = 'ulterum', typed: TypedTexts = browserTyped()): JobStore {
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(`${CHANNEL}-${name}`);
  const instance = (storeName: string) => localforage.createInstance({ name, storeName });
  const pictures = new Pictures(instance('photos'));
  const keeping: Keeping = {
    forage: instance('jobs'),
    history: new StepStore(instance('steps')),
    thermostats: new ThermostatStore(instance('thermostats')),
    channel
  };
  // What belongs to one job is read and written by one tab at a time: a record and its parts are of the same save.
  const alone = <T>(id: string, work: () => Promise<T>) => locked(`${name}:${id}`, work);
  return {
    list: () => listed(keeping),
    load: (id) => alone(id, () => loaded(keeping, id)),
    save: (record, revision, known) =>
      alone(record.job.id, () => compareAndSave(keeping, { record, revision, known })),
    remove: (id) =>
      alone(id, async () => {
        const { forage, history, thermostats } = keeping;
        const old = (await pictures.hasOld()) ? await oldOrphans(keeping, id) : [];
        await forage.removeItem(id);
        await history.remove(id);
        await thermostats.sweep(id, []);
        await pictures.remove(id, old);
        typed.forget(id);
        channel?.postMessage(id);
      }),
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

interface Keeping {
  readonly forage: LocalForage;
  readonly history: StepStore;
  readonly thermostats: ThermostatStore;
  readonly channel: BroadcastChannel | null;
}

async function listed({ forage, thermostats }: Keeping): Promise<JobSummary[]> {
  const summaries: JobSummary[] = [];
  const unlisted: [string, unknown][] = [];
  await forage.iterate<unknown, void>((value, key) => {
    const summary = listedOf(key, value);
    if (summary) summaries.push(summary);
    else unlisted.push([key, value]);
  });
  for (const [key, value] of unlisted) {
    const read = await readRecord(value, thermostats);
    summaries.push(read.ok ? summaryOf(read.record) : damagedSummary(key));
  }
  return summaries.sort((a, b) => b.saved.localeCompare(a.saved));
}

/** A record that does not hold stands in the list as well, so that it can be taken out. */
function damagedSummary(key: string): JobSummary {
  return { id: key, name: `${key} (damaged)`, place: '', saved: '', thermostats: [], due: [], closed: false };
}

async function loaded({ forage, history, thermostats }: Keeping, id: string): Promise<LoadResult> {
  try {
    const value = await forage.getItem<unknown>(id);
    if (value === null) return { ok: false, reason: 'missing' };
    const read = await readRecordInParts(value, thermostats);
    if (!read.ok) return read;
    const keys = keysOf(value);
    await thermostats.sweep(id, keys);
    const opened = await history.opened(read.record, read.from);
    // What was changed on the way in is written with the next save; of an older version that is all of it.
    const { job } = opened.record;
    if (read.from === JOB_VERSION && job === read.record.job) thermostats.remember(job.thermostats, keys);
    return opened;
  } catch (error) {
    return { ok: false, reason: 'refused', why: messageOf(error) };
  }
}

interface Saving {
  readonly record: NewRecord;
  readonly revision: number;
  readonly known: History;
}

async function compareAndSave(keeping: Keeping, { record, revision, known }: Saving): Promise<SaveResult> {
  const { forage, history, thermostats, channel } = keeping;
  const { job } = record;
  try {
    const stored = await forage.getItem<unknown>(job.id);
    const hindrance = await hindranceOf(keeping, stored, revision);
    if (hindrance) return hindrance;
    const next = { ...record, revision: revision + 1 };
    const held = keysOf(stored);
    // Steps and thermostats first: the record is what makes them count.
    await history.write(job.id, next.revision, known, record.history);
    const keys = await thermostats.write(job, held);
    await forage.setItem(job.id, storedRecord(next, keys));
    await thermostats.remove(held.filter((key) => !keys.includes(key)));
    channel?.postMessage(job.id);
    return { ok: true, revision: next.revision };
  } catch (error) {
    return failure(error);
  }
}

/** Why a job that was made from this revision cannot take the place of what is stored; null where it can. */
async function hindranceOf(
  { history, thermostats }: Keeping,
  stored: unknown,
  revision: number
): Promise<Extract<SaveResult, { ok: false }> | null> {
  if (stored === null) return revision > 0 ? { ok: false, reason: 'gone' } : null;
  // The one that it was made from was read when it was opened, and is not looked through again.
  if (isRevision(stored, revision)) return null;
  const other = await readRecord(stored, thermostats);
  if (!other.ok) {
    const why = 'what is stored under this id is damaged and is left untouched';
    return { ok: false, reason: 'refused', why };
  }
  if (other.record.revision === revision) return null;
  const theirs = await history.opened(other.record, other.from);
  return { ok: false, reason: 'conflict', theirs: theirs.record };
}

function failure(error: unknown): { ok: false; reason: 'full' | 'refused'; why: string } {
  const full = error instanceof DOMException && error.name === 'QuotaExceededError';
  return { ok: false, reason: full ? 'full' : 'refused', why: messageOf(error) };
}

/** Pictures of an earlier version that only this job shows; none where another stored job does not hold, and nobody knows. */
async function oldOrphans({ forage, thermostats }: Keeping, id: string): Promise<PhotoId[]> {
  const values: unknown[] = [];
  await forage.iterate<unknown, void>((value, key) => {
    if (key !== id) values.push(value);
  });
  const gone = await readRecord(await forage.getItem<unknown>(id), thermostats);
  const others = await Promise.all(values.map((value) => readRecord(value, thermostats)));
  const jobs = others.flatMap((other) => (other.ok ? [other.record.job] : []));
  return gone.ok && jobs.length === others.length ? orphansOf(gone.record.job, jobs) : [];
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
