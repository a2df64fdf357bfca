import { describe, expect, it } from 'vitest';
import { setStep } from '$core/job/steps';
import { newJob } from '$core/job/create';
import { makeId } from '$core/job/ids';
import { unsavedNotes } from './unsaved';

/** A store as a browser has it: names in an order, values as text. */
function pageStorage(): Storage {
  const held = new Map<string, string>();
  return {
    get length() {
      return held.size;
    },
    key: (at) => [...held.keys()][at] ?? null,
    getItem: (name) => held.get(name) ?? null,
    setItem: (name, value) => void held.set(name, value),
    removeItem: (name) => void held.delete(name),
    clear: () => held.clear()
  };
}

const step = setStep(newJob(makeId('job', 'oak'), 'Oak'), ['name'], 'Ash', 'named Ash');
const unsaved = { revision: 3, steps: [step] };
const nobody = () => Promise.resolve(new Set<string>());

describe('notes of what is not saved', () => {
  it('hands out what a closed tab has left of this job, once', async () => {
    const storage = pageStorage();
    unsavedNotes(storage, 'closed', nobody).note('job-oak', unsaved);
    unsavedNotes(storage, 'closed', nobody).note('job-oak-2', { ...unsaved, revision: 7 });
    const notes = unsavedNotes(storage, 'mine', nobody);
    expect(await notes.take('job-oak')).toEqual([unsaved]);
    expect(await notes.take('job-oak')).toEqual([]);
    expect(await notes.take('job-oak-2')).toEqual([{ ...unsaved, revision: 7 }]);
  });

  it('leaves the notes of a tab that is open to it', async () => {
    const storage = pageStorage();
    const other = unsavedNotes(storage, 'open', nobody);
    other.note('job-oak', unsaved);
    const open = () => Promise.resolve(new Set(['open', 'mine']));
    expect(await unsavedNotes(storage, 'mine', open).take('job-oak')).toEqual([]);
    expect(storage.length).toBe(1);
    other.clear('job-oak');
    expect(storage.length).toBe(0);
  });

  it('lets go what is not whole, and lives with a store that refuses', async () => {
    const storage = pageStorage();
    storage.setItem('ulterum-unsaved/job-oak/a', '{"revision": 3');
    storage.setItem('ulterum-unsaved/job-oak/b', '{"revision": "3", "steps": []}');
    storage.setItem('ulterum-unsaved/job-oak/c', 'null');
    storage.setItem('ulterum-unsaved/job-oak/d', '{"revision": 3, "steps": [null]}');
    expect(await unsavedNotes(storage, 'mine', nobody).take('job-oak')).toEqual([]);
    expect(storage.length).toBe(0);
    const full: Storage = {
      ...pageStorage(),
      setItem: () => {
        throw new DOMException('no room', 'QuotaExceededError');
      }
    };
    expect(() => unsavedNotes(full, 'mine', nobody).note('job-oak', unsaved)).not.toThrow();
  });
});
