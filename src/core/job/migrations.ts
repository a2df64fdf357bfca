/**
 * The way from an older job file to the present one: for each version what a file of it had to be, and the way to the next. A change of the
 * schema adds an entry here and raises `JOB_VERSION`.
 */
import * as v from 'valibot';
import { faultsOf, type Fault } from './faults';
import { fromVersion1, JobV1 } from './version-1';

export interface Migration {
  /** What is wrong with a file of this version; nothing where it holds. */
  faults(raw: Record<string, unknown>): Fault[];
  /** Called with what held only. */
  next(raw: Record<string, unknown>): Record<string, unknown>;
}
export type Migrations = Readonly<Record<number, Migration>>;

export const JOB_MIGRATIONS: Migrations = {
  1: {
    faults: (raw) => {
      const parsed = v.safeParse(JobV1, raw);
      return parsed.success ? [] : faultsOf(parsed.issues);
    },
    next: (raw) => fromVersion1(v.parse(JobV1, raw))
  }
};

export type Migrated =
  | { readonly ok: true; readonly raw: Record<string, unknown>; readonly from: number }
  | { readonly ok: false; readonly reason: 'newer' | 'no-version' | 'no-path'; readonly found: unknown }
  | { readonly ok: false; readonly reason: 'faults'; readonly faults: readonly Fault[] };

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
    const migration = migrations[version];
    if (!migration) return { ok: false, reason: 'no-path', found };
    const faults = migration.faults(current);
    if (faults.length > 0) return { ok: false, reason: 'faults', faults };
    current = { ...migration.next(current), version: version + 1 };
  }
  return { ok: true, raw: current, from: found };
}
