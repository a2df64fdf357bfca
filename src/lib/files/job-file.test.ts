/** A job out of and into the browser: nothing is lost on the way, and what does not hold says where. */
import { describe, expect, it } from 'vitest';
import { writeBundle } from '$core/formats/job-bundle';
import { writeJob } from '$core/formats/job-json';
import { withPhoto } from '$core/houses/pictured';
import { makeId, type PhotoId } from '$core/job/ids';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { memoryStore } from '$storage/memory';
import type { JobStore } from '$storage/port';
import { keepPhotos, readJobFile } from './job-file';

const file = (parts: BlobPart[], name = 'job.json') => new File(parts, name);
const photo = makeId('photo', '1');
const pictured = { ...SCHOOLHOUSE, thermostats: withPhoto(SCHOOLHOUSE.thermostats, photo) };
const bytes = new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3]);

describe('a job file', () => {
  it('comes back as it was written, as plain text', async () => {
    const read = await readJobFile(file([writeJob(SCHOOLHOUSE)]));
    expect(read).toMatchObject({ ok: true, job: SCHOOLHOUSE });
  });

  it('comes back with its photos, as a bundle', async () => {
    const bundle = writeBundle(pictured, new Map([[photo, bytes]]));
    const read = await readJobFile(file([bundle as Uint8Array<ArrayBuffer>], 'job.zip'));
    if (!read.ok) throw new Error(read.lines.join('; '));
    expect(read.job).toEqual(pictured);
    expect([...read.photos]).toEqual([[photo, bytes]]);
  });

  it.each([
    ['is no JSON', '{"format": '],
    ['is empty', ''],
    ['is something else', '<html></html>'],
    ['is JSON of something else', '{"hello": 1}']
  ])('that %s is refused in words', async (_, text) => {
    const read = await readJobFile(file([text]));
    expect(read.ok).toBe(false);
    expect(read.ok ? [] : read.lines.filter((line) => line.length > 10).length).toBeGreaterThan(0);
  });

  it('with many faults says the first dozen, each with its place', async () => {
    const broken = structuredClone(SCHOOLHOUSE) as unknown as {
      thermostats: { conductors: { colour: string }[] }[];
    };
    for (const thermostat of broken.thermostats)
      for (const conductor of thermostat.conductors) conductor.colour = 'sky';
    const read = await readJobFile(file([JSON.stringify(broken)]));
    if (read.ok) throw new Error('It was taken');
    expect(read.lines).toHaveLength(12);
    expect(read.lines[0]).toMatch(/^thermostats\[0\]\.conductors\[0\]\.colour: expected a colour code/);
  });

  it('that is too large is refused before it is read', async () => {
    const large = file(['x']);
    Object.defineProperty(large, 'size', { value: 81_000_000 });
    const read = await readJobFile(large);
    expect(read.ok ? [] : read.lines).toEqual(['job.json has 81.0 MB; at most 80 MB are read.']);
  });
});

describe('pictures that came with a job', () => {
  const photos: ReadonlyMap<PhotoId, Uint8Array> = new Map([[photo, bytes]]);
  const { id, thermostats } = pictured;
  const [place] = thermostats;
  const job = { id, thermostats: [place!] };

  it('are kept beside it', async () => {
    const store = memoryStore();
    expect(await keepPhotos(store, job, photos)).toBeNull();
    const kept = await store.getPhoto(job.id, photo);
    expect(new Uint8Array(await kept!.arrayBuffer())).toEqual(bytes);
  });

  it('leave those of other jobs alone, and are left out with a word where the job does not show them', async () => {
    const store = memoryStore();
    await store.putPhoto('job-other', photo, new Blob(['theirs']));
    await keepPhotos(store, job, photos);
    expect(await (await store.getPhoto('job-other', photo))!.text()).toBe('theirs');
    const none = { ...job, thermostats: [{ ...place!, photos: [] }] };
    expect(await keepPhotos(memoryStore(), none, photos)).toBe(
      '1 picture that the job does not show was left out.'
    );
  });

  it('that find no room are told, not dropped in silence', async () => {
    const full: JobStore = {
      ...memoryStore(),
      putPhoto: async () => ({ ok: false, reason: 'full', why: 'no room is left' })
    };
    expect(await keepPhotos(full, job, photos)).toBe('no room is left');
  });
});
