/**
 * The houses that can be opened from the first page. Each is loaded as the file that `npm run ulterum -- demo` has written of it: working a
 * house's steps out takes a plan for each, which is no work for the page that somebody waits for.
 */
import { readRawJob } from '$core/formats/job-json';
import { faultText } from '$core/job/faults';
import type { Job } from '$core/job/schema';

interface DemoHouse {
  readonly file: () => Promise<{ readonly default: unknown }>;
  /** The station that it opens at. */
  readonly station: string;
}

const SCHOOLHOUSE: DemoHouse = { file: () => import('../../demo/schoolhouse.json'), station: 'sheet' };

/** By the last part of their address. */
const HOUSES: Readonly<Record<string, DemoHouse>> = {
  schoolhouse: SCHOOLHOUSE,
  'ferry-house': { file: () => import('../../demo/ferry-house.json'), station: 'sheet' },
  'mill-cottage': { file: () => import('../../demo/mill-cottage.json'), station: 'why' },
  'quarry-row': { file: () => import('../../demo/quarry-row.json'), station: 'strip' }
};

/** The house of this name, else the first one. Throws where its file does not hold: it ships with the program. */
export async function openDemoHouse(name: string): Promise<{ job: Job; station: string }> {
  const { file, station } = HOUSES[name] ?? SCHOOLHOUSE;
  const read = readRawJob((await file()).default);
  if (!read.ok) throw new Error(read.faults.map(faultText).join('; '));
  return { job: read.job, station };
}
