/**
 * What can be undone and done again: the steps of a job in their order, and how far one has gone back. Each step has a number that it keeps,
 * so that a store writes only those that are new.
 */
import { batch, pathName, type Step } from './steps';

/** Steps kept for undo; older ones are forgotten. */
export const MOST_STEPS = 200;

export interface History {
  /** Number of the first step that is kept. */
  readonly first: number;
  readonly steps: readonly Step[];
  /** Number of the step that would be done again next: all before it stand. */
  readonly cursor: number;
}

export const NO_HISTORY: History = { first: 0, steps: [], cursor: 0 };

/** The step that an undo takes back; undefined where there is none. */
export function lastDone({ first, steps, cursor }: History): Step | undefined {
  return steps[cursor - first - 1];
}

/** The step that a redo does again; undefined where there is none. */
export function nextAgain({ first, steps, cursor }: History): Step | undefined {
  return steps[cursor - first];
}

/** With a new step; what could have been done again is forgotten. */
export function withStep({ first, steps, cursor }: History, step: Step): History {
  const kept = [...steps.slice(0, cursor - first), step];
  const over = Math.max(0, kept.length - MOST_STEPS);
  return { first: first + over, steps: kept.slice(over), cursor: cursor + 1 };
}

/** With a step that goes on with the last one: both are taken back together. */
export function withMerged(history: History, step: Step): History {
  const last = lastDone(history);
  if (!last) return withStep(history, step);
  return withStep(movedBy(history, -1), merged(last, step));
}

function merged(first: Step, second: Step): Step {
  return first.kind === 'set' && second.kind === 'set' && pathName(first.path) === pathName(second.path)
    ? { ...second, before: first.before }
    : batch(second.label, [...(first.kind === 'batch' ? first.steps : [first]), second]);
}

export function movedBy(history: History, by: -1 | 1): History {
  return { ...history, cursor: history.cursor + by };
}

export interface HistoryChange {
  readonly write: readonly { readonly number: number; readonly step: Step }[];
  readonly remove: readonly number[];
}

/** What a store that holds `known` has to write and to take away to hold this one. */
export function changeSince(known: History, next: History): HistoryChange {
  const was = new Map(known.steps.map((step, index) => [known.first + index, step]));
  const is = new Map(next.steps.map((step, index) => [next.first + index, step]));
  return {
    write: [...is].flatMap(([number, step]) => (was.get(number) === step ? [] : [{ number, step }])),
    remove: [...was.keys()].filter((number) => !is.has(number))
  };
}
