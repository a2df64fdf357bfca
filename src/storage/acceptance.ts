/** What every store must do. Each adapter's test runs these. */
import { describe, expect, it } from 'vitest';
import { newJob } from '$core/job/create';
import { makeId } from '$core/job/ids';
import { setStep } from '$core/job/steps';
import type { JobRecord, JobStore } from './port';

function record(rest: string, name = rest): Omit<JobRecord, 'revision'> {
  const job = newJob(makeId('job', rest), name);
  return {
    job,
    saved: '2026-01-02T03:04:05.000Z',
    past: [setStep(job, ['name'], name, 'named')],
    future: []
  };
}

export function storeAcceptance(what: string, make: () => JobStore): void {
  describe(`${what} keeps jobs`, () => {
    it('gives back what was saved, with its history', async () => {
      const store = make();
      const one = record('alder');
      expect(await store.save(one, 0)).toEqual({ ok: true, revision: 1 });
      expect(await store.load('job-alder')).toEqual({ ok: true, record: { ...one, revision: 1 } });
    });

    it('says that a job is missing', async () => {
      expect(await make().load('job-nowhere')).toEqual({ ok: false, reason: 'missing' });
    });

    it('lists jobs, the latest first', async () => {
      const store = make();
      await store.save({ ...record('birch'), saved: '2026-01-01T00:00:00.000Z' }, 0);
      await store.save({ ...record('cedar'), saved: '2026-03-01T00:00:00.000Z' }, 0);
      const listed = (await store.list()).map((one) => one.id).filter((id) => id !== 'job-alder');
      expect(listed).toEqual(['job-cedar', 'job-birch']);
    });

    it('refuses to overwrite what another tab saved, and hands theirs over', async () => {
      const store = make();
      await store.save(record('dogwood'), 0);
      await store.save(record('dogwood', 'theirs'), 1);
      const mine = await store.save(record('dogwood', 'mine'), 1);
      expect(mine).toMatchObject({
        ok: false,
        reason: 'conflict',
        theirs: { revision: 2, job: { name: 'theirs' } }
      });
      expect(await store.load('job-dogwood')).toMatchObject({ record: { job: { name: 'theirs' } } });
    });

    it('lets exactly one of two saves made from the same revision win', async () => {
      const store = make();
      await store.save(record('elm'), 0);
      const results = await Promise.all([
        store.save(record('elm', 'a'), 1),
        store.save(record('elm', 'b'), 1)
      ]);
      expect(results.filter((one) => one.ok)).toHaveLength(1);
    });

    it('forgets a job that was removed', async () => {
      const store = make();
      await store.save(record('fir'), 0);
      await store.remove('job-fir');
      expect(await store.load('job-fir')).toEqual({ ok: false, reason: 'missing' });
    });
  });
}
