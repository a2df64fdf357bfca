/** The bounds of a field as its schema has them, so that a form never takes what a reader would refuse. */
import type * as v from 'valibot';

export interface Bounds {
  readonly least: number;
  readonly most: number;
}

interface Action {
  readonly type: string;
  readonly requirement?: unknown;
}
interface Wrapped {
  readonly wrapped?: unknown;
  readonly pipe?: readonly Action[];
}

/** Least and most of a schema of numbers; a number above 0 has no least one, and what the smallest one may be is 0.001. */
export function boundsOf(schema: v.GenericSchema): Bounds {
  let least = -Infinity;
  let most = Infinity;
  for (const { type, requirement } of actionsOf(schema)) {
    if (typeof requirement !== 'number') continue;
    if (type === 'min_value') least = requirement;
    if (type === 'gt_value') least = requirement + 0.001;
    if (type === 'max_value') most = requirement;
  }
  return { least, most };
}

/** Most characters of a schema of texts. */
export function mostCharacters(schema: v.GenericSchema): number {
  const found = actionsOf(schema).find((action) => action.type === 'max_length');
  return typeof found?.requirement === 'number' ? found.requirement : Infinity;
}

function actionsOf(schema: unknown): readonly Action[] {
  const { wrapped, pipe } = schema as Wrapped;
  if (wrapped !== undefined) return actionsOf(wrapped);
  return pipe ?? [];
}
