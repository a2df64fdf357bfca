import { adoptTicks } from '$core/plan/adopt-ticks';
import { describe, expect, it, vi } from 'vitest';
import { wallPhoto } from '$core/houses/pictured';
import { newJob } from '$core/job/create';
import { makeId } from '$core/job/ids';
import { NO_HISTORY } from '$core/job/history';
import { setStep } from '$core/job/steps';
import { memoryStore } from '$storage/memory';
import type { JobStore } from '$storage/port';
import type { Unsaved, UnsavedNotes } from '$storage/unsaved';
import { JobSession } from './session.svelte';

const fresh = () => newJob(makeId('job', 'oak'), 'Oak');
const rename = (session: JobSession, name: string) =>
  session.edit(setStep(session.job, ['name'], name, `named ${name}`));

async function open(store: JobStore): Promise<JobSession> {
  const loaded = await store.load('job-oak');
  if (loaded.ok)
    return new JobSession(store, loaded.record, {
      opened: loaded.opened,
      ticks: adoptTicks(loaded.record.job)
    });
  await store.save({ job: fresh(), saved: '', history: NO_HISTORY }, 0, NO_HISTORY);
  return open(store);
}

/** A store whose tabs do not hear of each other, as when a laptop slept through the broadcast. */
const deaf = (store: JobStore): JobStore => ({ ...store, watch: () => () => undefined });

describe('the open job', () => {
  it('saves every edit and keeps undo over a reload', async () => {
    const store = memoryStore();
    const session = await open(store);
    rename(session, 'Beech');
    rename(session, 'Ash');
    await session.settled();
    const again = await open(store);
    expect(again.job.name).toBe('Ash');
    again.undo();
    again.undo();
    expect(again.job.name).toBe('Oak');
    again.redo();
    expect(again.job.name).toBe('Beech');
    expect(again.said).toBe('Done again: named Beech');
  });

  it('forgets what could be done again once something new is done', async () => {
    const session = await open(memoryStore());
    rename(session, 'Beech');
    session.undo();
    rename(session, 'Elm');
    expect(session.canRedo).toBe(false);
  });

  it('shows at once what another tab saved, when nothing here is unsaved', async () => {
    const store = memoryStore();
    const [first, second] = [await open(store), await open(store)];
    rename(first, 'Beech');
    await first.settled();
    await new Promise((done) => setTimeout(done));
    expect(second.job.name).toBe('Beech');
  });

  it('never overwrites the other tab: the conflict is told and either side can be taken', async () => {
    const store = memoryStore();
    const [first, second] = [await open(deaf(store)), await open(deaf(store))];
    rename(first, 'Beech');
    await first.settled();
    rename(second, 'Elm');
    await second.settled();
    expect(second.keeping.state).toBe('conflict');
    expect(await store.load('job-oak')).toMatchObject({ record: { job: { name: 'Beech' } } });
    expect(second.keepMineAs('oak-copy')).toBe('job-oak-copy');
    await second.settled();
    expect(await store.load('job-oak-copy')).toMatchObject({ record: { job: { name: 'Elm (copy)' } } });
    expect(await store.load('job-oak')).toMatchObject({ record: { job: { name: 'Beech' } } });
  });

  it('does not write again what another tab has removed, and keeps it as a new one, with its pictures, on request', async () => {
    const store = memoryStore();
    const session = await open(deaf(store));
    const photo = makeId('photo', 'oak-1');
    const [place] = session.job.thermostats;
    session.edit(
      setStep(session.job, ['thermostats', { id: place!.id }, 'photos'], [wallPhoto(photo)], 'Photo')
    );
    await session.settled();
    await store.remove('job-oak');
    await store.putPhoto('job-oak', photo, new Blob(['kept']));
    rename(session, 'Late');
    await session.settled();
    expect(session.keeping.state).toBe('gone');
    expect(await store.load('job-oak')).toMatchObject({ ok: false, reason: 'missing' });
    rename(session, 'Later');
    await session.settled();
    expect(await store.load('job-oak')).toMatchObject({ ok: false, reason: 'missing' });
    session.keepMineAs('oak-new');
    await session.settled();
    expect(await store.load('job-oak-new')).toMatchObject({ record: { job: { name: 'Later (copy)' } } });
    expect(await (await store.getPhoto('job-oak-new', photo))!.text()).toBe('kept');
  });

  it('hears that another tab has removed it', async () => {
    const store = memoryStore();
    const session = await open(store);
    rename(session, 'Ash');
    await session.settled();
    await store.remove('job-oak');
    await vi.waitFor(() => expect(session.keeping.state).toBe('gone'));
  });

  it('takes the other side on request', async () => {
    const store = memoryStore();
    const [first, second] = [await open(deaf(store)), await open(deaf(store))];
    rename(first, 'Beech');
    await first.settled();
    rename(second, 'Elm');
    await second.settled();
    second.takeTheirs();
    expect(second.job.name).toBe('Beech');
    rename(second, 'Yew');
    await second.settled();
    expect(second.keeping.state).toBe('saved');
  });

  it('says that the store is full, keeps the edit in hand, and saves on a retry', async () => {
    const store = memoryStore();
    let full = true;
    const session = await open({
      ...store,
      save: (record, revision, known) =>
        full && revision > 0
          ? Promise.resolve({ ok: false, reason: 'full', why: 'disk' })
          : store.save(record, revision, known)
    });
    rename(session, 'Beech');
    await session.settled();
    expect(session.keeping).toEqual({ state: 'full', why: 'disk' });
    expect(session.job.name).toBe('Beech');
    full = false;
    session.retry();
    await session.settled();
    expect(session.keeping.state).toBe('saved');
  });
});

describe('what is not saved yet', () => {
  /** Notes as they lie in the browser, for each job. */
  function notebook() {
    const held = new Map<string, Unsaved>();
    const notes: UnsavedNotes = {
      note: (job, unsaved) => void held.set(job, structuredClone(unsaved)),
      clear: (job) => void held.delete(job),
      take: (job) => Promise.resolve([held.get(job)].flatMap((note) => note ?? []))
    };
    return { held, notes };
  }

  async function openWith(store: JobStore, notes: UnsavedNotes): Promise<JobSession> {
    const loaded = await store.load('job-oak');
    if (!loaded.ok) throw new Error('no such job');
    const left = await notes.take('job-oak');
    return new JobSession(store, loaded.record, { opened: loaded.opened, notes, left });
  }

  /** A store that never answers a save: the tab is killed before. */
  const silent = (store: JobStore): JobStore => ({ ...store, save: () => new Promise(() => undefined) });

  it('is noted with the edit itself, and is there when the job is opened next', async () => {
    const store = memoryStore();
    await (await open(store)).settled();
    const { held, notes } = notebook();
    const killed = await openWith(silent(store), notes);
    rename(killed, 'Beech');
    rename(killed, 'Ash');
    killed.undo();
    const again = await openWith(store, notes);
    expect(again.job.name).toBe('Beech');
    expect(again.notice.join()).toContain('have been restored');
    await again.settled();
    expect(held.size).toBe(0);
    expect((await open(store)).job.name).toBe('Beech');
  });

  it('is no longer noted once it is saved, and a note that was saved after all is not made twice', async () => {
    const store = memoryStore();
    await (await open(store)).settled();
    const { held, notes } = notebook();
    const session = await openWith(store, notes);
    rename(session, 'Beech');
    const note = held.get('job-oak');
    await session.settled();
    expect(held.size).toBe(0);
    held.set('job-oak', note!);
    const again = await openWith(store, notes);
    expect(again.job.name).toBe('Beech');
    expect(again.history.steps).toHaveLength(1);
    expect(again.notice).toEqual([]);
  });

  it('does not overwrite what another tab saved since: it is named instead', async () => {
    const store = memoryStore();
    await (await open(store)).settled();
    const { notes } = notebook();
    rename(await openWith(silent(store), notes), 'Beech');
    const other = await open(store);
    rename(other, 'Ash');
    await other.settled();
    const again = await openWith(store, notes);
    expect(again.job.name).toBe('Ash');
    expect(again.notice.join()).toContain('named Beech');
  });

  it('asks before closing only where nothing notes it', async () => {
    const store = memoryStore();
    await (await open(store)).settled();
    const loaded = await store.load('job-oak');
    if (!loaded.ok) throw new Error('no such job');
    const without = new JobSession(silent(store), loaded.record);
    rename(without, 'Beech');
    expect(without.unsaved).toBe(true);
    const noted = new JobSession(silent(store), loaded.record, { notes: notebook().notes });
    rename(noted, 'Beech');
    expect(noted.unsaved).toBe(false);
  });
});

describe('what is typed in one field', () => {
  it('is taken back in one go, and another field is another step', async () => {
    const session = await open(memoryStore());
    const [name, place] = [{}, {}];
    session.typed(name, () => rename(session, 'B'));
    session.typed(name, () => rename(session, 'Beech'));
    session.typed(place, () => session.edit(setStep(session.job, ['place'], 'Hill', 'placed')));
    session.typed(name, () => rename(session, 'Beech hill'));
    session.undo();
    expect(session.job).toMatchObject({ name: 'Beech', place: 'Hill' });
    session.undo();
    session.undo();
    expect(session.job).toMatchObject({ name: 'Oak', place: '' });
    expect(session.canUndo).toBe(false);
    session.redo();
    expect(session.job.name).toBe('Beech');
  });
});
