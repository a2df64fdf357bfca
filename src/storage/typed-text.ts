/**
 * What stands in a form that has a button of its own which nobody has pressed yet: it is there again when the page is, though the tab was
 * killed. It is no part of the job: no undo, no file and no other device has it.
 */
const PREFIX = 'ulterum-typed';

export interface TypedTexts {
  /** What was typed under the name; null where nothing is, or nothing that can be read. */
  read(name: string): unknown;
  /** Keeps what is typed in place of what was; null where nothing is left to keep. */
  keep(name: string, value: unknown): void;
  /** Lets go what was typed in all forms of a job. */
  forget(job: string): void;
}

/** Names begin with the id of their job: `job-1/th-1/new-jumper`. */
export function typedTexts(storage: Storage | undefined): TypedTexts {
  return {
    read: (name) => attempt(() => JSON.parse(storage?.getItem(keyOf(name)) ?? 'null') as unknown) ?? null,
    keep(name, value) {
      // A store that is full or refuses is said where the job itself is saved.
      attempt(() =>
        value === null
          ? storage?.removeItem(keyOf(name))
          : storage?.setItem(keyOf(name), JSON.stringify(value))
      );
    },
    forget(job) {
      const names = Array.from({ length: storage?.length ?? 0 }, (_, at) => storage?.key(at) ?? '');
      for (const name of names.filter((candidate) => candidate.startsWith(keyOf(`${job}/`))))
        attempt(() => storage?.removeItem(name));
    }
  };
}

/** Those of this browser, shared by its tabs; nothing is kept where it has no such store. */
export function browserTyped(): TypedTexts {
  return typedTexts(attempt(() => globalThis.localStorage));
}

/** Says of single fields of a form whether what was kept can stand there. */
export type Checks<T> = { readonly [F in keyof T]?: (value: unknown) => boolean };

/**
 * The form with what was kept of it, field by field: each that is of the kind of the empty one's, or passes the check that is given for it. So
 * what another version kept does no harm. The empty form is not changed.
 */
export function fitted<T extends object>(empty: T, kept: unknown, checks: Checks<T> = {}): T {
  const known = (kept ?? {}) as Readonly<Record<string, unknown>>;
  const entries = Object.entries(empty) as [keyof T & string, unknown][];
  return Object.fromEntries(
    entries.map(([field, value]) => {
      const holds = checks[field]?.(known[field]) ?? fits(value, known[field]);
      return [field, structuredClone(holds ? known[field] : value)];
    })
  ) as T;
}

/** A list may be longer than the empty form's: its members look like the first of that, or are plain where it has none. */
function fits(empty: unknown, kept: unknown): boolean {
  if (Array.isArray(empty))
    return (
      Array.isArray(kept) && kept.length <= MOST && kept.every((member) => fits(empty[0] ?? null, member))
    );
  if (empty === null) return kept !== undefined && (kept === null || typeof kept !== 'object');
  if (typeof empty !== 'object') return typeof kept === typeof empty && !(String(kept).length > LONGEST);
  if (kept === null || typeof kept !== 'object') return false;
  return Object.entries(empty as object).every(([field, value]) =>
    fits(value, (kept as Readonly<Record<string, unknown>>)[field])
  );
}

/** Characters of a text, members of a list: more than any form takes. */
const LONGEST = 4000;
const MOST = 200;

function keyOf(name: string): string {
  return `${PREFIX}/${name}`;
}

function attempt<T>(work: () => T): T | undefined {
  try {
    return work();
  } catch {
    return undefined;
  }
}
