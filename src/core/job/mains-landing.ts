/** Where the wires of mains devices lead: to a number of the wiring centre, or straight to a terminal of another device. */
import { hubsAmong } from '../trade/mains-hub';
import { makeId, nextId, type ConductorId, type MainsDeviceId, type ScrewId, type ThermostatId } from './ids';
import {
  addUnit,
  addWire,
  centreIn,
  mainsIn,
  mainsPath,
  onScrew,
  removeUnit,
  setWire,
  UNSEEN_END
} from './mains-edits';
import type { MainsCable, MainsControls, MainsWire } from './mains-schema';
import type { Job } from './schema';
import { apply, batch, insertStep, removeStep, setStep, type Step } from './steps';

export interface MainsSpot {
  readonly device: MainsDeviceId;
  readonly screw: ScrewId;
}

const isAt = (end: MainsWire['near'], { device, screw }: MainsSpot) =>
  end.on?.device === device && end.on.screw === screw;

/** The end of a wire that is on this screw; null where neither is. */
export function endAt(wire: MainsWire, spot: MainsSpot): 'near' | 'far' | null {
  return isAt(wire.near, spot) ? 'near' : isAt(wire.far, spot) ? 'far' : null;
}

/** Every wire on a screw, with the screw at its other end; null where that end is on none, or nobody has read it. */
export function wiresAt(
  mains: MainsControls,
  spot: MainsSpot
): readonly { readonly wire: MainsWire; readonly to: MainsSpot | null }[] {
  return mains.wires.flatMap((wire) => {
    const here = endAt(wire, spot);
    return here === null ? [] : [{ wire, to: wire[here === 'near' ? 'far' : 'near'].on }];
  });
}

/** A new wire from one screw to another; green-yellow where it is for earth. */
export function runWire(job: Job, th: ThermostatId, from: MainsSpot, to: MainsSpot): Step {
  const device = mainsIn(job, th).devices.find(({ id }) => id === from.device);
  const isEarth = device?.screws.find(({ id }) => id === from.screw)?.does === 'earth';
  return addWire(job, th, {
    device: from.device,
    near: onScrew(from.device, from.screw),
    far: onScrew(to.device, to.screw),
    colour: isEarth ? 'GN' : null,
    stripe: isEarth ? 'YE' : null
  });
}

/** The other end of a wire goes to another screw: with another cable where its own does not lead to that device. */
export function leadWire(
  job: Job,
  th: ThermostatId,
  id: ConductorId,
  from: MainsSpot,
  to: MainsSpot
): Step | null {
  const mains = mainsIn(job, th);
  const wire = mains.wires.find((candidate) => candidate.id === id);
  const here = wire ? endAt(wire, from) : null;
  if (!wire || here === null) return null;
  const label = 'Wire changed';
  const end = setStep(
    job,
    mainsPath(th, 'wires', { id }, here === 'near' ? 'far' : 'near'),
    onScrew(to.device, to.screw),
    label
  );
  const joins = (cable: MainsCable) => cable[here] === from.device && cable[other(here)] === to.device;
  const own = mains.cables.find((cable) => cable.id === wire.cable);
  if (own && joins(own)) return end;
  const known = mains.cables.find(joins);
  const cable: MainsCable = known ?? {
    id: nextId(
      'cable',
      mains.cables.map((candidate) => candidate.id)
    ),
    name: mains.devices.find((device) => device.id === from.device)?.name ?? '',
    near: here === 'near' ? from.device : to.device,
    far: here === 'near' ? to.device : from.device,
    lengthM: null
  };
  const isLast = mains.wires.filter((candidate) => candidate.cable === wire.cable).length === 1;
  return batch(label, [
    ...(known ? [] : [insertStep(job, mainsPath(th, 'cables'), cable, label)]),
    setStep(job, mainsPath(th, 'wires', { id }, 'cable'), cable.id, label),
    end,
    ...(own && isLast ? [removeStep(job, mainsPath(th, 'cables'), own.id, label)] : [])
  ]);
}

const other = (end: 'near' | 'far') => (end === 'near' ? 'far' : 'near');

/** Nobody has read where the other end of a wire is: it is unread, and what was said of the wire stays. */
export function unreadAway(job: Job, th: ThermostatId, id: ConductorId, from: MainsSpot): Step | null {
  const wire = mainsIn(job, th).wires.find((candidate) => candidate.id === id);
  const here = wire ? endAt(wire, from) : null;
  return here === null ? null : setWire(job, th, id, { [other(here)]: UNSEEN_END });
}

/** Wires that go straight from device to device, past the place where the cables meet. */
export function straightWires(mains: MainsControls): MainsWire[] {
  const hubs = new Set<string>(hubsAmong(mains.devices).map(({ id }) => id));
  return mains.wires.filter(({ near, far }) =>
    [near, far].every(({ on }) => on !== null && !hubs.has(on.device))
  );
}

/** There is no wiring centre: it goes, and the cables are told at the boiler. Null where cables go to it, or it is not there. */
export function withoutCentre(job: Job, th: ThermostatId): Step | null {
  const mains = mainsIn(job, th);
  const centre = centreIn(mains);
  if (!centre || mains.cables.some(({ near, far }) => near === centre.id || far === centre.id)) return null;
  const label = 'No wiring centre';
  const gone = removeUnit(job, th, centre.id);
  if (mains.devices.some(({ part }) => part === 'boiler')) return batch(label, [gone]);
  const boiler = addUnit(apply(job, gone), th, 'boiler');
  const there = apply(apply(job, gone), boiler);
  const id = mainsIn(there, th).devices.find(({ part }) => part === 'boiler')?.id ?? '';
  // Where the cables meet at a boiler, live comes to it as well.
  const live = { id: makeId('screw', 'l'), mark: 'L', does: 'live' } as const;
  return batch(label, [
    gone,
    boiler,
    insertStep(there, mainsPath(th, 'devices', { id }, 'screws'), live, label, 0)
  ]);
}
