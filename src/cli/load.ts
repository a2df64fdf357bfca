/** Reads the job file and finds the thermostat that a verb is about. */
import { readFile, stat } from 'node:fs/promises';
import { MOST_FILE_BYTES, readJob } from '$core/formats/job-json';
import type { Job, Thermostat } from '$core/job/schema';
import { withTicksAdopted } from '$core/plan/adopt-ticks';
import type { Arguments } from './arguments';
import { wrongUse, type BadFile, type WrongUse } from './outcome';

export async function loadJob(file: string | undefined): Promise<Job | BadFile | WrongUse> {
  if (file === undefined) return wrongUse('Name a job file.');
  let text: string;
  try {
    const { size } = await stat(file);
    if (size > MOST_FILE_BYTES) {
      return {
        kind: 'bad-file',
        faults: [
          { path: file, expected: `at most ${MOST_FILE_BYTES / 1_000_000} MB`, found: `${size} bytes` }
        ]
      };
    }
    text = await readFile(file, 'utf8');
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    return { kind: 'bad-file', faults: [{ path: file, expected: 'a file that can be read', found: why }] };
  }
  const read = readJob(text);
  return read.ok ? withTicksAdopted(read.job) : { kind: 'bad-file', faults: read.faults };
}

export function isJob(loaded: Job | BadFile | WrongUse): loaded is Job {
  return 'format' in loaded;
}

/** The thermostat named, or the only one. With several, none is picked in silence. */
export function pickThermostat(
  job: Job,
  { thermostat }: Pick<Arguments, 'thermostat'>
): Thermostat | WrongUse {
  const ids = job.thermostats.map((thermostat) => thermostat.id).join(', ');
  if (thermostat !== undefined) {
    return (
      job.thermostats.find((candidate) => candidate.id === thermostat) ??
      wrongUse(`No thermostat ${thermostat}; the job holds: ${ids || 'none'}.`)
    );
  }
  const [only, ...others] = job.thermostats;
  if (!only) return wrongUse('The job holds no thermostat.');
  return others.length === 0
    ? only
    : wrongUse(`The job holds several thermostats: name one with --thermostat (${ids}).`);
}
