import { describe, expect, it } from 'vitest';
import { newJob } from './create';
import { edit } from './edit';
import { makeId } from './ids';
import {
  addController,
  addMainsLink,
  addUnit,
  addUnitScrew,
  addWire,
  chooseController,
  chooseMainsWay,
  isProvenDead,
  mainsIn,
  onScrew,
  removeController,
  removeUnit,
  removeUnitScrew,
  removeWire,
  setUnitScrew,
  setWire,
  startMains,
  UNSEEN_END
} from './mains-edits';
import { recordMainsTest } from './mains-after-edits';
import type { DeadProof } from './mains-schema';
import type { Job } from './schema';
import { apply, invert, type Step } from './steps';
import { CONTROLLERS } from '../match/mains/controllers';

const TH = makeId('thermostat', '1');
const AT = '2026-11-27T09:00:00.000Z';

function done(job: Job, ...make: ((job: Job) => Step)[]): Job {
  return make.reduce((now, step) => {
    const made = edit(now, step(now));
    if (!made.ok) throw new Error(JSON.stringify(made.faults));
    return made.job;
  }, job);
}

const started = done(newJob(makeId('job', 'm'), 'M'), (job) => startMains(job, TH));
const strip = makeId('mainsDevice', 'wiring-centre');
const timer = makeId('mainsDevice', 'timer');
const withTimer = done(started, (job) => addUnit(job, TH, 'timer'));
const heating = makeId('screw', '4');
const four = makeId('screw', '4');
const wired = done(withTimer, (job) =>
  addWire(job, TH, { device: timer, near: onScrew(timer, heating), far: onScrew(strip, four), colour: 'BK' })
);

describe('the record of mains controls', () => {
  it('begins with a wiring centre of ten numbers and a spur', () => {
    const { devices, wires } = mainsIn(started, TH);
    expect(devices.map(({ part }) => part)).toEqual(['wiring-centre', 'supply']);
    expect(devices[0]?.screws).toHaveLength(10);
    expect(wires).toEqual([]);
  });

  it('names a second device of a kind apart from the first', () => {
    const twice = done(withTimer, (job) => addUnit(job, TH, 'timer'));
    expect(mainsIn(twice, TH).devices.map(({ name }) => name)).toEqual([
      'wiring centre',
      'fused spur',
      'timer',
      'timer 2'
    ]);
  });

  it('gives a wire a cable of its device, and the next wire the same one', () => {
    const again = done(wired, (job) =>
      addWire(job, TH, { device: timer, near: UNSEEN_END, far: onScrew(strip, four), colour: null })
    );
    const { cables, wires } = mainsIn(again, TH);
    expect(cables.map(({ name }) => name)).toEqual(['timer']);
    expect(new Set(wires.map(({ cable }) => cable)).size).toBe(1);
    const none = done(
      again,
      ...wires.map(
        ({ id }) =>
          (job: Job) =>
            removeWire(job, TH, id)
      )
    );
    expect(mainsIn(none, TH).cables).toEqual([]);
  });

  it('takes a device out with its wires, cables and links, and puts all of it back', () => {
    const linked = done(wired, (job) => addMainsLink(job, TH, timer, heating, makeId('screw', '3')));
    const step = removeUnit(linked, TH, timer);
    const gone = apply(linked, step);
    expect(mainsIn(gone, TH)).toMatchObject({ wires: [], cables: [], links: [] });
    expect(apply(gone, invert(step))).toEqual(linked);
  });

  it('leaves an end unseen whose screw is taken out: nobody knows where it is', () => {
    const without = done(wired, (job) => removeUnitScrew(job, TH, timer, heating));
    expect(mainsIn(without, TH).wires[0]?.near).toEqual(UNSEEN_END);
    expect(mainsIn(without, TH).wires[0]?.far.state).toBe('landed');
  });

  it('keeps screws of one print apart, and says what each does', () => {
    const two = done(
      withTimer,
      (job) => addUnitScrew(job, TH, timer, 'N'),
      (job) => setUnitScrew(job, TH, timer, makeId('screw', 'n-2'), { does: 'neutral' })
    );
    const screws = mainsIn(two, TH).devices.find(({ id }) => id === timer)?.screws ?? [];
    expect(screws.filter(({ mark }) => mark === 'N').map(({ id, does }) => [id, does])).toEqual([
      ['sc-n', 'neutral'],
      ['sc-n-2', 'neutral']
    ]);
  });

  it('refuses what no reader would take, with its place', () => {
    const made = edit(wired, setWire(wired, TH, mainsIn(wired, TH).wires[0]!.id, { colour: 'XX' as never }));
    expect(made.ok).toBe(false);
    if (!made.ok) expect(made.faults[0]?.path).toContain('mains.wires[0].colour');
  });

  it('lets go of the choice with the controller that is taken out', () => {
    const own = { ...CONTROLLERS[0]!, id: makeId('controller', 'own') };
    const chosen = done(
      wired,
      (job) => addController(job, TH, own),
      (job) => chooseController(job, TH, own.id),
      (job) => chooseMainsWay(job, TH, { controller: own.id, method: 'replace-timer', variant: 'plain' })
    );
    const without = done(chosen, (job) => removeController(job, TH, own.id));
    expect(mainsIn(without, TH).choice).toEqual({ controller: null, method: null, variant: null });
  });

  it('keeps the last result of each test', () => {
    const twice = done(
      wired,
      (job) => recordMainsTest(job, TH, { row: 'idle', result: 'bad', at: AT, until: null, note: '' }),
      (job) => recordMainsTest(job, TH, { row: 'idle', result: 'good', at: AT, until: null, note: '' })
    );
    expect(mainsIn(twice, TH).tests.map(({ result }) => result)).toEqual(['good']);
  });
});

describe('proven dead', () => {
  const proof: DeadProof = {
    at: AT,
    testerBefore: true,
    liveNeutral: true,
    liveEarth: true,
    neutralEarth: true,
    testerAfter: true
  };

  it('takes all five in one day', () => {
    expect(isProvenDead(proof, '2026-11-27')).toBe(true);
    expect(isProvenDead(proof, '2026-11-28')).toBe(false);
    expect(isProvenDead(null, '2026-11-27')).toBe(false);
    for (const key of ['testerBefore', 'liveNeutral', 'liveEarth', 'neutralEarth', 'testerAfter'] as const)
      expect(isProvenDead({ ...proof, [key]: false }, '2026-11-27')).toBe(false);
  });
});
