/** One thermostat's place in an address: what a second phone needs to follow the steps, after `#`, which no server sees. */
import type { Job, Thermostat } from '../job/schema';
import type { JobRead } from './job-json';
import { essenceOf, packJob, unpackJob } from './packed-job';

/** Characters beyond which a code has more than 165 fields to a side (version 37): few phones read that from a screen. */
export const MOST_LINK_CHARACTERS = 2400;

export function writeJobLink(job: Job, thermostat: Thermostat): string {
  const { thermostats, ...rest } = essenceOf(job, thermostat);
  return packJob({
    ...rest,
    thermostats: thermostats.map((place) => ({ ...place, stops: {}, seen: [], readings: [] }))
  });
}

/** Reads what stands after `#`; every fault of it is named. */
export function readJobLink(text: string): JobRead {
  return unpackJob(text, 'the address');
}
