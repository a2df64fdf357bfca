/**
 * The job that is open: its value, its history, and the keeping of it. Every edit is a step; it is saved as one edits, one save at a time,
 * each made from the revision before it. What cannot be saved is told, and the job stays here to be exported.
 */
import { makeId } from '$core/job/ids';
import type { Job } from '$core/job/schema';
import { apply, describe, invert, type Step } from '$core/job/steps';
import type { JobRecord, JobStore } from '$storage/port';

/** Steps kept for undo; older ones are forgotten. */
const MOST_STEPS = 200;

export type Keeping =
  | { readonly state: 'saved' | 'saving' }
  | { readonly state: 'full' | 'refused'; readonly why: string }
  | { readonly state: 'conflict'; readonly theirs: JobRecord };

export class JobSession {
  job: Job = $state.raw(undefined as unknown as Job);
  past: readonly Step[] = $state.raw([]);
  future: readonly Step[] = $state.raw([]);
  keeping: Keeping = $state.raw({ state: 'saved' });
  /** What was last done, for screen readers and the foot of the page. */
  said = $state('');

  readonly #store: JobStore;
  readonly #now: () => string;
  #revision: number;
  #dirty = false;
  #busy: Promise<void> | null = null;
  #unwatch: () => void;

  /** `now` gives the time of a save as ISO text. */
  constructor(store: JobStore, record: JobRecord, now: () => string = isoNow) {
    this.#store = store;
    this.#now = now;
    this.#revision = record.revision;
    this.#adopt(record);
    this.#unwatch = store.watch((id) => void this.#heard(id));
  }

  edit(step: Step): void {
    this.job = apply(this.job, step);
    this.past = [...this.past, step].slice(-MOST_STEPS);
    this.future = [];
    this.said = describe(step);
    this.#save();
  }

  get canUndo(): boolean {
    return this.past.length > 0;
  }

  get canRedo(): boolean {
    return this.future.length > 0;
  }

  undo(): void {
    const step = this.past.at(-1);
    if (!step) return;
    this.job = apply(this.job, invert(step));
    this.past = this.past.slice(0, -1);
    this.future = [...this.future, step];
    this.said = `Taken back: ${describe(step)}`;
    this.#save();
  }

  redo(): void {
    const step = this.future.at(-1);
    if (!step) return;
    this.job = apply(this.job, step);
    this.future = this.future.slice(0, -1);
    this.past = [...this.past, step];
    this.said = `Done again: ${describe(step)}`;
    this.#save();
  }

  /** Settles a conflict: takes what the other tab saved, and gives up the edits made here since. */
  takeTheirs(): void {
    if (this.keeping.state !== 'conflict') return;
    this.#dirty = false;
    this.#adopt(this.keeping.theirs);
    this.keeping = { state: 'saved' };
    this.said = 'The version of the other tab is shown';
  }

  /** Settles a conflict: keeps both, this one as a job of its own. Returns its id. */
  keepMineAs(rest: string): string {
    this.job = { ...this.job, id: makeId('job', rest), name: `${this.job.name} (copy)`.slice(0, 120) };
    this.#revision = 0;
    this.keeping = { state: 'saved' };
    this.said = 'Kept as a job of its own';
    this.#save();
    return this.job.id;
  }

  /** Tries again after the store was full or refused. */
  retry(): void {
    this.#save();
  }

  /** Resolves when everything done so far is saved or has failed to be. */
  async settled(): Promise<void> {
    while (this.#busy) await this.#busy;
  }

  close(): void {
    this.#unwatch();
  }

  #adopt(record: JobRecord): void {
    this.job = record.job;
    this.past = record.past;
    this.future = record.future;
    this.#revision = record.revision;
  }

  #save(): void {
    this.#dirty = true;
    if (this.keeping.state === 'conflict') return;
    this.#busy ??= this.#run().finally(() => {
      this.#busy = null;
    });
  }

  async #run(): Promise<void> {
    while (this.#dirty && this.keeping.state !== 'conflict') {
      this.#dirty = false;
      this.keeping = { state: 'saving' };
      const record = {
        job: this.job,
        saved: this.#now(),
        past: this.past,
        future: this.future
      };
      const saved = await this.#store.save(record, this.#revision);
      if (saved.ok) {
        this.#revision = saved.revision;
        this.keeping = { state: 'saved' };
      } else if (saved.reason === 'conflict') {
        this.keeping = { state: 'conflict', theirs: saved.theirs };
      } else {
        this.keeping = { state: saved.reason, why: saved.why };
        return;
      }
    }
  }

  /** Another tab saved this job: with nothing unsaved here it is shown at once, else the next save reports the conflict. */
  async #heard(id: string): Promise<void> {
    if (id !== this.job.id || this.#dirty || this.#busy) return;
    const loaded = await this.#store.load(id);
    if (!loaded.ok || this.#dirty || this.#busy || loaded.record.revision <= this.#revision) return;
    this.#adopt(loaded.record);
    this.said = 'Changed in another tab';
  }
}

function isoNow(): string {
  return new Date().toISOString();
}
