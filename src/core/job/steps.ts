/**
 * Edit steps: every change of a job is a plain value that can be applied, inverted and written down.
 * Undo and the history rest on them.
 *
 * A step addresses a place by its path in the job: keys, and in lists the id of the member. So a step still means the same member when
 * others have come or gone before it.
 */
import type { Job } from './schema';

/** A key of an object, or the member of a list with this id. */
export type Segment = string | { readonly id: string };
export type Path = readonly Segment[];

/** Grows with each change of what a step looks like; a stored history of another version is migrated, or let go with a word. */
export const STEP_VERSION = 2;

export type Step =
  | {
      readonly kind: 'set';
      readonly path: Path;
      readonly before: unknown;
      readonly after: unknown;
      readonly label: string;
    }
  | {
      /** Puts a member into the list at `path`, at the position `index`, or at its end where the list is shorter. */
      readonly kind: 'insert';
      readonly path: Path;
      readonly index: number;
      readonly value: Member;
      readonly label: string;
    }
  | {
      /** Takes the member with the value's id out of the list at `path`; `index` is where it stood. */
      readonly kind: 'remove';
      readonly path: Path;
      readonly index: number;
      readonly value: Member;
      readonly label: string;
    }
  | { readonly kind: 'batch'; readonly steps: readonly Step[]; readonly label: string };

export interface Member {
  readonly id: string;
}

/** The value at a path, or undefined where the path leads nowhere. */
export function valueAt(root: unknown, path: Path): unknown {
  let current = root;
  for (const segment of path) {
    if (current === null || typeof current !== 'object') return undefined;
    current =
      typeof segment === 'string'
        ? (current as Record<string, unknown>)[segment]
        : memberOf(current, segment.id);
  }
  return current;
}

function memberOf(list: unknown, id: string): unknown {
  return Array.isArray(list) ? (list as Member[]).find((member) => member.id === id) : undefined;
}

/** The job after the step; the job handed in stays as it is. Throws when the step's path leads nowhere in it. */
export function apply(job: Job, step: Step): Job {
  switch (step.kind) {
    case 'set':
      return replaceAt(job, step.path, step.after) as Job;
    case 'insert': {
      const list = listAt(job, step.path);
      return replaceAt(job, step.path, [
        ...list.slice(0, step.index),
        step.value,
        ...list.slice(step.index)
      ]) as Job;
    }
    case 'remove': {
      const list = listAt(job, step.path);
      const index = list.findIndex((member) => member.id === step.value.id);
      if (index < 0) throw new Error(`No ${step.value.id} at ${pathName(step.path)} to remove`);
      return replaceAt(job, step.path, [...list.slice(0, index), ...list.slice(index + 1)]) as Job;
    }
    case 'batch':
      return step.steps.reduce(apply, job);
  }
}

/** The step that takes back what this one does. */
export function invert(step: Step): Step {
  switch (step.kind) {
    case 'set':
      return { ...step, before: step.after, after: step.before };
    case 'insert':
      return { ...step, kind: 'remove' };
    case 'remove':
      return { ...step, kind: 'insert' };
    case 'batch':
      return { ...step, steps: step.steps.map(invert).reverse() };
  }
}

/** What the step did, for the history and the undo button. */
export function describe(step: Step): string {
  return step.label;
}

export function setStep(job: Job, path: Path, after: unknown, label: string): Step {
  return { kind: 'set', path, before: valueAt(job, path), after, label };
}

export function insertStep(job: Job, path: Path, value: Member, label: string, index?: number): Step {
  return { kind: 'insert', path, index: index ?? listAt(job, path).length, value, label };
}

/** Throws where the list has no member of that id. */
export function removeStep(job: Job, path: Path, id: string, label: string): Step {
  const list = listAt(job, path);
  const index = list.findIndex((member) => member.id === id);
  const value = list[index];
  if (!value) throw new Error(`No ${id} at ${pathName(path)} to remove`);
  return { kind: 'remove', path, index, value, label };
}

export function batch(label: string, steps: readonly Step[]): Step {
  const [only] = steps;
  return steps.length === 1 && only ? { ...only, label } : { kind: 'batch', label, steps };
}

/** A path in words, for a message. */
export function pathName(path: Path): string {
  return path.map((segment) => (typeof segment === 'string' ? segment : segment.id)).join('/');
}

function listAt(job: Job, path: Path): readonly Member[] {
  const list = valueAt(job, path);
  if (!Array.isArray(list)) throw new Error(`No list at ${pathName(path)}`);
  return list as Member[];
}

function replaceAt(node: unknown, path: Path, value: unknown): unknown {
  const [segment, ...rest] = path;
  if (segment === undefined) return value;
  if (node === null || typeof node !== 'object')
    throw new Error(`The path ends before ${pathName([segment])}`);
  if (typeof segment !== 'string') {
    const list = node as readonly Member[];
    const index = Array.isArray(node) ? list.findIndex((member) => member.id === segment.id) : -1;
    if (index < 0) throw new Error(`No ${segment.id} where the path leads`);
    return list.map((item, at) => (at === index ? replaceAt(item, rest, value) : item));
  }
  if (Array.isArray(node)) throw new Error(`${segment} is no member of a list`);
  const record = node as Record<string, unknown>;
  if (value === undefined && rest.length === 0) {
    const { [segment]: _gone, ...others } = record;
    return others;
  }
  return { ...record, [segment]: replaceAt(record[segment], rest, value) };
}
