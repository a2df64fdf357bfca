/** A store that lives as long as its page: for tests, and where the browser refuses to keep anything. */
import { JOB_VERSION } from '$core/job/schema';
import type { PhotoId } from '$core/job/ids';
import { pictureKey, summaryOf, type JobRecord, type JobStore } from './port';

/** `capacity` limits the characters held in all, to play a full disk. */
export function memoryStore(capacity = Infinity): JobStore {
  const held = new Map<string, string>();
  const pictures = new Map<string, Blob>();
  const listeners = new Set<(id: string) => void>();
  const read = (text: string) => JSON.parse(text) as JobRecord;
  return {
    async list() {
      return [...held.values()]
        .map((text) => summaryOf(read(text)))
        .sort((a, b) => b.saved.localeCompare(a.saved));
    },
    async load(id) {
      const text = held.get(id);
      return text === undefined
        ? { ok: false, reason: 'missing' }
        : {
            ok: true,
            record: read(text),
            opened: { from: JOB_VERSION, historyLetGo: false, idsChanged: [] }
          };
    },
    async save(record, revision) {
      const text = held.get(record.job.id);
      const theirs = text === undefined ? null : read(text);
      if (theirs === null && revision > 0) return { ok: false, reason: 'gone' };
      if (theirs && theirs.revision !== revision) return { ok: false, reason: 'conflict', theirs };
      const next = JSON.stringify({ ...record, revision: revision + 1 });
      const others = [...held].reduce(
        (sum, [id, word]) => (id === record.job.id ? sum : sum + word.length),
        0
      );
      if (others + next.length > capacity) return { ok: false, reason: 'full', why: 'no room is left' };
      held.set(record.job.id, next);
      for (const listener of listeners) listener(record.job.id);
      return { ok: true, revision: revision + 1 };
    },
    async remove(id) {
      held.delete(id);
      for (const key of pictures.keys())
        if (key.startsWith(pictureKey(id, '' as PhotoId))) pictures.delete(key);
      for (const listener of listeners) listener(id);
    },
    async putPhoto(job, id, picture) {
      if (picture.size > capacity) return { ok: false, reason: 'full', why: 'no room is left' };
      pictures.set(pictureKey(job, id), picture);
      return { ok: true };
    },
    async getPhoto(job, id) {
      return pictures.get(pictureKey(job, id)) ?? null;
    },
    watch(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    }
  };
}
