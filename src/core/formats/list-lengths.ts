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
export function tooLongLists(
  schema: AnySchema,
  input: unknown,
  path: readonly (string | number)[] = []
): Fault[] {
  const { type, wrapped, item, entries } = schema as unknown as Shape;
  if (wrapped) return input === null || input === undefined ? [] : tooLongLists(wrapped, input, path);
  if (type === 'array' && item && Array.isArray(input)) {
    const most = mostOf(schema);
    if (most !== null && input.length > most)
      return [{ path: pathText(path), expected: `at most ${most}`, found: `${input.length}` }];
    return input.flatMap((member, at) => tooLongLists(item, member, [...path, at]));
  }
  if (entries && typeof input === 'object' && input !== null && !Array.isArray(input))
    return Object.entries(entries).flatMap(([key, entry]) =>
      tooLongLists(entry, (input as Record<string, unknown>)[key], [...path, key])
    );
  return [];
}

function mostOf(schema: AnySchema): number | null {
  const limit = (schema as unknown as Piped).pipe?.find(({ type }) => type === 'max_length')?.requirement;
  return typeof limit === 'number' ? limit : null;
}
