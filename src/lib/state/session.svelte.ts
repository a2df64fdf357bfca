/**
 * The job that is open: its value, its history, and the keeping of it. Every edit is a step; it is saved as one edits, one save at a time,
 * each made from the revision before it. What cannot be saved is told, and the job stays here to be exported.
 */
import { makeId } from '$core/job/ids';
import { JOB_VERSION, type Job } from '$core/job/schema';
import { edit as checkedEdit } from '$core/job/edit';
import { faultText } from '$core/job/faults';
import {
  lastDone,
  movedBy,
  nextAgain,
  NO_HISTORY,
  withMerged,
  withStep,
  type History
} from '$core/job/history';
import { apply, describe, invert, valueAt, type Step } from '$core/job/steps';
import { photosOf, type JobRecord, type JobStore, type Opened } from '$storage/port';
import type { Unsaved, UnsavedNotes } from '$storage/unsaved';

export type Keeping =
  | { readonly state: 'saved' | 'saving' }
  | { readonly state: 'full' | 'refused'; readonly why: string }
  | { readonly state: 'conflict'; readonly theirs: JobRecord }
  /** Another tab has removed the job: nothing is written before the user says so. */
  | { readonly state: 'gone' };

/** What a session is opened with, besides its record. */
export interface SessionParts {
  /** The time of a save as ISO text. */
  readonly now?: () => string;
  readonly opened?: Opened | null;
  /** Takes the ticks of an older job over into the log; null where it has none. */
  readonly ticks?: Step | null;
  /** Where steps are noted until they are saved. */
  readonly notes?: UnsavedNotes | null;
  /** What closed tabs had not saved of this job. */
  readonly left?: readonly Unsaved[];
}

export class JobSession {
  job: Job = $state.raw(undefined as unknown as Job);
  history: History = $state.raw(NO_HISTORY);
  keeping: Keeping = $state.raw({ state: 'saved' });
  /** What was last done, for screen readers and the foot of the page. */
  said = $state('');
  /** Why the last edit was not made; empty once another one is. */
  refused: readonly string[] = $state.raw([]);
  /** What there is to say once of how the job was opened. */
  notice: readonly string[] = $state.raw([]);

  readonly #store: JobStore;
  readonly #now: () => string;
  readonly #notes: UnsavedNotes | null;
  /** Steps made since the stored revision, undone ones as what takes them back. */
  #pending: Step[] = [];
  /** The field in which the last step was typed. */
  #typedIn: object | null = null;
  #typing: object | null = null;
  #revision: number;
  /** The history as the store holds it. */
  #stored: History = NO_HISTORY;
  #dirty = false;
  #busy: Promise<void> | null = null;
  #pictures: Promise<void> = Promise.resolve();
  #unwatch: () => void;

  constructor(
    store: JobStore,
    record: JobRecord,
    { now = isoNow, opened = null, ticks = null, notes = null, left = [] }: SessionParts = {}
  ) {
    this.#store = store;
    this.#now = now;
    this.#notes = notes;
    this.#revision = record.revision;
    this.#adopt(record);
    this.#unwatch = store.watch((id) => void this.#heard(id));
    if (opened) this.#welcome(opened, ticks);
    this.#takeUp(left, record.revision);
  }

  /** Makes the edit where the job that comes of it holds; else says why not, and leaves everything as it is. */
  edit(step: Step): boolean {
    const edited = checkedEdit(this.job, step);
    if (!edited.ok) {
      this.refused = edited.faults.map(faultText);
      this.said = `Not done: ${this.refused.join('; ')}`;
      return false;
    }
    this.job = edited.job;
    const goesOn = this.#typing !== null && this.#typing === this.#typedIn;
    this.history = goesOn ? withMerged(this.history, step) : withStep(this.history, step);
    this.#typedIn = this.#typing;
    this.refused = [];
    this.said = describe(step);
    this.#made(step);
    return true;
  }

  /** Makes an edit that goes on with the one before where both were typed in the same field: one undo takes back all of it. */
  typed(field: object, work: () => void): void {
    this.#typing = field;
    try {
      work();
    } finally {
      this.#typing = null;
    }
  }

  /** Whether closing the page now would lose something. */
  get unsaved(): boolean {
    const { state } = this.keeping;
    return state !== 'saved' && (state !== 'saving' || this.#notes === null);
  }

  get canUndo(): boolean {
    return lastDone(this.history) !== undefined;
  }

  get canRedo(): boolean {
    return nextAgain(this.history) !== undefined;
  }

  undo(): void {
    const step = lastDone(this.history);
    if (!step) return;
    this.job = apply(this.job, invert(step));
    this.history = movedBy(this.history, -1);
    this.said = `Taken back: ${describe(step)}`;
    this.#typedIn = null;
    this.#made(invert(step));
  }

  redo(): void {
    const step = nextAgain(this.history);
    if (!step) return;
    this.job = apply(this.job, step);
    this.history = movedBy(this.history, 1);
    this.said = `Done again: ${describe(step)}`;
    this.#typedIn = null;
    this.#made(step);
  }

  /** Says how an older job was opened, takes its ticks over into the log, and saves it as it is now, so that this is said once. */
  #welcome({ from, historyLetGo, idsChanged }: Opened, ticks: Step | null): void {
    const older = from < JOB_VERSION;
    if (!older && !historyLetGo && !ticks && idsChanged.length === 0) return;
    this.notice = [
      ...(older
        ? [
            `This job was kept by an earlier version. Everything in it is here, and it is kept in the new form from now on.`
          ]
        : []),
      ...(ticks ? ['Moves that were ticked are in the log of what has been done now.'] : []),
      ...idsChanged,
      ...(historyLetGo ? ['What could be undone before is not kept any longer: undo begins anew.'] : [])
    ];
    if (ticks) this.edit(ticks);
    this.#save();
  }

  /** Makes what closed tabs had not saved; says what of it could not be made any longer. */
  #takeUp(left: readonly Unsaved[], revision: number): void {
    const lost: string[] = [];
    let made = 0;
    for (const note of left) {
      if (note.revision !== revision) lost.push(...missingIn(this.job, note.steps));
      else
        for (const step of note.steps)
          if (this.edit(step)) made += 1;
          else lost.push(describe(step));
    }
    this.refused = [];
    if (made > 0)
      this.notice = [
        ...this.notice,
        'Your last edits were not saved before the page closed. They have been restored.'
      ];
    if (lost.length > 0)
      this.notice = [
        ...this.notice,
        `An edit made just before a page closed could not be restored, because the job has changed since: ${lost.join('; ')}.`
      ];
  }

  #made(step: Step): void {
    this.#pending.push(step);
    this.#note();
    this.#save();
  }

  #note(): void {
    if (this.#pending.length === 0) this.#notes?.clear(this.job.id);
    else this.#notes?.note(this.job.id, { revision: this.#revision, steps: this.#pending });
  }

  /** Settles a conflict: takes what the other tab saved, and gives up the edits made here since. */
  takeTheirs(): void {
    if (this.keeping.state !== 'conflict') return;
    this.#dirty = false;
    this.#pending = [];
    this.#note();
    this.#adopt(this.keeping.theirs);
    this.keeping = { state: 'saved' };
    this.said = 'The version of the other tab is shown';
  }

  /** Settles a conflict, or a job that was removed elsewhere: keeps this one as a job of its own. Returns its id. */
  keepMineAs(rest: string): string {
    const before = this.job;
    this.#notes?.clear(before.id);
    this.job = { ...this.job, id: makeId('job', rest), name: `${this.job.name} (copy)`.slice(0, 120) };
    this.#revision = 0;
    this.#stored = NO_HISTORY;
    this.keeping = { state: 'saved' };
    this.said = 'Kept as a job of its own';
    this.#save();
    this.#pictures = this.#copyPictures(before, this.job.id);
    return this.job.id;
  }

  /** Tries again after the store was full or refused. */
  retry(): void {
    this.#save();
  }

  /** A copy has pictures of its own, as far as they are still kept. */
  async #copyPictures(from: Job, to: string): Promise<void> {
    for (const id of photosOf(from)) {
      const picture = await this.#store.getPhoto(from.id, id).catch(() => null);
      if (picture) await this.#store.putPhoto(to, id, picture);
    }
  }

  /** Resolves when everything done so far is saved or has failed to be. */
  async settled(): Promise<void> {
    await this.#pictures;
    while (this.#busy) await this.#busy;
  }

  close(): void {
    this.#unwatch();
  }

  #adopt(record: JobRecord): void {
    this.job = record.job;
    this.history = record.history;
    this.#stored = record.history;
    this.#revision = record.revision;
  }

  #save(): void {
    this.#dirty = true;
    if (this.#waits) return;
    this.#busy ??= this.#run().finally(() => {
      this.#busy = null;
    });
  }

  async #run(): Promise<void> {
    while (this.#dirty && !this.#waits) {
      this.#dirty = false;
      this.keeping = { state: 'saving' };
      const record = {
        job: this.job,
        saved: this.#now(),
        history: this.history
      };
      const holds = this.#pending.length;
      const saved = await this.#store.save(record, this.#revision, this.#stored);
      if (saved.ok) {
        this.#stored = record.history;
        this.#revision = saved.revision;
        this.#pending = this.#pending.slice(holds);
        this.#note();
        this.keeping = { state: 'saved' };
      } else if (saved.reason === 'conflict') {
        this.keeping = { state: 'conflict', theirs: saved.theirs };
      } else if (saved.reason === 'gone') {
        this.keeping = { state: 'gone' };
      } else {
        this.keeping = { state: saved.reason, why: saved.why };
        return;
      }
    }
  }

  /** Nothing is saved before the user has said which. */
  get #waits(): boolean {
    return this.keeping.state === 'conflict' || this.keeping.state === 'gone';
  }

  /** Another tab saved this job, or removed it: with nothing unsaved here it is shown at once, else the next save reports the conflict. */
  async #heard(id: string): Promise<void> {
    if (id !== this.job.id || this.#dirty || this.#busy) return;
    const loaded = await this.#store.load(id);
    if (!loaded.ok && loaded.reason === 'missing' && !this.#dirty && !this.#busy) {
      this.keeping = { state: 'gone' };
      this.said = 'Removed in another tab';
    }
    if (!loaded.ok || this.#dirty || this.#busy || loaded.record.revision <= this.#revision) return;
    this.#adopt(loaded.record);
    this.said = 'Changed in another tab';
  }
}

/** Labels of steps that the job shows no sign of. */
function missingIn(job: Job, steps: readonly Step[]): string[] {
  const last = steps.at(-1);
  return last === undefined || stands(job, last) ? [] : steps.map(describe);
}

function stands(job: Job, step: Step): boolean {
  if (step.kind === 'batch') return step.steps.every((part) => stands(job, part));
  if (step.kind === 'set') return JSON.stringify(valueAt(job, step.path)) === JSON.stringify(step.after);
  const there = valueAt(job, [...step.path, { id: step.value.id }]) !== undefined;
  return there === (step.kind === 'insert');
}

function isoNow(): string {
  return new Date().toISOString();
}
