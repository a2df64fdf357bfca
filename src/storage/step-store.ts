/**
 * The steps of undo and redo, each stored by itself under the job's id and its number, so that a save writes the new ones only. What an
 * older version wrote, and what is not whole, is let go: the job stays as it is.
 */
import { withUniqueIds } from '$core/formats/unique-ids';
import { changeSince, NO_HISTORY, type History } from '$core/job/history';
import { STEP_VERSION, type Step } from '$core/job/steps';
import type { LoadResult } from './port';
import type { WholeRecord } from './stored-record';

interface StoredStep {
  /** The revision that it was written for: one that is newer than the record was never saved with it. */
  readonly revision: number;
  readonly step: Step;
}

export class StepStore {
  readonly #forage: LocalForage;

  constructor(forage: LocalForage) {
    this.#forage = forage;
  }

  async write(job: string, revision: number, known: History, next: History): Promise<void> {
    const { write, remove } = changeSince(known, next);
    for (const { number, step } of write)
      await this.#forage.setItem<StoredStep>(keyOf(job, number), { revision, step });
    for (const number of remove) await this.#forage.removeItem(keyOf(job, number));
  }

  /** The record with its steps, or without them where they cannot be read. */
  async opened(stored: WholeRecord, from: number): Promise<Extract<LoadResult, { ok: true }>> {
    const history = await this.#read(stored);
    const { revision, saved } = stored;
    const { job, words } = withUniqueIds(stored.job);
    return {
      ok: true,
      record: { job, revision, saved, history: history ?? NO_HISTORY },
      opened: { from, historyLetGo: history === null, idsChanged: words }
    };
  }

  async remove(job: string): Promise<void> {
    const keys = await this.#forage.keys();
    for (const key of keys.filter((candidate) => candidate.startsWith(keyOf(job, ''))))
      await this.#forage.removeItem(key);
  }

  async #read({ job, revision, history }: WholeRecord): Promise<History | null> {
    if (history === null) return null;
    const { version, first, cursor, end } = history;
    if (version !== STEP_VERSION || !(first <= cursor && cursor <= end)) return null;
    const steps: Step[] = [];
    for (let number = first; number < end; number += 1) {
      const stored = await this.#forage.getItem<StoredStep>(keyOf(job.id, number));
      if (stored === null || stored.revision > revision) return null;
      steps.push(stored.step);
    }
    return { first, steps, cursor };
  }
}

function keyOf(job: string, number: number | ''): string {
  return `${job}/${number}`;
}
