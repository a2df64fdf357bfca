/** The job as a file: JSON, versioned, read with every fault named by its place. */
import * as v from 'valibot';
import { JOB_MIGRATIONS, migrate, type Migrations } from '../job/migrations';
import { Job, JOB_FORMAT, JOB_VERSION, Thermostat } from '../job/schema';
import { faultsOf, type Fault } from '../job/faults';
import { tooLongLists } from './list-lengths';
import { isRefusal, parseJson, recordOf, refuse } from './json-text';

/** A job of some hundred conductors is below 200 kB; what is larger than this is not read. */
/** The largest job that the screens can make, forty thermostats with two hundred wires each, has a few megabytes. */
export const MOST_FILE_BYTES = 20_000_000;

export type JobRead =
  /** `from`: the version that the file was of; an older one was taken up to the present one. */
  | { readonly ok: true; readonly job: Job; readonly from: number }
  | { readonly ok: false; readonly faults: readonly Fault[] };

export function writeJob(job: Job): string {
  return `${JSON.stringify(job, null, 2)}\n`;
}

/** Reads a job file. Nothing is repaired in silence: a file either holds or comes back with its faults. */
export function readJob(text: string, migrations: Migrations = JOB_MIGRATIONS): JobRead {
  const parsed = parseJson(text, MOST_FILE_BYTES);
  return parsed.ok ? readRawJob(parsed.raw, migrations) : parsed;
}

/** The same for data that is parsed already, such as a request's body. */
export function readRawJob(raw: unknown, migrations: Migrations = JOB_MIGRATIONS): JobRead {
  const current = currentJob(raw, migrations);
  if (!current.ok) return current;
  const parsed = v.safeParse(Job, current.raw);
  return parsed.success
    ? { ok: true, job: parsed.output, from: current.from }
    : { ok: false, faults: faultsOf(parsed.issues) };
}

/**
 * The same, a thermostat at a time, with `pause` between them: a large job is read while the page answers. Where something does not hold it
 * is read again at once, so that the faults are the same. What holds between thermostats (ids that come twice, wires that lead nowhere) is no
 * matter of the schema, and is said as findings.
 */
export async function readRawJobInParts(raw: unknown, pause: () => Promise<void>): Promise<JobRead> {
  const current = currentJob(raw, JOB_MIGRATIONS);
  if (!current.ok) return current;
  const { thermostats } = current.raw as { thermostats?: unknown };
  if (!Array.isArray(thermostats)) return readRawJob(raw);
  await pause();
  const shell = v.safeParse(Job, { ...(current.raw as object), thermostats: [] });
  const read: Thermostat[] = [];
  for (const thermostat of thermostats) {
    const parsed = v.safeParse(Thermostat, thermostat);
    if (!parsed.success) return readRawJob(raw);
    read.push(parsed.output);
    await pause();
  }
  return shell.success
    ? { ok: true, job: { ...shell.output, thermostats: read }, from: current.from }
    : readRawJob(raw);
}

type Current =
  | { readonly ok: true; readonly raw: unknown; readonly from: number }
  | Extract<JobRead, { readonly ok: false }>;

/** A job of the present version, with no list too long, and not looked into yet. */
function currentJob(raw: unknown, migrations: Migrations): Current {
  const record = recordOf(raw, JOB_FORMAT, 'a job');
  if (isRefusal(record)) return record;
  const long = tooLongLists(Job, record);
  if (long.length > 0) return { ok: false, faults: long };
  const migrated = migrate(record, JOB_VERSION, migrations);
  if (!migrated.ok) {
    if (migrated.reason === 'faults') return { ok: false, faults: migrated.faults };
    const found = JSON.stringify(migrated.found) ?? 'nothing';
    if (migrated.reason === 'newer') {
      return refuse(
        'version',
        `${JOB_VERSION} or older`,
        `${found}: the file was written by a newer Ulterum`
      );
    }
    return refuse('version', `a version from 1 to ${JOB_VERSION}`, found);
  }
  return { ok: true, raw: migrated.raw, from: migrated.from };
}
