/**
 * Steps that are not in the database yet, written down in the moment they are made: the database answers later, and a tab may be gone by
 * then. Each tab keeps a note of its own for each job; one whose tab is gone is read when the job is opened next.
 */
import type { Step } from '$core/job/steps';

/** What a tab has not saved of a job. */
export interface Unsaved {
  /** The revision of the record that the steps follow. */
  readonly revision: number;
  readonly steps: readonly Step[];
}

export interface UnsavedNotes {
  /** Keeps the note of this tab, in place of the one before. */
  note(job: string, unsaved: Unsaved): void;
  /** Everything of this tab is saved. */
  clear(job: string): void;
  /** The notes that closed tabs have left of a job, each handed out once. */
  take(job: string): Promise<Unsaved[]>;
}

const PREFIX = 'ulterum-unsaved';

/** Notes in a store that writes at once. `alive`: the tabs that are still open; each keeps notes for itself. */
export function unsavedNotes(
  storage: Storage,
  tab: string,
  alive: () => Promise<ReadonlySet<string>>
): UnsavedNotes {
  const key = (job: string, of: string) => `${PREFIX}/${job}/${of}`;
  return {
    note(job, unsaved) {
      // A store that is full or refuses is said where the job itself is saved.
      attempt(() => storage.setItem(key(job, tab), JSON.stringify(unsaved)));
    },
    clear(job) {
      attempt(() => storage.removeItem(key(job, tab)));
    },
    async take(job) {
      const open = await alive();
      const left = namesIn(storage).filter(
        (name) =>
          name.startsWith(key(job, '')) &&
          (name === key(job, tab) || !open.has(name.slice(key(job, '').length)))
      );
      const notes = left.flatMap((name) => {
        const read = readNote(attempt(() => storage.getItem(name)) ?? null);
        return read ? [read] : [];
      });
      for (const name of left) attempt(() => storage.removeItem(name));
      return notes;
    }
  };
}

/** Notes of this browser tab; none where the browser has no such store. */
export function browserNotes(): UnsavedNotes | null {
  const storage = attempt(() => globalThis.localStorage);
  if (!storage) return null;
  const tab = crypto.getRandomValues(new Uint32Array(2)).join('-');
  const locks = navigator.locks as LockManager | undefined;
  // Held as long as the tab lives: so others know whose note is still being worked on.
  void locks?.request(`${PREFIX}:${tab}`, () => new Promise(() => undefined));
  return unsavedNotes(storage, tab, async () => {
    const held = (await locks?.query())?.held ?? [];
    return new Set(
      held.flatMap(({ name }) => (name?.startsWith(`${PREFIX}:`) ? [name.slice(PREFIX.length + 1)] : []))
    );
  });
}

function namesIn(storage: Storage): string[] {
  return Array.from({ length: storage.length }, (_, at) => storage.key(at) ?? '');
}

/** A note that is not whole is no note: what it says could only be guessed. */
function readNote(text: string | null): Unsaved | null {
  const value = attempt(() => JSON.parse(text ?? 'null') as Partial<Unsaved> | null);
  return value &&
    typeof value.revision === 'number' &&
    Array.isArray(value.steps) &&
    (value.steps as readonly unknown[]).every((step) => typeof step === 'object' && step !== null)
    ? { revision: value.revision, steps: value.steps }
    : null;
}

function attempt<T>(work: () => T): T | undefined {
  try {
    return work();
  } catch {
    return undefined;
  }
}
