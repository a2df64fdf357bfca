/**
 * A job with its photos as one ZIP file: `job.json` and `photos/<photo id>.jpg`. Photos are compressed already and are stored as they are.
 * What comes in is measured before it is unpacked, so that a small file cannot grow into a huge one.
 */
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import type { PhotoId } from '../job/ids';
import type { Job } from '../job/schema';
import type { Fault } from '../job/faults';
import { MOST_BYTES, readJob, writeJob } from './job-json';

export const MOST_BUNDLE_BYTES = 80_000_000;
const MOST_PHOTO_BYTES = 4_000_000;
const JOB_NAME = 'job.json';
const PHOTO_NAME = /^photos\/(ph-[a-z0-9-]{1,60})\.jpg$/;

/** Photos by their id; one that is missing here is left out of the file. */
export function writeBundle(job: Job, photos: ReadonlyMap<PhotoId, Uint8Array>): Uint8Array {
  const files: Zippable = { [JOB_NAME]: strToU8(writeJob(job)) };
  for (const [id, bytes] of photos) files[`photos/${id}.jpg`] = [bytes, { level: 0 }];
  return zipSync(files);
}

export type BundleRead =
  | {
      readonly ok: true;
      readonly job: Job;
      readonly from: number;
      readonly photos: ReadonlyMap<PhotoId, Uint8Array>;
    }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** True when the bytes begin like a ZIP file. */
export function isBundle(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;
}

export function readBundle(bytes: Uint8Array): BundleRead {
  if (bytes.length > MOST_BUNDLE_BYTES)
    return refuse(
      'the file',
      `at most ${MOST_BUNDLE_BYTES / 1_000_000} MB`,
      `${(bytes.length / 1_000_000).toFixed(1)} MB`
    );
  const faults: Fault[] = [];
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes, { filter: ({ name, originalSize }) => allowed(name, originalSize, faults) });
  } catch (error) {
    return refuse('the file', 'a whole ZIP file', error instanceof Error ? error.message : String(error));
  }
  if (faults.length > 0) return { ok: false, faults };
  const text = files[JOB_NAME];
  if (!text)
    return refuse('the file', `a ${JOB_NAME} in it`, Object.keys(files).slice(0, 5).join(', ') || 'nothing');
  const read = readJob(strFromU8(text));
  if (!read.ok)
    return {
      ok: false,
      faults: read.faults.map((fault) => ({ ...fault, path: `${JOB_NAME}: ${fault.path}` }))
    };
  const photos = new Map<PhotoId, Uint8Array>();
  for (const [name, content] of Object.entries(files)) {
    const id = PHOTO_NAME.exec(name)?.[1];
    if (id) photos.set(id as PhotoId, content);
  }
  return { ok: true, job: read.job, from: read.from, photos };
}

function allowed(name: string, size: number, faults: Fault[]): boolean {
  if (name.endsWith('/')) return false;
  const most = name === JOB_NAME ? MOST_BYTES : PHOTO_NAME.test(name) ? MOST_PHOTO_BYTES : 0;
  if (most === 0)
    faults.push({ path: name, expected: `${JOB_NAME} or photos/<photo id>.jpg`, found: 'another file' });
  else if (size > most)
    faults.push({
      path: name,
      expected: `at most ${most / 1_000_000} MB`,
      found: `${(size / 1_000_000).toFixed(1)} MB`
    });
  return most > 0 && size <= most;
}

function refuse(path: string, expected: string, found: string): BundleRead {
  return { ok: false, faults: [{ path, expected, found }] };
}
