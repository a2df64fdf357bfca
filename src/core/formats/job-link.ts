/**
 * One thermostat's place in an address: what a second phone needs to follow the steps, packed into the part after `#`, which no server sees.
 * Photos, the survey and what was seen stay behind. Deflate (RFC 1951), then base64 for addresses (RFC 4648, section 5).
 */
import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { EMPTY_SURVEY, EMPTY_WALL_FACE } from '../job/survey-schema';
import type { Fault } from '../job/faults';
import type { Job, Thermostat } from '../job/schema';
import { readJob, writeJob, type JobRead } from './job-json';
import { refuse } from './json-text';

/** Characters beyond which a code has more than 165 fields to a side (version 37): few phones read that from a screen. */
export const MOST_LINK_CHARACTERS = 2400;
/** What an address may unpack to: a job of one place has a tenth of it. */
const MOST_UNPACKED_BYTES = 1_000_000;

export function writeJobLink(job: Job, thermostat: Thermostat): string {
  const bytes = deflateSync(strToU8(JSON.stringify(JSON.parse(writeJob(essence(job, thermostat))))), {
    level: 9
  });
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  return btoa(text).replaceAll('+', '-').replaceAll('/', '_').replaceAll('=', '');
}

/** What the hands need: the wires, the machines they go to, the device, the choice and what was done. */
function essence(job: Job, thermostat: Thermostat): Job {
  const { choice } = thermostat;
  return {
    ...job,
    note: '',
    survey: EMPTY_SURVEY,
    equipment: job.equipment
      .filter(({ id }) => thermostat.equipment.includes(id))
      .map((machine) => ({ ...machine, trace: machine.trace.map((found) => ({ ...found, note: '' })) })),
    devices: job.devices.filter(({ id }) => id === choice.device),
    thermostats: [
      {
        ...thermostat,
        face: EMPTY_WALL_FACE,
        path: { stretches: [], more: 0 },
        stops: {},
        photos: [],
        bench: [],
        seen: [],
        signal: [],
        notes: [],
        foundEnds: []
      }
    ]
  };
}

/** Reads what stands after `#`; every fault of it is named, and nothing larger than a job is unpacked. */
export function readJobLink(text: string): JobRead {
  let json: string;
  try {
    const raw = atob(text.replaceAll('-', '+').replaceAll('_', '/'));
    const bytes = Uint8Array.from(raw, (character) => character.charCodeAt(0));
    // A buffer of a set size: what would unpack to more throws.
    json = strFromU8(inflateSync(bytes, { out: new Uint8Array(MOST_UNPACKED_BYTES) }));
  } catch {
    return { ok: false, faults: [broken()] };
  }
  return readJob(json);
}

function broken(): Fault {
  const refused = refuse('the address', 'a code from the screen of the other phone, whole', 'something else');
  return refused.faults[0]!;
}
