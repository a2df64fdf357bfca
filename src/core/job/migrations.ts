/**
 * The way from an older job file to the present one: a function per version, each taking the raw data of its version to the next.
 * Version 1 is the first, so the list is empty; a change of the schema adds `1: (raw) => …` here and raises `JOB_VERSION`.
 */
export type Migrations = Readonly<Record<number, (raw: Record<string, unknown>) => Record<string, unknown>>>;

export const JOB_MIGRATIONS: Migrations = {};

export type Migrated =
  | { readonly ok: true; readonly raw: Record<string, unknown>; readonly from: number }
  | { readonly ok: false; readonly reason: 'newer' | 'no-version' | 'no-path'; readonly found: unknown };

/** Takes raw data to version `target` step by step, or says why that cannot be. */
export function migrate(
  raw: Record<string, unknown>,
  target: number,
  migrations: Migrations = JOB_MIGRATIONS
): Migrated {
  const found = raw['version'];
  if (typeof found !== 'number' || !Number.isInteger(found) || found < 0) {
    return { ok: false, reason: 'no-version', found };
  }
  if (found > target) return { ok: false, reason: 'newer', found };
  let current = raw;
  for (let version = found; version < target; version += 1) {
    const step = migrations[version];
    if (!step) return { ok: false, reason: 'no-path', found };
    current = { ...step(current), version: version + 1 };
  }
  return { ok: true, raw: current, from: found };
}
