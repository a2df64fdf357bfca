/**
 * Mains houses written as what is under each number of the wiring centre: `3: ['timer.heating-on', 'room.in']`. Each device gets a cable to the
 * centre, and each of its screws that is named a wire in it, in the usual colour. What goes straight from device to device is written as pairs, and
 * a house that has nothing else has no wiring centre.
 */
import { makeId, type MainsDeviceId } from '../job/ids';
import { emptyMains } from '../job/mains-edits';
import type { MainsCable, MainsControls, MainsDevice, MainsEnd, MainsWire } from '../job/mains-schema';
import { screwIdFor } from '../job/screws';
import type { ColourCode } from '../trade/colours';
import {
  FUNCTIONS_OF,
  MAINS_PART_NAMES,
  USUAL_SCREWS,
  type MainsFunction,
  type MainsPart
} from '../trade/mains';

export type UnitSketch = Partial<Omit<MainsDevice, 'id' | 'part' | 'screws'>> & {
  readonly part: MainsPart;
  readonly screws?: readonly (readonly [mark: string, does: MainsFunction])[];
};

export interface MainsSketch {
  readonly units: Readonly<Record<string, UnitSketch>>;
  /** What is under each number: `unit.function`, or `unit.function#2` for the second screw that does it. */
  readonly strip: Readonly<Record<number, readonly string[]>>;
  /** Wires straight from one device to another: `['room.in', 'boiler.live']`. */
  readonly straight?: readonly (readonly [near: string, far: string])[];
  /** Links between screws of one device, as `unit: [function, function]`. */
  readonly links?: readonly (readonly [unit: string, a: string, b: string])[];
  readonly observed?: Readonly<Record<string, string>>;
}

const PRESENT: Partial<Record<MainsFunction, ColourCode>> = {
  live: 'BN',
  neutral: 'BU',
  earth: 'GN',
  motor: 'BN',
  'switch-in': 'GY',
  'switch-out': 'OG',
  white: 'WH',
  grey: 'GY',
  orange: 'OG'
};
/** For what is no live, neutral or earth: the colours of flex with more conductors. */
const OTHERS: readonly ColourCode[] = ['BN', 'BK', 'GY', 'WH', 'OG', 'VT'];

export const mainsId = (name: string): MainsDeviceId => makeId('mainsDevice', name);

export function mainsOf({
  units,
  strip,
  straight = [],
  links = [],
  observed = {}
}: MainsSketch): MainsControls {
  const numbers = Object.keys(strip).map(Number);
  const own = Object.entries(units).map(([name, sketch]) => unitFrom(name, sketch));
  const centre = unitFrom('strip', {
    part: 'wiring-centre',
    screws: Array.from({ length: Math.max(10, ...numbers) }, (_, at) => [`${at + 1}`, 'joint'] as const)
  });
  const devices = numbers.length > 0 ? [centre, ...own] : own;
  const runs = [
    ...numbers.flatMap((number) =>
      (strip[number] ?? []).map((ref) => ({
        near: screwFor(devices, ref),
        far: { device: centre, screw: screwIdFor(`${number}`) }
      }))
    ),
    ...straight.map(([near, far]) => {
      const { device, screw } = screwFor(devices, far);
      return { near: screwFor(devices, near), far: { device, screw: screw.id } };
    })
  ];
  const cables = own.flatMap((near): MainsCable[] => {
    const far = runs.find((run) => run.near.device === near)?.far.device;
    return far ? [{ id: cableOf(near), name: near.name, near: near.id, far: far.id, lengthM: 5 }] : [];
  });
  const wires = runs.map(({ near: { device, screw }, far }, at) =>
    wireTo(`${at + 1}`, device, screw, {
      state: 'landed',
      on: { device: far.device.id, screw: far.screw }
    })
  );
  return {
    ...emptyMains(),
    devices,
    cables,
    wires,
    links: links.map(([unit, a, b], at) => {
      const device = screwFor(devices, `${unit}.${a}`).device;
      return {
        id: makeId('link', `m${at + 1}`),
        device: device.id,
        a: screwFor(devices, `${unit}.${a}`).screw.id,
        b: screwFor(devices, `${unit}.${b}`).screw.id,
        kind: 'wire' as const
      };
    }),
    observed: { 'devices-complete': 'yes', ...observed }
  };
}

function unitFrom(name: string, { part, screws = USUAL_SCREWS[part], ...more }: UnitSketch): MainsDevice {
  const taken = new Map<string, number>();
  return {
    id: mainsId(name),
    part,
    name: MAINS_PART_NAMES[part],
    place: '',
    serves: 'unknown',
    contacts: 'unknown',
    heatingBringsWater: 'unknown',
    input: 'unknown',
    combination: 'unknown',
    fuseAmps: null,
    note: '',
    ...more,
    screws: screws.map(([mark, does]) => {
      const id = screwIdFor(mark);
      const count = (taken.get(id) ?? 0) + 1;
      taken.set(id, count);
      return { id: count === 1 ? id : makeId('screw', `${id.slice(3)}-${count}`), mark, does };
    })
  };
}

function screwFor(devices: readonly MainsDevice[], ref: string) {
  const [, name = '', does = '', nth = '1'] = /^([^.]+)\.([^#]+)(?:#(\d+))?$/.exec(ref) ?? [];
  const device = devices.find((candidate) => candidate.id === mainsId(name));
  const screw = device?.screws.filter((candidate) => candidate.does === does || candidate.mark === does)[
    Number(nth) - 1
  ];
  if (!device || !screw) throw new Error(`No screw ${ref}; ${FUNCTIONS_OF[device?.part ?? 'pump'].join()}`);
  return { device, screw };
}

const cableOf = (device: MainsDevice) => makeId('cable', device.id.slice(3));

function wireTo(
  number: string,
  device: MainsDevice,
  screw: MainsDevice['screws'][number],
  far: MainsEnd
): MainsWire {
  const usual = PRESENT[screw.does];
  const place = device.screws.filter((screw) => PRESENT[screw.does] === undefined).indexOf(screw);
  return {
    id: makeId('conductor', `m${number}`),
    cable: cableOf(device),
    colour: usual ?? OTHERS[Math.max(0, place) % OTHERS.length] ?? 'BN',
    stripe: screw.does === 'earth' ? 'YE' : null,
    sleeve: null,
    label: '',
    near: { state: 'landed', on: { device: device.id, screw: screw.id } },
    far,
    continuity: 'untested'
  };
}
