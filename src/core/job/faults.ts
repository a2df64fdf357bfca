/** What is wrong with something that came in, or that an edit would make: where, what was expected, what stood there. */
import type * as v from 'valibot';

export interface Fault {
  /** Place in the file: `thermostats[0].conductors[2].colour`, or `line 4, column wall`. */
  readonly path: string;
  readonly expected: string;
  readonly found: string;
}

export function faultText(fault: Fault): string {
  return `${fault.path}: expected ${fault.expected}, found ${fault.found}`;
}

type AnyIssue = v.BaseIssue<unknown>;

/** Valibot's issues as faults, one for each place; `under` stands before each path. */
export function faultsOf(issues: readonly AnyIssue[], under: readonly (string | number)[] = []): Fault[] {
  return cut(issues.flatMap((issue) => faultOf(issue, under)));
}

/** More than so many faults nobody reads, and no answer carries. */
export const MOST_FAULTS = 200;

function cut(faults: readonly Fault[]): Fault[] {
  if (faults.length <= MOST_FAULTS) return [...faults];
  const more = {
    path: 'the file',
    expected: 'nothing more to be wrong',
    found: `${faults.length - MOST_FAULTS} more faults`
  };
  return [...faults.slice(0, MOST_FAULTS), more];
}

function faultOf(issue: AnyIssue, under: readonly (string | number)[]): Fault[] {
  const nested = issue.issues?.filter(
    (baseIssue) => baseIssue.path && baseIssue.path.length > (issue.path?.length ?? 0)
  );
  if (nested && nested.length > 0) return nested.flatMap((baseIssue) => faultOf(baseIssue, under));
  return [
    {
      path: pathText([
        ...under,
        ...(issue.path?.map((issuePathItem) => issuePathItem.key as string | number) ?? [])
      ]),
      expected: expectedText(issue),
      found: shown(issue.input)
    }
  ];
}

function expectedText(issue: AnyIssue): string {
  if (issue.type === 'strict_object' && issue.expected === 'never') return 'no such key';
  return issue.message.startsWith('Invalid') ? (issue.expected ?? 'something else') : issue.message;
}

/** `a[2].b`, or `the file` for its root. */
export function pathText(path: readonly (string | number)[]): string {
  if (path.length === 0) return 'the file';
  return path
    .map((key, index) => {
      if (typeof key === 'number') return `[${key}]`;
      const name = key === '' ? '""' : key;
      return index === 0 ? name : `.${name}`;
    })
    .join('');
}

function shown(value: unknown): string {
  if (value === undefined) return 'nothing';
  const text =
    typeof value === 'object' && value !== null
      ? Array.isArray(value)
        ? 'a list'
        : 'an object'
      : // What JSON has no word for is named by its kind.
        (JSON.stringify(value) ?? `a ${typeof value}`);
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
}
