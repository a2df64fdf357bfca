/** Kinds of files that come in from outside, each with a sound one to break, and what is done with what was taken. */
import { strToU8 } from 'fflate';
import { devicesOf } from '../../match/catalogue';
import { matchDevice } from '../../match/match';
import { planFor } from '../../plan/plan';
import { identify } from '../../identify/identify';
import { readConductors, writeConductors } from '../../formats/conductors-csv';
import { readDevice, writeDevice } from '../../formats/device-json';
import { readBundle, writeBundle } from '../../formats/job-bundle';
import { readRawJob } from '../../formats/job-json';
import { identifyReport, matchReport, planReport } from '../../formats/reports';
import { withUniqueIds } from '../../formats/unique-ids';
import { readWeather } from '../../formats/weather-csv';
import { findPlace, yearOf } from '../../house/weather';
import type { Fault } from '../../job/faults';
import type { PhotoId } from '../../job/ids';
import type { Job } from '../../job/schema';
import type { Chance } from '../../trade/random';
import { breakBytes, breakTable, breakText, breakValue } from './break';

export const FUZZ_KINDS = ['jobs', 'lists of wires', 'weather', 'devices', 'bundles'] as const;
export type FuzzKind = (typeof FUZZ_KINDS)[number];

/** What became of a file: refused with faults, or taken, with everything that was worked out of it. */
export type Taken =
  | { readonly ok: false; readonly faults: readonly Fault[] }
  | { readonly ok: true; readonly worked: readonly unknown[] };

export interface FuzzMeans {
  /** Sound jobs of every version, as they were parsed from JSON. */
  readonly jobs: readonly unknown[];
  /** Whether what is taken is planned as well, which takes most of the time. */
  readonly plans: boolean;
}

/** Breaks one file of a kind and reads it. Throws where reading throws. */
export function fuzzOnce(kind: FuzzKind, chance: Chance, means: FuzzMeans): Taken {
  switch (kind) {
    case 'jobs':
      return brokenJob(chance, means);
    case 'lists of wires':
      return brokenWires(chance, means);
    case 'weather':
      return brokenWeather(chance);
    case 'devices':
      return brokenDevice(chance, means);
    case 'bundles':
      return brokenBundle(chance, means);
  }
}

function brokenJob(chance: Chance, { jobs, plans }: FuzzMeans): Taken {
  const read = readRawJob(breakValue(chance, structuredClone(chance.pick(jobs))));
  return read.ok ? { ok: true, worked: workedOut(read.job, plans) } : read;
}

function workedOut(raw: Job, plans: boolean): unknown[] {
  const { job } = withUniqueIds(raw);
  return job.thermostats.flatMap((thermostat) => [
    identifyReport(identify(job, thermostat)),
    ...(plans ? [planReport(planFor(job, thermostat))] : [])
  ]);
}

/** A sound job of the present version. */
function soundJob(chance: Chance, { jobs }: FuzzMeans): Job {
  const read = readRawJob(chance.pick(jobs));
  if (!read.ok) throw new Error('A sound job does not hold');
  return read.job;
}

function brokenWires(chance: Chance, means: FuzzMeans): Taken {
  const job = soundJob(chance, means);
  const thermostat = chance.pick(job.thermostats);
  const read = readConductors(breakTable(chance, writeConductors(job, thermostat)), job, thermostat);
  if (!read.ok) return read;
  const edited = {
    ...job,
    thermostats: job.thermostats.map((candidate) =>
      candidate === thermostat ? { ...candidate, conductors: [...read.conductors] } : candidate
    )
  };
  return { ok: true, worked: workedOut(edited, means.plans) };
}

let soundYear: string | null = null;

function brokenWeather(chance: Chance): Taken {
  soundYear ??= [
    'hour,temperature_c',
    ...Array.from(yearOf(findPlace('harrowdale')!), (t, at) => `${at},${t.toFixed(1)}`)
  ].join('\n');
  const read = readWeather(breakTable(chance, soundYear), 'broken');
  return read.ok ? { ok: true, worked: [read.weather] } : read;
}

function brokenDevice(chance: Chance, means: FuzzMeans): Taken {
  const job = soundJob(chance, means);
  const sound = writeDevice(chance.pick(devicesOf(job)));
  const text = chance.happens(0.5)
    ? breakText(chance, sound)
    : JSON.stringify(breakValue(chance, JSON.parse(sound) as unknown));
  const read = readDevice(text);
  if (!read.ok) return read;
  const thermostat = chance.pick(job.thermostats);
  const match = matchDevice(job, thermostat, read.device);
  const plan = means.plans ? [planReport(planFor(job, thermostat, { device: read.device }))] : [];
  return { ok: true, worked: [matchReport(thermostat.id, [match]), ...plan] };
}

function brokenBundle(chance: Chance, means: FuzzMeans): Taken {
  const photo = Uint8Array.from(strToU8('no picture, but bytes'));
  const bundle = writeBundle(soundJob(chance, means), new Map([['ph-1' as PhotoId, photo]]));
  const read = readBundle(breakBytes(chance, bundle));
  return read.ok ? { ok: true, worked: workedOut(read.job, means.plans) } : read;
}
