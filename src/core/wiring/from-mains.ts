/** The graph of mains heating controls as recorded. What nobody has read stays unseen and joins nothing. */
import type { MainsControls, MainsDevice, MainsEnd, MainsWire } from '../job/mains-schema';
import { colourName } from '../trade/colours';
import { FLEX_OHMS_PER_M, MAINS_PART_NAMES } from '../trade/mains';
import { terminalOfScrew, type Landing, type MainsUnit, type Place, type Strand, type Wiring } from './graph';

/** Flex between a device and the wiring centre where nobody has measured it, metres. */
const USUAL_LENGTH_M = 5;

const known = new WeakMap<MainsControls, Wiring>();

/** The same object for the same record, so that what was worked out of it still holds. */
export function wiringFromMains(mains: MainsControls): Wiring {
  const before = known.get(mains);
  if (before) return before;
  const made = build(mains);
  known.set(mains, made);
  return made;
}

function build({ devices, cables, wires, links }: MainsControls): Wiring {
  const has = new Set(devices.flatMap((device) => device.screws.map((screw) => `${device.id} ${screw.id}`)));
  const lengths = new Map(cables.map((cable) => [cable.id as string, cable.lengthM ?? USUAL_LENGTH_M]));
  return {
    places: devices.map(placeOfUnit),
    devices: devices.map(unitOf),
    cables: cables.map((cable) => ({
      id: cable.id,
      name: cable.name,
      path: 'unknown',
      insulation: 'unknown',
      lengthM: cable.lengthM,
      gauge: null,
      near: cable.near,
      far: cable.far
    })),
    strands: wires.map((wire) => strandOf(wire, lengths.get(wire.cable) ?? USUAL_LENGTH_M, has)),
    links: links.flatMap((link) => {
      const [a, b] = [terminalOfScrew(link.device, link.a), terminalOfScrew(link.device, link.b)];
      const there = [link.a, link.b].every((screw) => has.has(`${link.device} ${screw}`));
      return there && a !== b ? [{ id: link.id, at: link.device, a, b, kind: link.kind }] : [];
    })
  };
}

function placeOfUnit(device: MainsDevice): Place {
  return {
    id: device.id,
    kind:
      device.part === 'wiring-centre'
        ? 'wiring-centre'
        : device.part === 'room-thermostat'
          ? 'wall'
          : 'machine',
    name: device.place === '' ? device.name : device.place
  };
}

function unitOf(device: MainsDevice): MainsUnit {
  return {
    kind: 'mains',
    id: device.id,
    at: device.id,
    name: device.name === '' ? MAINS_PART_NAMES[device.part] : device.name,
    screws: device.screws.map((screw) => ({
      id: terminalOfScrew(device.id, screw.id),
      mark: screw.mark,
      role: null,
      means: screw.does === 'unknown' ? [] : [screw.does]
    })),
    part: device.part,
    serves: device.serves,
    contacts: device.contacts,
    heatingBringsWater: device.heatingBringsWater === 'yes',
    input: device.input,
    fuseAmps: device.fuseAmps,
    facts: null
  };
}

/** An end on a screw that is no longer recorded counts as unseen: nobody knows where it is. */
function landingOf({ state, on }: MainsEnd, has: ReadonlySet<string>): Landing {
  if (state !== 'landed') return { state };
  if (on === null || !has.has(`${on.device} ${on.screw}`)) return { state: 'unseen' };
  return { state: 'landed', terminal: terminalOfScrew(on.device, on.screw) };
}

function strandOf(wire: MainsWire, lengthM: number, has: ReadonlySet<string>): Strand {
  return {
    id: wire.id,
    cable: wire.cable,
    name: wireName(wire),
    colour: wire.colour,
    colourBeyond: wire.colour,
    stripe: wire.stripe,
    spliced: 'no',
    continuity: wire.continuity,
    ohms: lengthM * FLEX_OHMS_PER_M,
    near: landingOf(wire.near, has),
    far: landingOf(wire.far, has)
  };
}

/** `blue, sleeved brown`, with the user's own label; `uncoloured` where nobody has said its colour. */
export function wireName(wire: Pick<MainsWire, 'colour' | 'stripe' | 'sleeve' | 'label'>): string {
  const colour =
    wire.colour === null
      ? 'uncoloured'
      : wire.colour === 'GN' && wire.stripe === 'YE'
        ? 'green-yellow'
        : colourName(wire.colour, wire.stripe);
  const sleeved = wire.sleeve === null ? colour : `${colour}, sleeved ${colourName(wire.sleeve)}`;
  return wire.label === '' ? sleeved : `${sleeved} (${wire.label})`;
}
