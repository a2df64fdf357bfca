/** A job out of and into the browser, with its photos: plain JSON where it has none, a ZIP with both where it has. */
import { faultText } from '$core/job/faults';
import { isBundle, MOST_BUNDLE_BYTES } from '$core/formats/file-limits';
import { readJob, writeJob } from '$core/formats/job-json';
import { withUniqueIds } from '$core/formats/unique-ids';
import type { PhotoId } from '$core/job/ids';
import { withoutPrivate } from '$core/job/private';
import type { Job } from '$core/job/schema';
import { photosOf, type JobStore } from '$storage/port';
import { download, downloadBlob, fileName } from './download';

/** Packing is loaded with the first photo; whoever cannot load it any more gets the job without them, and hears of it. */
export async function exportJob(
  store: JobStore,
  whole: Job,
  { withOwn = false }: { readonly withOwn?: boolean } = {}
): Promise<string | null> {
  // The owner's alone goes along only where he says so, each time.
  const job = withOwn ? whole : withoutPrivate(whole);
  const kept =
    job === whole ? null : 'The registration code, the hardware address and their photos stayed here.';
  const photos = new Map<PhotoId, Uint8Array>();
  for (const id of photosOf(job)) {
    const picture = await store.getPhoto(job.id, id).catch(() => null);
    if (picture) photos.set(id, new Uint8Array(await picture.arrayBuffer()));
  }
  const bundles = photos.size === 0 ? null : await import('$core/formats/job-bundle').catch(() => null);
  if (bundles) {
    const bytes = bundles.writeBundle(job, photos) as Uint8Array<ArrayBuffer>;
    downloadBlob(fileName(job.name, 'ulterum.zip'), new Blob([bytes], { type: 'application/zip' }));
    return kept;
  }
  download(fileName(job.name, 'ulterum.json'), writeJob(job));
  return photos.size === 0
    ? kept
    : 'The file has no photos in it: the part that packs them could not be loaded. Load the page again with the network there.';
}

export type JobFileRead =
  | {
      readonly ok: true;
      readonly job: Job;
      readonly from: number;
      /** What had to be changed so that it can be opened, a sentence each. */
      readonly idsChanged: readonly string[];
      readonly photos: ReadonlyMap<PhotoId, Uint8Array>;
    }
  | { readonly ok: false; readonly lines: readonly string[] };

const MOST_LINES = 12;

export async function readJobFile(file: File): Promise<JobFileRead> {
  if (file.size > MOST_BUNDLE_BYTES)
    return {
      ok: false,
      lines: [
        `${file.name} has ${(file.size / 1_000_000).toFixed(1)} MB; at most ${MOST_BUNDLE_BYTES / 1_000_000} MB are read.`
      ]
    };
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (!isBundle(bytes)) {
    const read = readJob(new TextDecoder().decode(bytes));
    return read.ok
      ? taken(read.job, read.from, new Map())
      : { ok: false, lines: read.faults.slice(0, MOST_LINES).map(faultText) };
  }
  const { readBundle } = await import('$core/formats/job-bundle');
  const read = readBundle(bytes);
  return read.ok
    ? taken(read.job, read.from, read.photos)
    : { ok: false, lines: read.faults.slice(0, MOST_LINES).map(faultText) };
}

function taken(job: Job, from: number, photos: ReadonlyMap<PhotoId, Uint8Array>): JobFileRead {
  const { job: unique, words } = withUniqueIds(job);
  return { ok: true, job: unique, from, photos, idsChanged: words };
}

/** Keeps the pictures that came with a job, beside it and no other; says what was left out or went wrong, or null. */
export async function keepPhotos(
  store: JobStore,
  job: Pick<Job, 'id' | 'thermostats'>,
  photos: ReadonlyMap<PhotoId, Uint8Array>
): Promise<string | null> {
  const shown = new Set(photosOf(job));
  for (const [id, bytes] of photos) {
    if (!shown.has(id)) continue;
    const picture = new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'image/jpeg' });
    const kept = await store.putPhoto(job.id, id, picture);
    if (!kept.ok) return kept.why;
  }
  const left = [...photos.keys()].filter((id) => !shown.has(id)).length;
  return left === 0
    ? null
    : `${left} ${left === 1 ? 'picture' : 'pictures'} that the job does not show ${left === 1 ? 'was' : 'were'} left out.`;
}
