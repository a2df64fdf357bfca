/**
 * A job with its photos as one ZIP file: `job.json` and `photos/<photo id>.jpg`. Photos are compressed already and are stored as they are.
 * What comes in is measured by its own list before it is unpacked, one file and all together, so that a small file cannot grow into a huge
 * one; and once more while it is unpacked, so that a list that lies is an error and no cut picture.
 */
import { strFromU8, strToU8, Unzip, UnzipInflate, unzipSync, zipSync, type Zippable } from 'fflate';
import type { PhotoId } from '../job/ids';
import type { Job } from '../job/schema';
import type { Fault } from '../job/faults';
import { MOST_BUNDLE_BYTES } from './file-limits';
import { MOST_FILE_BYTES, readJob, writeJob } from './job-json';

const MOST_PHOTO_BYTES = 4_000_000;
/** Photos hardly shrink: what holds more than this unpacked was made to hurt. */
const MOST_UNPACKED_BYTES = 100_000_000;
/** Bytes that are unpacked between two looks at what has come of them. */
const AT_ONCE = 65_536;
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

export function readBundle(bytes: Uint8Array): BundleRead {
  if (bytes.length > MOST_BUNDLE_BYTES)
    return refuse(
      'the file',
      `at most ${MOST_BUNDLE_BYTES / 1_000_000} MB`,
      `${(bytes.length / 1_000_000).toFixed(1)} MB`
    );
  const listed = listOf(bytes);
  if (!listed.ok) return listed;
  const unpacked = unpack(bytes, listed.sizes);
  if (!unpacked.ok) return unpacked;
  const { files } = unpacked;
  const text = files.get(JOB_NAME);
  if (!text)
    return refuse('the file', `a ${JOB_NAME} in it`, [...files.keys()].slice(0, 5).join(', ') || 'nothing');
  const read = readJob(strFromU8(text));
  if (!read.ok)
    return {
      ok: false,
      faults: read.faults.map((fault) => ({ ...fault, path: `${JOB_NAME}: ${fault.path}` }))
    };
  const photos = new Map<PhotoId, Uint8Array>();
  for (const [name, content] of files) {
    const id = PHOTO_NAME.exec(name)?.[1];
    if (id) photos.set(id as PhotoId, content);
  }
  return { ok: true, job: read.job, from: read.from, photos };
}

type Listed =
  | { readonly ok: true; readonly sizes: ReadonlyMap<string, number> }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** What the file says that it holds, with the unpacked size of each; nothing is unpacked for it. */
function listOf(bytes: Uint8Array): Listed {
  const sizes = new Map<string, number>();
  const faults: Fault[] = [];
  let all = 0;
  try {
    unzipSync(bytes, {
      filter({ name, originalSize }) {
        if (name.endsWith('/')) return false;
        const fault = sizes.has(name)
          ? { path: shownName(name), expected: 'each file once', found: 'two of this name' }
          : faultOf(name, originalSize);
        if (fault) faults.push(fault);
        sizes.set(name, originalSize);
        all += originalSize;
        return false;
      }
    });
  } catch (error) {
    return noZip(error);
  }
  if (all > MOST_UNPACKED_BYTES)
    faults.push({
      path: 'the file',
      expected: `at most ${MOST_UNPACKED_BYTES / 1_000_000} MB unpacked`,
      found: `${Math.ceil(all / 1_000_000)} MB`
    });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, sizes };
}

type Unpacked =
  | { readonly ok: true; readonly files: ReadonlyMap<string, Uint8Array> }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** The files, each as long as the list says. */
function unpack(bytes: Uint8Array, sizes: ReadonlyMap<string, number>): Unpacked {
  const files = new Map<string, Uint8Array>();
  const lengths = new Map<string, number>();
  const faults: Fault[] = [];
  const unzip = new Unzip((entry) => {
    const size = sizes.get(entry.name);
    if (size === undefined || files.has(entry.name)) return;
    const content = new Uint8Array(size);
    files.set(entry.name, content);
    lengths.set(entry.name, 0);
    entry.ondata = (error, chunk) => {
      if (error)
        return void faults.push({ path: entry.name, expected: 'a whole file', found: error.message });
      const at = lengths.get(entry.name) ?? 0;
      lengths.set(entry.name, at + chunk.length);
      if (at + chunk.length <= size) content.set(chunk, at);
      else entry.terminate();
    };
    entry.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length; at += AT_ONCE)
      unzip.push(bytes.subarray(at, at + AT_ONCE), at + AT_ONCE >= bytes.length);
  } catch (error) {
    return noZip(error);
  }
  for (const [name, size] of sizes) {
    const found = lengths.get(name) ?? 0;
    if (found !== size)
      faults.push({
        path: shownName(name),
        expected: `${size} bytes, as the list of the file says`,
        found: found > size ? 'more' : `${found}`
      });
  }
  return faults.length > 0 ? { ok: false, faults } : { ok: true, files };
}

function shownName(name: string): string {
  return name === '' ? 'a file without a name' : name;
}

function faultOf(name: string, size: number): Fault | null {
  const most = name === JOB_NAME ? MOST_FILE_BYTES : PHOTO_NAME.test(name) ? MOST_PHOTO_BYTES : 0;
  if (most === 0)
    return {
      path: shownName(name),
      expected: `${JOB_NAME} or photos/<photo id>.jpg`,
      found: 'another file'
    };
  if (size <= most) return null;
  return {
    path: shownName(name),
    expected: `at most ${most / 1_000_000} MB`,
    found: `${(size / 1_000_000).toFixed(1)} MB`
  };
}

function noZip(error: unknown): { ok: false; faults: Fault[] } {
  const found = error instanceof Error ? error.message : String(error);
  return { ok: false, faults: [{ path: 'the file', expected: 'a whole ZIP file', found }] };
}

function refuse(path: string, expected: string, found: string): BundleRead {
  return { ok: false, faults: [{ path, expected, found }] };
}
