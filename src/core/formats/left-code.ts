/**
 * The codes on the sheet in the door: the record itself, in as many parts as one code can be read from paper. Each part is an address, so that
 * any camera opens it:
 *
 *   ORIGIN/left#PART.PARTS.SUM.DATA
 *
 * PART counts from 1; SUM: CRC-32 of the whole text as eight hexadecimal digits, the same on every part; DATA: a slice of the packed job
 * (`packed-job.ts`). Parts may come in any order, and twice. `docs/door-code.md` has test vectors.
 */
import { strToU8 } from 'fflate';
import type { Fault } from '../job/faults';
import type { Job, Thermostat } from '../job/schema';
import type { JobRead } from './job-json';
import { refuse } from './json-text';
import { crc32, essenceOf, packJob, unpackJob } from './packed-job';

/**
 * Characters of data in a part: with its address some 450, which a code of 81 fields to a side holds, a seventh of it to spare (version 16, level
 * M). At 5 cm that is more than half a millimetre to a field: a phone reads it from a dusty door.
 */
export const PART_CHARACTERS = 390;
/** A larger record is no sheet of codes any longer: its file goes along. */
export const MOST_PARTS = 12;
export const LEFT_PATH = '/left';

export interface LeftPart {
  readonly part: number;
  readonly parts: number;
  readonly sum: string;
  readonly data: string;
}

/** The addresses of all parts; nothing where the record has more than a sheet can hold. `origin`: where the application is served. */
export function writeLeftCodes(job: Job, thermostat: Thermostat, origin: string): string[] {
  const packed = packJob(essenceOf(job, thermostat));
  const parts = Math.ceil(packed.length / PART_CHARACTERS);
  if (parts > MOST_PARTS) return [];
  const size = Math.ceil(packed.length / parts);
  const sum = sumOf(packed);
  return Array.from(
    { length: parts },
    (_, at) => `${origin}${LEFT_PATH}#${at + 1}.${parts}.${sum}.${packed.slice(at * size, (at + 1) * size)}`
  );
}

function sumOf(packed: string): string {
  return crc32(strToU8(packed)).toString(16).padStart(8, '0');
}

/** The part in what a camera has read, be it the whole address or what stands after `#`; or what is wrong with it. */
export function readLeftPart(text: string): LeftPart | { readonly fault: Fault } {
  const [, rest = text] = text.split('#');
  const match = /^(\d{1,2})\.(\d{1,2})\.([0-9a-f]{8})\.([A-Za-z0-9_-]+)$/.exec(rest.trim());
  const fault = (found: string) => ({
    fault: { path: 'the code', expected: 'a code of a sheet of Ulterum', found }
  });
  if (!match)
    return fault(
      /^[A-Za-z0-9_-]{40,}$/.test(rest) ? 'a code for following steps on another phone' : 'another code'
    );
  const [, part, parts, sum, data] = match;
  const [number, count] = [Number(part), Number(parts)];
  if (number < 1 || number > count || count > MOST_PARTS) return fault(`part ${number} of ${count}`);
  return { part: number, parts: count, sum: sum!, data: data! };
}

export type LeftGathered =
  | { readonly state: 'more'; readonly have: readonly number[]; readonly parts: number }
  | { readonly state: 'whole'; readonly read: JobRead };

/** What the parts make together: the record, or which are still missing. Parts of another sheet than the last one are left aside. */
export function gatherLeft(all: readonly LeftPart[]): LeftGathered | null {
  const last = all.at(-1);
  if (!last) return null;
  const own = new Map(
    all.filter(({ sum, parts }) => sum === last.sum && parts === last.parts).map((part) => [part.part, part])
  );
  if (own.size < last.parts)
    return { state: 'more', have: [...own.keys()].sort((a, b) => a - b), parts: last.parts };
  const packed = Array.from({ length: last.parts }, (_, at) => own.get(at + 1)?.data ?? '').join('');
  if (sumOf(packed) !== last.sum)
    return {
      state: 'whole',
      read: refuse('the codes', 'parts of one sheet', 'parts that do not belong together')
    };
  return { state: 'whole', read: unpackJob(packed, 'the codes') };
}
