/**
 * Edit steps: every change of a job is a plain value that can be applied, inverted and written down.
 * Undo, the history and (through the graph's own difference) the move list rest on them.
 *
 * A step addresses a place by its path in the job: keys and positions, as in the file.
 */
import type { Job } from './schema';

export type Path = readonly (string | number)[];

export type Step =
  | {
      readonly kind: 'set';
      readonly path: Path;
      readonly before: unknown;
      readonly after: unknown;
      readonly label: string;
    }
  | {
      readonly kind: 'insert';
      readonly path: Path;
      readonly index: number;
      readonly value: unknown;
      readonly label: string;
    }
  | {
      readonly kind: 'remove';
      readonly path: Path;
      readonly index: number;
      readonly value: unknown;
      readonly label: string;
    }
  | { readonly kind: 'batch'; readonly steps: readonly Step[]; readonly label: string };

/** The value at a path, or undefined where the path leads nowhere. */
export function valueAt(root: unknown, path: Path): unknown {
  let current = root;
  for (const key of path) {
    if (current === null || typeof current !== 'object') return undefined;
    current = (current as Record<string | number, unknown>)[key];
  }
  return current;
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
      if (step.index >= list.length)
        throw new Error(`Nothing at ${step.path.join('/')}/${step.index} to remove`);
      return replaceAt(job, step.path, [...list.slice(0, step.index), ...list.slice(step.index + 1)]) as Job;
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

export function insertStep(job: Job, path: Path, value: unknown, label: string, index?: number): Step {
  return { kind: 'insert', path, index: index ?? listAt(job, path).length, value, label };
}

export function removeStep(job: Job, path: Path, index: number, label: string): Step {
  return { kind: 'remove', path, index, value: listAt(job, path)[index], label };
}

export function batch(label: string, steps: readonly Step[]): Step {
  const [only] = steps;
  return steps.length === 1 && only ? { ...only, label } : { kind: 'batch', label, steps };
}

function listAt(job: Job, path: Path): readonly unknown[] {
  const list = valueAt(job, path);
  if (!Array.isArray(list)) throw new Error(`No list at ${path.join('/')}`);
  return list;
}

function replaceAt(node: unknown, path: Path, value: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (node === null || typeof node !== 'object') throw new Error(`The path ends before ${String(key)}`);
  if (Array.isArray(node)) {
    if (typeof key !== 'number' || key < 0 || key >= node.length)
      throw new Error(`No position ${String(key)}`);
    return node.map((item, index) => (index === key ? replaceAt(item, rest, value) : item));
  }
  const record = node as Record<string, unknown>;
  if (value === undefined && rest.length === 0) {
    const { [key]: _gone, ...others } = record;
    return others;
  }
  return { ...record, [key]: replaceAt(record[key], rest, value) };
}
