import 'fake-indexeddb/auto';
import localforage from 'localforage';
import { describe, expect, it } from 'vitest';
import { newJob } from '$core/job/create';
import { makeId } from '$core/job/ids';
import { storeAcceptance } from './acceptance';
import { browserStore } from './browser';

let number = 0;
const fresh = () => `test-${(number += 1)}`;

storeAcceptance('the browser store', () => browserStore(fresh()));

describe('what is stored and does not hold', () => {
  it('is told with its place, is listed, and stays untouched by a save', async () => {
    const name = fresh();
    const raw = localforage.createInstance({ name, storeName: 'jobs' });
    await raw.setItem('job-hazel', {
      job: { format: 'ulterum-job', version: 1, id: 'job-hazel' },
      revision: 3
    });
    const store = browserStore(name);
    const loaded = await store.load('job-hazel');
    expect(loaded).toMatchObject({ ok: false, reason: 'damaged' });
    if (!loaded.ok && loaded.reason === 'damaged') expect(loaded.why).toContain('thermostats');
    expect(await store.list()).toMatchObject([{ id: 'job-hazel' }]);
    const saved = await store.save(
      { job: newJob(makeId('job', 'hazel'), 'new'), saved: '', past: [], future: [] },
      0
    );
    expect(saved).toMatchObject({ ok: false, reason: 'refused' });
    expect(await raw.getItem('job-hazel')).toMatchObject({ revision: 3 });
  });

  it('reports a store that the browser refuses', async () => {
    const store = browserStore(fresh());
    const job = {
      ...newJob(makeId('job', 'ivy'), 'ivy'),
      note: Symbol('cannot be cloned') as unknown as string
    };
    expect(await store.save({ job, saved: '', past: [], future: [] }, 0)).toMatchObject({
      ok: false,
      reason: 'refused'
    });
  });
});
