/** Once it is lit: what is written down, what is the owner's alone, and a job that is closed. */
import { describe, expect, it } from 'vitest';
import { furnaceWithSpare } from '../houses/houses';
import { wallPhoto } from '../houses/pictured';
import {
  closeJob,
  finishTest,
  openAgain,
  setOldOneWent,
  setPrivate,
  setTesting,
  takeReading
} from './after-edits';
import { edit } from './edit';
import { makeId } from './ids';
import { LIMITS } from './limits';
import { hasPrivate, withoutPrivate } from './private';
import { apply, invert, setStep } from './steps';
import type { Job } from './schema';

const AT = '2026-10-15T12:00:00.000Z';
const { job } = furnaceWithSpare();
const { id } = job.thermostats[0]!;
const first = (made: Job) => made.thermostats[0]!;
const outcome = { call: 'heat1', at: AT, result: 'good', why: '', until: null, outdoorC: null } as const;

describe('a test', () => {
  it('that was running ends with its result, and keeps when its call began and ended', () => {
    const began = '2026-10-15T11:50:00.000Z';
    const running = apply(
      job,
      setTesting(job, id, { call: 'heat1', began, ended: '2026-10-15T11:58:00.000Z' })
    );
    const step = finishTest(running, id, outcome);
    const done = apply(running, step);
    expect(first(done).testing).toBeNull();
    expect(first(done).tests).toEqual([{ ...outcome, began, ended: '2026-10-15T11:58:00.000Z' }]);
    expect(apply(done, invert(step))).toEqual(running);
  });

  it('leaves another one that is running alone', () => {
    const running = apply(job, setTesting(job, id, { call: 'cool1', began: AT, ended: null }));
    const done = apply(running, finishTest(running, id, outcome));
    expect(first(done).testing?.call).toBe('cool1');
    expect(first(done).tests[0]).toMatchObject({ began: null, ended: null });
  });

  it('may be made again: the earlier results stay on the record', () => {
    const bad = apply(job, finishTest(job, id, { ...outcome, result: 'bad', why: 'no flame' }));
    expect(first(apply(bad, finishTest(bad, id, outcome))).tests.map(({ result }) => result)).toEqual([
      'bad',
      'good'
    ]);
  });
});

describe('readings', () => {
  it('are as many as a job may hold: the oldest goes', () => {
    const reading = {
      at: AT,
      what: 'volts',
      between: 'R-C',
      call: 'heat1',
      value: 26,
      from: 'typed'
    } as const;
    const full = {
      ...job,
      thermostats: [{ ...first(job), readings: Array.from({ length: LIMITS.readings.most }, () => reading) }]
    };
    const more = edit(full, takeReading(full, id, { ...reading, value: 25 }));
    if (!more.ok) throw new Error('refused');
    expect(first(more.job).readings).toHaveLength(LIMITS.readings.most);
    expect(first(more.job).readings.at(-1)?.value).toBe(25);
  });

  it('outside what any meter shows are refused with their place', () => {
    const refused = edit(
      job,
      takeReading(job, id, {
        at: AT,
        what: 'volts',
        between: 'R-C',
        call: 'heat1',
        value: 5000,
        from: 'typed'
      })
    );
    expect(refused).toMatchObject({ ok: false, faults: [{ path: 'thermostats[0].readings[0].value' }] });
  });
});

describe('a closed job', () => {
  const closed = apply(job, closeJob(job, 'M. Arkwright', AT));

  it('takes no edit until it is opened again, and says since when', () => {
    const refused = edit(closed, setOldOneWent(closed, id, 'kept'));
    expect(refused).toMatchObject({
      ok: false,
      faults: [{ path: 'closed', found: expect.stringContaining('2026-10-15') }]
    });
    const opened = edit(closed, openAgain(closed));
    if (!opened.ok) throw new Error('refused');
    expect(edit(opened.job, setOldOneWent(opened.job, id, 'kept')).ok).toBe(true);
  });

  it('is not renamed by the way while it is closed once more', () => {
    const sly = setStep(closed, ['name'], 'Other', 'Name');
    expect(edit(closed, sly).ok).toBe(false);
    expect(edit(job, closeJob(job, '', AT)).ok).toBe(true);
  });
});

describe('what is private', () => {
  const photo = wallPhoto(makeId('photo', 'code'));
  const other = wallPhoto(makeId('photo', 'wall'));
  const facts = { registration: '1234-5678', hardwareAddress: '00:11:22:33:44:55', photos: [photo.id] };
  const kept = apply(
    { ...job, thermostats: [{ ...first(job), photos: [photo, other] }] },
    setPrivate(job, id, facts)
  );

  it('stays out of a job that leaves, with the photos that show it, and no other', () => {
    const leaving = withoutPrivate(kept);
    expect(JSON.stringify(leaving)).not.toMatch(/1234-5678|00:11:22|ph-code/);
    expect(first(leaving).photos.map((left) => left.id)).toEqual([other.id]);
    expect(hasPrivate(first(kept))).toBe(true);
    expect(hasPrivate(first(leaving))).toBe(false);
  });

  it('changes nothing where there is none', () => {
    expect(withoutPrivate(job)).toBe(job);
  });
});
