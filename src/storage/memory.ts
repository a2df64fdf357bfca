/** A store that lives as long as its page: for tests, and where the browser refuses to keep anything. */
import { summaryOf, type JobRecord, type JobStore } from './port';

/** `capacity` limits the characters held in all, to play a full disk. */
export function memoryStore(capacity = Infinity): JobStore {
  const held = new Map<string, string>();
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
      return text === undefined ? { ok: false, reason: 'missing' } : { ok: true, record: read(text) };
    },
    async save(record, revision) {
      const text = held.get(record.job.id);
      const theirs = text === undefined ? null : read(text);
      if (theirs && theirs.revision !== revision) return { ok: false, reason: 'conflict', theirs };
      const next = JSON.stringify({ ...record, revision: revision + 1 });
      const others = [...held].reduce((sum, [id, one]) => (id === record.job.id ? sum : sum + one.length), 0);
      if (others + next.length > capacity) return { ok: false, reason: 'full', why: 'no room is left' };
      held.set(record.job.id, next);
      for (const listener of listeners) listener(record.job.id);
      return { ok: true, revision: revision + 1 };
    },
    async remove(id) {
      held.delete(id);
      for (const listener of listeners) listener(id);
    },
    watch(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    }
  };
}
