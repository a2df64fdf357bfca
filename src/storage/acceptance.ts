/** What every store must do. Each adapter's test runs these. */
import { describe, expect, it } from 'vitest';
import { newJob } from '$core/job/create';
import { makeId } from '$core/job/ids';
import { NO_HISTORY, withStep } from '$core/job/history';
import { JOB_VERSION } from '$core/job/schema';
import { setStep } from '$core/job/steps';
import type { JobStore, NewRecord } from './port';

function record(rest: string, name = rest): NewRecord {
  const job = newJob(makeId('job', rest), name);
  return {
    job,
    saved: '2026-01-02T03:04:05.000Z',
    history: withStep(NO_HISTORY, setStep(job, ['name'], name, 'named'))
  };
}

export function storeAcceptance(what: string, make: () => JobStore): void {
  jobsAcceptance(what, make);
  removalAcceptance(what, make);
  picturesAcceptance(what, make);
}

function jobsAcceptance(what: string, make: () => JobStore): void {
  describe(`${what} keeps jobs`, () => {
    it('gives back what was saved, with its history', async () => {
      const store = make();
      const newRecord = record('alder');
      expect(await store.save(newRecord, 0, NO_HISTORY)).toEqual({ ok: true, revision: 1 });
      expect(await store.load('job-alder')).toEqual({
        ok: true,
        record: { ...newRecord, revision: 1 },
        opened: { from: JOB_VERSION, historyLetGo: false, idsChanged: [] }
      });
    });

    it('says that a job is missing', async () => {
      expect(await make().load('job-nowhere')).toEqual({ ok: false, reason: 'missing' });
    });

    it('lists jobs, the latest first', async () => {
      const store = make();
      await store.save({ ...record('birch'), saved: '2026-01-01T00:00:00.000Z' }, 0, NO_HISTORY);
      await store.save({ ...record('cedar'), saved: '2026-03-01T00:00:00.000Z' }, 0, NO_HISTORY);
      const listed = (await store.list())
        .map((jobSummary) => jobSummary.id)
        .filter((id) => id !== 'job-alder');
      expect(listed).toEqual(['job-cedar', 'job-birch']);
    });

    it('refuses to overwrite what another tab saved, and hands theirs over', async () => {
      const store = make();
      await store.save(record('dogwood'), 0, NO_HISTORY);
      await store.save(record('dogwood', 'theirs'), 1, NO_HISTORY);
      const mine = await store.save(record('dogwood', 'mine'), 1, NO_HISTORY);
      expect(mine).toMatchObject({
        ok: false,
        reason: 'conflict',
        theirs: { revision: 2, job: { name: 'theirs' } }
      });
      expect(await store.load('job-dogwood')).toMatchObject({ record: { job: { name: 'theirs' } } });
    });

    it('lets exactly one of two saves made from the same revision win', async () => {
      const store = make();
      await store.save(record('elm'), 0, NO_HISTORY);
      const results = await Promise.all([
        store.save(record('elm', 'a'), 1, NO_HISTORY),
        store.save(record('elm', 'b'), 1, NO_HISTORY)
      ]);
      expect(results.filter((result) => result.ok)).toHaveLength(1);
    });
  });
}

function removalAcceptance(what: string, make: () => JobStore): void {
  describe(`${what} removes`, () => {
    it('does not write again what somebody has removed since, unless as a new one', async () => {
      const store = make();
      await store.save(record('sorrel'), 0, NO_HISTORY);
      await store.remove('job-sorrel');
      expect(await store.save(record('sorrel', 'late'), 1, NO_HISTORY)).toEqual({
        ok: false,
        reason: 'gone'
      });
      expect(await store.load('job-sorrel')).toEqual({ ok: false, reason: 'missing' });
      expect(await store.save(record('sorrel', 'anew'), 0, NO_HISTORY)).toMatchObject({ ok: true });
    });

    it('forgets a job that was removed', async () => {
      const store = make();
      await store.save(record('fir'), 0, NO_HISTORY);
      await store.remove('job-fir');
      expect(await store.load('job-fir')).toEqual({ ok: false, reason: 'missing' });
    });
  });
}

function picturesAcceptance(what: string, make: () => JobStore): void {
  describe(`${what} keeps pictures`, () => {
    it('keeps a picture as it was, and says null of one that it does not have', async () => {
      const store = make();
      const picture = new Blob([new Uint8Array([1, 2, 250])], { type: 'image/jpeg' });
      expect(await store.putPhoto('job-a', makeId('photo', 'oak'), picture)).toEqual({ ok: true });
      const back = await store.getPhoto('job-a', makeId('photo', 'oak'));
      expect(back?.type).toBe('image/jpeg');
      expect(new Uint8Array(await back!.arrayBuffer())).toEqual(new Uint8Array([1, 2, 250]));
      expect(await store.getPhoto('job-a', makeId('photo', 'nowhere'))).toBeNull();
    });

    it('tells the pictures of two jobs apart that call theirs by the same id', async () => {
      const store = make();
      const id = makeId('photo', 'elm');
      await store.putPhoto('job-a', id, new Blob(['first']));
      await store.putPhoto('job-b', id, new Blob(['second']));
      expect(await (await store.getPhoto('job-a', id))!.text()).toBe('first');
      expect(await (await store.getPhoto('job-b', id))!.text()).toBe('second');
    });

    it('takes a job’s pictures along when it goes, and no others', async () => {
      const store = make();
      const id = makeId('photo', 'ash');
      for (const rest of ['gorse', 'gorse-2', 'heather']) {
        await store.save(record(rest), 0, NO_HISTORY);
        await store.putPhoto(`job-${rest}`, id, new Blob([rest]));
      }
      await store.remove('job-gorse');
      expect(await store.getPhoto('job-gorse', id)).toBeNull();
      expect(await store.getPhoto('job-gorse-2', id)).not.toBeNull();
      expect(await store.getPhoto('job-heather', id)).not.toBeNull();
    });
  });
}
