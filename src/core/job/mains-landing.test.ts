import { describe, expect, it } from 'vitest';
import { newJob } from './create';
import { edit } from './edit';
import { makeId } from './ids';
import { addUnit, addWire, mainsIn, onScrew, setWire, startMains, UNSEEN_END } from './mains-edits';
import {
  endAt,
  leadWire,
  runWire,
  straightWires,
  unreadAway,
  wiresAt,
  withoutCentre,
  type MainsSpot
} from './mains-landing';
import type { Job } from './schema';
import { apply, invert, type Step } from './steps';

const TH = makeId('thermostat', '1');

function done(job: Job, ...make: ((job: Job) => Step | null)[]): Job {
  return make.reduce((now, step) => {
    const made = step(now);
    if (made === null) throw new Error('Nothing to do');
    const after = edit(now, made);
    if (!after.ok) throw new Error(JSON.stringify(after.faults));
    return after.job;
  }, job);
}

const spot = (device: string, screw: string): MainsSpot => ({
  device: makeId('mainsDevice', device),
  screw: makeId('screw', screw)
});
const [boilerLive, boilerInput] = [spot('boiler', 'l'), spot('boiler', 'sl')];
const spurLive = spot('supply', 'l');
const roomOut = spot('room-thermostat', '3');

const started = done(newJob(makeId('job', 'm'), 'M'), (job) => startMains(job, TH));
const bare = done(
  started,
  (job) => withoutCentre(job, TH),
  (job) => addUnit(job, TH, 'room-thermostat')
);
const wired = done(
  bare,
  (job) => runWire(job, TH, spurLive, boilerLive),
  (job) => runWire(job, TH, roomOut, boilerInput)
);
const cablesIn = (job: Job) => mainsIn(job, TH).cables.map(({ near, far }) => `${near} ${far}`);

describe('no wiring centre', () => {
  it('goes, and brings the boiler that the cables meet at; one step back is as it was', () => {
    expect(mainsIn(bare, TH).devices.map(({ part }) => part)).toEqual([
      'supply',
      'boiler',
      'room-thermostat'
    ]);
    expect(mainsIn(bare, TH).devices[1]?.screws.map(({ mark }) => mark)).toEqual(['L', 'SL', 'N', 'E']);
    const step = withoutCentre(started, TH)!;
    expect(apply(apply(started, step), invert(step))).toEqual(started);
  });

  it('brings no second boiler', () => {
    const two = done(
      started,
      (job) => addUnit(job, TH, 'boiler'),
      (job) => withoutCentre(job, TH)
    );
    expect(mainsIn(two, TH).devices.filter(({ part }) => part === 'boiler')).toHaveLength(1);
  });

  it('stays where a cable goes to it, read or not', () => {
    const used = done(started, (job) =>
      addWire(job, TH, {
        device: spurLive.device,
        near: onScrew(spurLive.device, spurLive.screw),
        far: UNSEEN_END,
        colour: null
      })
    );
    expect(withoutCentre(used, TH)).toBeNull();
    expect(withoutCentre(bare, TH)).toBeNull();
  });
});

describe('a wire from device to device', () => {
  it('has a cable that joins the two, and is found from either screw', () => {
    expect(cablesIn(wired)).toEqual(['md-supply md-boiler', 'md-room-thermostat md-boiler']);
    const mains = mainsIn(wired, TH);
    expect(wiresAt(mains, boilerLive).map(({ to }) => to)).toEqual([spurLive]);
    expect(wiresAt(mains, spurLive).map(({ to }) => to)).toEqual([boilerLive]);
    expect(wiresAt(mains, spot('boiler', 'n'))).toEqual([]);
  });

  it('run the other way is in the same cable, its ends where that cable has them', () => {
    const back = done(wired, (job) => runWire(job, TH, spot('boiler', 'n'), spot('supply', 'n')));
    expect(cablesIn(back)).toEqual(cablesIn(wired));
    const wire = mainsIn(back, TH).wires.at(-1)!;
    expect(endAt(wire, spot('supply', 'n'))).toBe('near');
    expect(endAt(wire, spot('boiler', 'n'))).toBe('far');
  });

  it('is green-yellow where it is for earth, and of a colour that nobody has said elsewhere', () => {
    const earthed = done(wired, (job) => runWire(job, TH, spot('supply', 'e'), spot('boiler', 'e')));
    expect(mainsIn(earthed, TH).wires.map(({ colour, stripe }) => [colour, stripe])).toEqual([
      [null, null],
      [null, null],
      ['GN', 'YE']
    ]);
  });
});

describe('a wire that is led elsewhere', () => {
  const [first] = mainsIn(wired, TH).wires;

  it('keeps its cable between the same devices, seen from either end', () => {
    const there = done(wired, (job) => leadWire(job, TH, first!.id, spurLive, boilerInput));
    expect(wiresAt(mainsIn(there, TH), spurLive)[0]?.to).toEqual(boilerInput);
    const here = done(wired, (job) => leadWire(job, TH, first!.id, boilerLive, spot('supply', 'n')));
    expect(wiresAt(mainsIn(here, TH), boilerLive)[0]?.to).toEqual(spot('supply', 'n'));
    expect([cablesIn(there), cablesIn(here)]).toEqual([cablesIn(wired), cablesIn(wired)]);
  });

  it('to another device goes in a cable of that device, keeps what was said of it, and leaves no empty cable', () => {
    const coloured = done(wired, (job) => setWire(job, TH, first!.id, { colour: 'BN', sleeve: 'RD' }));
    const moved = done(coloured, (job) =>
      leadWire(job, TH, first!.id, spurLive, spot('room-thermostat', '1'))
    );
    expect(cablesIn(moved)).toEqual(['md-room-thermostat md-boiler', 'md-supply md-room-thermostat']);
    expect(mainsIn(moved, TH).wires[0]).toMatchObject({ id: first!.id, colour: 'BN', sleeve: 'RD' });
    expect(straightWires(mainsIn(moved, TH)).map(({ id }) => id)).toEqual([first!.id]);
    expect(straightWires(mainsIn(wired, TH))).toEqual([]);
  });

  it('whose other end nobody has read keeps its colour and its cable, from either end', () => {
    const coloured = done(wired, (job) => setWire(job, TH, first!.id, { colour: 'BN' }));
    const away = done(coloured, (job) => unreadAway(job, TH, first!.id, spurLive));
    expect(mainsIn(away, TH).wires[0]).toMatchObject({ colour: 'BN', far: UNSEEN_END, near: first!.near });
    const back = done(coloured, (job) => unreadAway(job, TH, first!.id, boilerLive));
    expect(mainsIn(back, TH).wires[0]).toMatchObject({ colour: 'BN', near: UNSEEN_END, far: first!.far });
    expect(cablesIn(away)).toEqual(cablesIn(wired));
  });

  it('is left alone from a screw that it is not on', () => {
    expect(unreadAway(wired, TH, first!.id, boilerInput)).toBeNull();
    expect(leadWire(wired, TH, first!.id, boilerInput, roomOut)).toBeNull();
  });
});
