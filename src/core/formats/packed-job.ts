/**
 * One thermostat's place as few characters: for an address that another phone opens, and for the codes on the sheet in the door.
 *
 *   byte 0      version of the packing, 1
 *   bytes 1-4   CRC-32 (IEEE 802.3, as in zip files) of what follows, high byte first
 *   bytes 5-    the job as JSON, deflated (RFC 1951) with the dictionary of that version
 *
 * Then base64 for addresses (RFC 4648, section 5) without padding. The dictionary of a version never changes: it is what an old sheet is read
 * with.
 */
import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { NOTHING_PRIVATE } from '../job/after-schema';
import type { Fault } from '../job/faults';
import type { Job, Thermostat } from '../job/schema';
import { EMPTY_SURVEY, EMPTY_WALL_FACE } from '../job/survey-schema';
import { SYSTEM_SETTINGS } from '../trade/setting-ids';
import dictionary1 from './code-dictionary-1.json';
import { readJob, type JobRead } from './job-json';
import { refuse } from './json-text';

const VERSION = 1;
const HEAD = 5;
/** What it may unpack to: a job of one place has a tenth of it. */
const MOST_UNPACKED_BYTES = 1_000_000;

let dictionary: Uint8Array | null = null;
const dictionaryBytes = (): Uint8Array => (dictionary ??= strToU8(dictionary1.text));

/**
 * What the hands, or the next person, need: the wires, the machines they go to, the device, the choice, what was done, how it was set up and
 * tested. Photos, private facts, notes, and when nobody is home stay behind.
 */
export function essenceOf(job: Job, thermostat: Thermostat): Job {
  return {
    ...job,
    note: '',
    survey: EMPTY_SURVEY,
    equipment: job.equipment
      .filter(({ id }) => thermostat.equipment.includes(id))
      .map((machine) => ({ ...machine, trace: machine.trace.map((found) => ({ ...found, note: '' })) })),
    devices: job.devices.filter(({ id }) => id === thermostat.choice.device),
    thermostats: [
      {
        ...thermostat,
        face: EMPTY_WALL_FACE,
        path: { stretches: [], more: 0 },
        photos: [],
        bench: [],
        signal: [],
        notes: [],
        oldTicks: [],
        foundEnds: [],
        private: NOTHING_PRIVATE,
        testing: null,
        settings: thermostat.settings.filter(({ setting }) => SYSTEM_SETTINGS.has(setting))
      }
    ]
  };
}

export function packJob(job: Job): string {
  const body = deflateSync(strToU8(JSON.stringify(job)), { level: 9, dictionary: dictionaryBytes() });
  const bytes = new Uint8Array(HEAD + body.length);
  bytes[0] = VERSION;
  new DataView(bytes.buffer).setUint32(1, crc32(body));
  bytes.set(body, HEAD);
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  return btoa(text).replaceAll('+', '-').replaceAll('/', '_').replaceAll('=', '');
}

/** Reads it back; `what` names the thing that it was read from. Nothing larger than a job is unpacked. */
export function unpackJob(text: string, what: string): JobRead {
  let bytes: Uint8Array;
  try {
    const raw = atob(text.replaceAll('-', '+').replaceAll('_', '/'));
    bytes = Uint8Array.from(raw, (character) => character.charCodeAt(0));
  } catch {
    return refused(what, 'characters that no code has');
  }
  if (bytes.length <= HEAD) return refused(what, 'too little of it');
  if (bytes[0] !== VERSION)
    return refused(what, bytes[0]! > VERSION ? 'one of a newer version' : 'something else');
  const body = bytes.subarray(HEAD);
  if (new DataView(bytes.buffer).getUint32(1) !== crc32(body))
    return refused(what, 'a damaged one: its check sum is wrong');
  try {
    // A buffer of a set size: what would unpack to more throws.
    const out = new Uint8Array(MOST_UNPACKED_BYTES);
    return readJob(strFromU8(inflateSync(body, { out, dictionary: dictionaryBytes() })));
  } catch {
    return refused(what, 'something that cannot be unpacked');
  }
}

function refused(what: string, found: string): { readonly ok: false; readonly faults: readonly Fault[] } {
  return refuse(what, 'a code of Ulterum, whole', found);
}

const TABLE = Uint32Array.from({ length: 256 }, (_, byte) => {
  let rest = byte;
  for (let bit = 0; bit < 8; bit += 1) rest = rest & 1 ? (rest >>> 1) ^ 0xedb88320 : rest >>> 1;
  return rest;
});

/** CRC-32 of IEEE 802.3, reflected, polynomial EDB88320. */
export function crc32(bytes: Uint8Array): number {
  let sum = 0xffffffff;
  for (const byte of bytes) sum = (TABLE[(sum ^ byte) & 0xff] ?? 0) ^ (sum >>> 8);
  return (sum ^ 0xffffffff) >>> 0;
}
