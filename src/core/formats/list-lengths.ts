/**
 * Lists are refused by their length before anybody looks at what is in them: half a million things that are none would otherwise make half a
 * million faults. Reads the limits off the schema, so that there is one of each.
 */
import type * as v from 'valibot';
import { pathText, type Fault } from '../job/faults';

type AnySchema = v.BaseSchema<unknown, unknown, v.BaseIssue<unknown>>;

interface Piped {
  readonly pipe?: readonly { readonly type: string; readonly requirement?: unknown }[];
}

interface Shape {
  readonly type: string;
  readonly wrapped?: AnySchema;
  readonly item?: AnySchema;
  readonly entries?: Readonly<Record<string, AnySchema>>;
}

/** Lists of `input` that are longer than `schema` lets them be, the outermost of each branch. */
export function tooLongLists(schema: AnySchema, input: unknown): Fault[] {
  const faults: Fault[] = [];
  visit(schema, input, [], faults);
  return faults;
}

/** `path` is where it stands, and is as it was when this returns: a large job has a hundred thousand places, and next to no faults. */
function visit(schema: AnySchema, input: unknown, path: (string | number)[], faults: Fault[]): void {
  if (input === null || typeof input !== 'object' || !holdsLists(schema)) return;
  const { type, wrapped, item, entries } = schema as unknown as Shape;
  const inside = (step: string | number, part: AnySchema, value: unknown) => {
    path.push(step);
    visit(part, value, path, faults);
    path.pop();
  };
  if (wrapped) visit(wrapped, input, path, faults);
  else if (type === 'array' && item && Array.isArray(input)) {
    const most = mostOf(schema);
    if (most !== null && input.length > most)
      faults.push({ path: pathText(path), expected: `at most ${most}`, found: `${input.length}` });
    else if (holdsLists(item)) input.forEach((member, at) => inside(at, item, member));
  } else if (entries && !Array.isArray(input))
    for (const key in entries) inside(key, entries[key]!, (input as Record<string, unknown>)[key]);
}

const known = new WeakMap<AnySchema, boolean>();

/** Whether what such a schema describes has a list anywhere in it. */
function holdsLists(schema: AnySchema): boolean {
  const before = known.get(schema);
  if (before !== undefined) return before;
  const { type, wrapped, entries } = schema as unknown as Shape;
  const holds =
    type === 'array' ||
    (wrapped !== undefined && holdsLists(wrapped)) ||
    (entries !== undefined && Object.values(entries).some(holdsLists));
  known.set(schema, holds);
  return holds;
}

function mostOf(schema: AnySchema): number | null {
  const limit = (schema as unknown as Piped).pipe?.find(({ type }) => type === 'max_length')?.requirement;
  return typeof limit === 'number' ? limit : null;
}
