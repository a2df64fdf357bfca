import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import localforage from 'localforage';
import { describe, expect, it } from 'vitest';
import { movedBy, NO_HISTORY, withStep } from '$core/job/history';
import { withPhoto } from '$core/houses/pictured';
import { newJob } from '$core/job/create';
import { makeId } from '$core/job/ids';
import type { Job } from '$core/job/schema';
import { setStep } from '$core/job/steps';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { storeAcceptance } from './acceptance';
import { browserStore } from './browser';
import type { JobStore } from './port';

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
    const change = async (change: (record: { shell: object; listed: object }) => object) =>
      raw.setItem('job-elm', change((await raw.getItem('job-elm'))!));
    return { store, change };
  };

  it('says of each what was written with it, and does not look through the job for that', async () => {
    const { store, change } = await kept();
    expect(await store.list()).toMatchObject([{ id: 'job-elm', name: 'The elm house' }]);
    await change((record) => ({ ...record, shell: { ...record.shell, equipment: 'none' } }));
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
    await change((record) => ({ ...record, shell: { ...record.shell, name: 'Renamed' }, listed }));
    expect(await store.list()).toMatchObject([{ id: 'job-elm', name: 'Renamed' }]);
  });
});

describe('the thermostats of a job, each stored by itself', () => {
  const job = SCHOOLHOUSE;
  const named = (at: number, name: string, of: Job = job): Job => ({
    ...of,
    thermostats: of.thermostats.map((thermostat, place) =>
      place === at ? { ...thermostat, name } : thermostat
    )
  });
  const record = (of: Job) => ({ job: of, saved: '', history: NO_HISTORY });
  const opened = async (store: JobStore) => {
    const read = await store.load(job.id);
    if (!read.ok) throw new Error('opens');
    return read.record.job;
  };
  const kept = async () => {
    const name = fresh();
    const parts = localforage.createInstance({ name, storeName: 'thermostats' });
    const records = localforage.createInstance({ name, storeName: 'jobs' });
    const store = browserStore(name);
    await store.save(record(job), 0, NO_HISTORY);
    return { name, parts, records, store };
  };

  it('are written where they have changed, after a save and after an opening, and left alone where not', async () => {
    const { name, parts, store } = await kept();
    const first = await parts.keys();
    expect(first).toHaveLength(job.thermostats.length);
    const changed = named(1, 'The flat above');
    await store.save(record(changed), 1, NO_HISTORY);
    const second = await parts.keys();
    expect(second).toHaveLength(first.length);
    expect(second.filter((key) => !first.includes(key))).toHaveLength(1);
    const elsewhere = browserStore(name);
    const again = await opened(elsewhere);
    expect(again).toEqual(changed);
    await elsewhere.save(record(named(0, 'The hall', again)), 2, NO_HISTORY);
    const third = await parts.keys();
    expect(third.filter((key) => !second.includes(key))).toHaveLength(1);
    expect((await opened(store)).thermostats.map((thermostat) => thermostat.name).slice(0, 2)).toEqual([
      'The hall',
      'The flat above'
    ]);
  });

  it('are what was saved last, though a save between failed and its edit was taken back', async () => {
    const { store } = await kept();
    const unkept = { ...named(0, 'never kept'), note: Symbol('cannot be cloned') as unknown as string };
    expect(await store.save(record(unkept), 1, NO_HISTORY)).toMatchObject({ ok: false, reason: 'refused' });
    expect((await opened(store)).thermostats[0]!.name).toBe(job.thermostats[0]!.name);
    await store.save(record(named(0, 'kept')), 1, NO_HISTORY);
    await store.save(record({ ...unkept, note: '' }), 2, NO_HISTORY);
    expect((await opened(store)).thermostats[0]!.name).toBe('never kept');
  });

  it('that no record names are cleared away when the job is opened, and those of other jobs stay', async () => {
    const { parts, store } = await kept();
    const before = await parts.keys();
    await parts.setItem(`${job.id}/left-over`, job.thermostats[0]);
    await parts.setItem(`${job.id}-2/other`, job.thermostats[0]);
    await opened(store);
    expect((await parts.keys()).sort()).toEqual([...before, `${job.id}-2/other`].sort());
    await store.remove(job.id);
    expect(await parts.keys()).toEqual([`${job.id}-2/other`]);
  });

  it('are told with their place where one is missing, and the others can still be taken out', async () => {
    const { parts, records, store } = await kept();
    const { thermostats } = (await records.getItem<{ thermostats: string[] }>(job.id))!;
    await parts.removeItem(thermostats[1]!);
    const read = await store.load(job.id);
    expect(read).toMatchObject({ ok: false, reason: 'damaged' });
    if (read.ok || read.reason !== 'damaged') return;
    expect(read.why).toContain('thermostats[1]');
    expect(read.raw).toContain(`"name": "${job.thermostats[0]!.name}"`);
    expect(await parts.keys()).toHaveLength(job.thermostats.length - 1);
  });

  it('come out of a job that an earlier version kept in one piece, with the first save', async () => {
    const name = fresh();
    const records = localforage.createInstance({ name, storeName: 'jobs' });
    await records.setItem(job.id, { job, revision: 7, saved: '', history: null });
    const store = browserStore(name);
    expect(await opened(store)).toEqual(job);
    await store.save(record(named(0, 'The hall')), 7, NO_HISTORY);
    expect((await opened(browserStore(name))).thermostats[0]!.name).toBe('The hall');
    // A page of that version would take what it finds under `job` for all there is.
    expect(await records.getItem(job.id)).not.toHaveProperty('job');
  });
});

describe('two tabs on one job', () => {
  const all = (name: string): Job => ({
    ...SCHOOLHOUSE,
    thermostats: SCHOOLHOUSE.thermostats.map((thermostat) => ({ ...thermostat, name }))
  });
  const record = (job: Job) => ({ job, saved: '', history: NO_HISTORY });
  const two = async () => {
    const name = fresh();
    const [here, there] = [browserStore(name), browserStore(name)];
    await here.save(record(all('start')), 0, NO_HISTORY);
    return { name, here, there };
  };
  const names = (job: Job) => [...new Set(job.thermostats.map((thermostat) => thermostat.name))];

  it('never read half of one save and half of another', async () => {
    const { here, there } = await two();
    const saves = Array.from(
      { length: 12 },
      (_, at) => () => here.save(record(all(`save ${at}`)), at + 1, NO_HISTORY)
    );
    const saving = saves.reduce<Promise<unknown>>((before, save) => before.then(save), Promise.resolve());
    const read: string[][] = [];
    for (let at = 0; at < 12; at += 1) {
      const loaded = await there.load(SCHOOLHOUSE.id);
      if (!loaded.ok) throw new Error('opens');
      read.push(names(loaded.record.job));
    }
    await saving;
    expect(read.every((found) => found.length === 1)).toBe(true);
    const last = await there.load(SCHOOLHOUSE.id);
    expect(last.ok && names(last.record.job)).toEqual(['save 11']);
  });

  it('write what they took over from each other, and nothing that the other has replaced', async () => {
    const { name, here, there } = await two();
    const theirs = await there.load(SCHOOLHOUSE.id);
    if (!theirs.ok) throw new Error('opens');
    await here.save(record(all('theirs')), 1, NO_HISTORY);
    const late = await there.save(record(theirs.record.job), 1, NO_HISTORY);
    expect(late).toMatchObject({ ok: false, reason: 'conflict', theirs: { revision: 2 } });
    if (late.ok || late.reason !== 'conflict') return;
    // What the other tab saved is shown, one thermostat is renamed, and that is saved.
    const [first, ...rest] = late.theirs.job.thermostats;
    const job = { ...late.theirs.job, thermostats: [{ ...first!, name: 'mine' }, ...rest] };
    expect(await there.save(record(job), 2, NO_HISTORY)).toMatchObject({ ok: true });
    const read = await browserStore(name).load(SCHOOLHOUSE.id);
    expect(read.ok && names(read.record.job)).toEqual(['mine', 'theirs']);
    // The first tab has not read since: its parts are gone, and it hears of the conflict instead of naming them.
    expect(await here.save(record(all('theirs')), 2, NO_HISTORY)).toMatchObject({
      ok: false,
      reason: 'conflict'
    });
    const after = await browserStore(name).load(SCHOOLHOUSE.id);
    expect(after.ok && names(after.record.job)).toEqual(['mine', 'theirs']);
  });

  it('keep a copy beside the job: neither loses a thermostat when the other goes', async () => {
    const { name, here } = await two();
    const loaded = await here.load(SCHOOLHOUSE.id);
    if (!loaded.ok) throw new Error('opens');
    const copy = { ...loaded.record.job, id: makeId('job', 'copy') };
    await here.save(record(copy), 0, NO_HISTORY);
    await here.remove(SCHOOLHOUSE.id);
    const read = await browserStore(name).load('job-copy');
    expect(read.ok && read.record.job).toEqual(copy);
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

describe('a job that is removed', () => {
  it('goes with its own pictures and parts, whatever else is stored, though another record is damaged', async () => {
    const name = fresh();
    const store = browserStore(name);
    const raw = localforage.createInstance({ name, storeName: 'jobs' });
    const parts = localforage.createInstance({ name, storeName: 'thermostats' });
    const id = makeId('photo', 'larch');
    await raw.setItem('job-broken', { shell: 7, thermostats: ['nowhere'], revision: 1 });
    await store.save({ job: SCHOOLHOUSE, saved: '', history: NO_HISTORY }, 0, NO_HISTORY);
    await store.putPhoto(SCHOOLHOUSE.id, id, new Blob(['own']));
    await store.putPhoto('job-other', id, new Blob(['another']));
    await store.remove(SCHOOLHOUSE.id);
    expect(await parts.keys()).toEqual([]);
    expect(await store.getPhoto(SCHOOLHOUSE.id, id)).toBeNull();
    expect(await (await store.getPhoto('job-other', id))!.text()).toBe('another');
    expect(await raw.getItem('job-broken')).not.toBeNull();
    expect((await store.list()).map((summary) => summary.name)).toEqual(['job-broken (damaged)']);
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
