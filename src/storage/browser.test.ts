import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import localforage from 'localforage';
import { describe, expect, it } from 'vitest';
import { movedBy, NO_HISTORY, withStep } from '$core/job/history';
import { withPhoto } from '$core/houses/pictured';
import { newJob } from '$core/job/create';
import { makeId } from '$core/job/ids';
import { setStep } from '$core/job/steps';
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
      { job: newJob(makeId('job', 'hazel'), 'new'), saved: '', history: NO_HISTORY },
      0,
      NO_HISTORY
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
    expect(await store.save({ job, saved: '', history: NO_HISTORY }, 0, NO_HISTORY)).toMatchObject({
      ok: false,
      reason: 'refused'
    });
  });
});

describe('the list of jobs', () => {
  const kept = async () => {
    const name = fresh();
    const raw = localforage.createInstance({ name, storeName: 'jobs' });
    const store = browserStore(name);
    const job = newJob(makeId('job', 'elm'), 'The elm house');
    await store.save({ job, saved: '2026-03-01T09:00:00.000Z', history: NO_HISTORY }, 0, NO_HISTORY);
    const change = async (change: (record: { job: object; listed: object }) => object) =>
      raw.setItem('job-elm', change((await raw.getItem('job-elm'))!));
    return { store, change };
  };

  it('says of each what was written with it, and does not look through the job for that', async () => {
    const { store, change } = await kept();
    expect(await store.list()).toMatchObject([{ id: 'job-elm', name: 'The elm house' }]);
    await change((record) => ({ ...record, job: { ...record.job, thermostats: 'none' } }));
    expect(await store.list()).toMatchObject([{ id: 'job-elm', name: 'The elm house' }]);
    expect(await store.load('job-elm')).toMatchObject({ ok: false, reason: 'damaged' });
  });

  it.each([
    ['no summary', undefined],
    ['a summary of another form', { of: 0, revision: 1, summary: { id: 'job-elm', name: 'old' } }],
    ['the summary of another job', { of: 1, revision: 1, summary: { id: 'job-oak', name: 'oak' } }],
    ['the summary of another revision', { of: 1, revision: 2, summary: { id: 'job-elm', name: 'old' } }]
  ])('is made from the job where there is %s', async (_, listed) => {
    const { store, change } = await kept();
    await change((record) => ({ ...record, job: { ...record.job, name: 'Renamed' }, listed }));
    expect(await store.list()).toMatchObject([{ id: 'job-elm', name: 'Renamed' }]);
  });
});

describe('a job that an earlier version stored', () => {
  const stored = (name: string) =>
    JSON.parse(readFileSync(`src/core/formats/fixtures/v1/${name}.json`, 'utf8'));
  const old = async (name: string, record: object) => {
    const raw = localforage.createInstance({ name, storeName: 'jobs' });
    await raw.setItem((record as { job: { id: string } }).job.id, record);
    return browserStore(name);
  };

  it('opens with all that it held, says which version it was, and lets its undo go', async () => {
    const job = stored('half-done');
    const step = { kind: 'set', path: ['thermostats', 0, 'name'], before: 'a', after: 'b', label: 'named' };
    const store = await old(fresh(), { job, revision: 4, saved: '2026-01-01', past: [step], future: [] });
    const loaded = await store.load(job.id);
    expect(loaded).toMatchObject({
      ok: true,
      opened: { from: 1, historyLetGo: true },
      record: { revision: 4, history: NO_HISTORY, job: { id: job.id, version: 2 } }
    });
  });

  it('says nothing of undo where there was none, and is of the present version once it was saved', async () => {
    const job = stored('half-done');
    const store = await old(fresh(), { job, revision: 1, saved: '', past: [], future: [] });
    const loaded = await store.load(job.id);
    if (!loaded.ok) throw new Error('opens');
    expect(loaded.opened).toEqual({ from: 1, historyLetGo: false, idsChanged: [] });
    await store.save(loaded.record, 1, NO_HISTORY);
    expect(await store.load(job.id)).toMatchObject({ opened: { from: 2, historyLetGo: false } });
  });
});

describe('the steps of undo', () => {
  const job = newJob(makeId('job', 'rowan'), 'rowan');
  const step = (name: string) => setStep(job, ['name'], name, name);

  it('are written one by one: a save touches those that are new, and what was undone and replaced is gone', async () => {
    const name = fresh();
    const store = browserStore(name);
    const steps = localforage.createInstance({ name, storeName: 'steps' });
    const two = withStep(withStep(NO_HISTORY, step('a')), step('b'));
    await store.save({ job, saved: '', history: two }, 0, NO_HISTORY);
    await steps.setItem('job-rowan/0', { revision: 1, step: step('left alone') });
    const other = withStep(movedBy(two, -1), step('c'));
    await store.save({ job, saved: '', history: other }, 1, two);
    const loaded = await store.load('job-rowan');
    expect(loaded.ok && loaded.record.history.steps.map((step) => step.label)).toEqual(['left alone', 'c']);
    await store.remove('job-rowan');
    expect(await steps.keys()).toEqual([]);
  });

  it('are let go, and not guessed, where one is missing or was never saved with its job', async () => {
    for (const spoil of [
      (steps: LocalForage) => steps.removeItem('job-rowan/0'),
      (steps: LocalForage) => steps.setItem('job-rowan/0', { revision: 9, step: step('later') })
    ]) {
      const name = fresh();
      const store = browserStore(name);
      await store.save({ job, saved: '', history: withStep(NO_HISTORY, step('a')) }, 0, NO_HISTORY);
      await spoil(localforage.createInstance({ name, storeName: 'steps' }));
      expect(await store.load('job-rowan')).toMatchObject({
        ok: true,
        opened: { historyLetGo: true },
        record: { history: NO_HISTORY }
      });
    }
  });
});

describe('pictures that an earlier version kept under the id of their photo', () => {
  const id = makeId('photo', 'larch');
  const showing = (rest: string) => {
    const job = newJob(makeId('job', rest), rest);
    return { job: { ...job, thermostats: withPhoto(job.thermostats, id) }, saved: '', history: NO_HISTORY };
  };

  it('are found, give way to a job’s own, and go with the last job that shows them', async () => {
    const name = fresh();
    const store = browserStore(name);
    const old = localforage.createInstance({ name, storeName: 'photos' });
    await old.setItem(id, { type: 'image/jpeg', bytes: new TextEncoder().encode('old').buffer });
    await store.save(showing('larch-a'), 0, NO_HISTORY);
    await store.save(showing('larch-b'), 0, NO_HISTORY);
    expect(await (await store.getPhoto('job-larch-a', id))!.text()).toBe('old');
    await store.putPhoto('job-larch-b', id, new Blob(['own']));
    expect(await (await store.getPhoto('job-larch-b', id))!.text()).toBe('own');
    await store.remove('job-larch-b');
    expect(await (await store.getPhoto('job-larch-a', id))!.text()).toBe('old');
    await store.remove('job-larch-a');
    expect(await old.keys()).toEqual([]);
  });
});
