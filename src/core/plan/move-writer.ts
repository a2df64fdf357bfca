/** The words of single moves: what the hands do, where they do it, and the change of the graph that it makes. */
import type { EndSide } from '../trade/vocabulary';
import type { Change } from '../wiring/difference';
import {
  deviceOf,
  printedMark,
  splitTerminal,
  type Device,
  type Landing,
  type Strand,
  type Wiring
} from '../wiring/graph';
import { USUAL_TRANSFORMER_VA } from '../trade/loads';
import type { Action, Draft, OtherSupply } from './move-types';

export const LOOSE: Landing = { state: 'loose' };

export type EndChange = Extract<Change, { kind: 'end' }>;
export type LinkChange = Extract<Change, { kind: 'link-on' | 'link-off' }>;
export type DeviceChange = Extract<Change, { kind: 'device-on' | 'device-off' }>;
export type CableChange = Extract<Change, { kind: 'cable-in' | 'cable-out' }>;

export type TransformerChange = Extract<Change, { kind: 'transformer' }>;

/** Writes single moves, with the names that both wirings know. */
export class MoveWriter {
  constructor(private readonly wiring: Wiring) {}

  /** The end of a cord at an outlet is recorded as its equipment end, and is not done where the equipment stands. */
  isAt(change: EndChange, side: EndSide): boolean {
    const landing = change.to.state === 'landed' ? change.to : change.from;
    if (side === 'wall' || landing.state !== 'landed') return true;
    return deviceOf(this.wiring, landing.terminal)?.place !== 'outlet';
  }

  /** True when the end is on that device before it is moved. */
  isOn(change: EndChange, { device }: DeviceChange): boolean {
    return change.from.state === 'landed' && splitTerminal(change.from.terminal).device === device.id;
  }

  liftAndLand(change: EndChange): Draft[] {
    return [...this.liftOnly(change), ...this.landOnly(change)];
  }

  liftOnly(change: EndChange): Draft[] {
    return change.from.state === 'landed' ? [this.lift(change)] : [];
  }

  lift(change: EndChange): Draft {
    const name = this.strand(change.strand).name;
    const mark = this.where(change.from);
    return {
      ...this.spot(change, change.from),
      action: 'lift',
      what: change.strand,
      from: this.landing(change.from),
      to: 'loose',
      text: `Label the ${name} conductor “${mark}”, loosen ${mark} and take it off.${this.leave(change.from)}`,
      change: { ...change, to: LOOSE }
    };
  }

  landOnly(change: EndChange): Draft[] {
    const from = change.from.state === 'landed' ? LOOSE : change.from;
    if (change.to.state === 'unseen' || change.to.state === from.state) {
      if (change.to.state !== 'landed') return [];
    }
    const name = this.strand(change.strand).name;
    const rest = {
      what: change.strand,
      from: this.landing(from),
      to: this.landing(change.to),
      change: { ...change, from }
    };
    if (change.to.state === 'landed') {
      const mark = this.where(change.to);
      const first =
        from.state === 'coiled'
          ? `Unwind the ${name} conductor, strip 6 to 10 mm, and land it`
          : `Land the ${name} conductor`;
      return [
        {
          ...this.spot(change, change.to),
          action: 'land',
          text: `${first} on ${mark}; tug it.${this.leave(change.to)}`,
          ...rest
        }
      ];
    }
    const text = `Wrap the ${name} conductor back round the sheath, its end capped.`;
    return [{ ...this.spot(change, change.from), action: 'cap', text, ...rest }];
  }

  /** What else is under the screw and is not the thermostat's. */
  private leave(landing: Landing): string {
    if (landing.state !== 'landed') return '';
    const { mark } = splitTerminal(landing.terminal);
    const device = deviceOf(this.wiring, landing.terminal);
    const others = device?.kind === 'board' ? device.others.filter((one) => one.mark === mark) : [];
    const names = others.map((one) => one.what || 'other').join(', ');
    return others.length === 0
      ? ''
      : ` Under the same screw, leave the ${names} conductor${others.length > 1 ? 's' : ''} as found.`;
  }

  /** A conductor that was on nothing and has never been measured through is proven before it is trusted. */
  check(change: EndChange): Draft[] {
    const strand = this.strand(change.strand);
    if (strand.continuity === 'proven' || change.from.state === 'landed' || change.to.state !== 'landed')
      return [];
    return [
      {
        ...this.spot(change, change.to),
        action: 'check',
        what: change.strand,
        from: this.landing(change.from),
        to: this.landing(change.from),
        text: `Before it is landed: join the ${strand.name} conductor to another bare one here, and measure between the two at the wall. Closed when joined, open when parted: it is the same one. If not, stop here and record what you found.`,
        change: null
      }
    ];
  }

  link(change: LinkChange): Draft {
    const { link } = change;
    const [a, b] = [printedMark(this.wiring, link.a), printedMark(this.wiring, link.b)];
    const on = change.kind === 'link-on';
    const [one, other] = [deviceOf(this.wiring, link.a), deviceOf(this.wiring, link.b)];
    const place = one?.beside ?? other?.beside ?? one?.name ?? link.place;
    const apart = one !== undefined && other !== undefined && one.id !== other.id;
    const made =
      link.kind === 'clip'
        ? `See that the clip joins ${a} and ${b}.`
        : apart
          ? `Join ${a} of the ${one.name} to ${b} of the ${other.name} with a short piece of 18 AWG; tug both ends.`
          : `Link ${a} to ${b} with a short piece of wire.`;
    return {
      end: link.place,
      place: link.place === 'wall' ? 'wall' : place,
      action: on ? 'link' : 'unlink',
      what: link.id,
      from: on ? '' : `${link.a}–${link.b}`,
      to: on ? `${link.a}–${link.b}` : '',
      text: on
        ? made
        : apart
          ? `Take out the piece of wire between ${a} of the ${one.name} and ${b} of the ${other.name}.`
          : `Take out the link between ${a} and ${b}.`,
      change
    };
  }

  transformer(change: TransformerChange): Draft {
    const machine = this.wiring.devices.find((one) => one.id === change.device)?.name ?? change.device;
    const size = (va: number | null) => `${va ?? USUAL_TRANSFORMER_VA} VA`;
    return {
      end: 'equipment',
      place: machine,
      action: 'mount',
      what: change.device,
      from: size(change.from),
      to: size(change.to),
      text: `Have the transformer of the ${machine} (${size(change.from)}) replaced by one of ${size(change.to)}, Class 2, by a licensed person. It stays off.`,
      change
    };
  }

  device(change: DeviceChange): Draft {
    const { device } = change;
    const on = change.kind === 'device-on';
    return {
      end: device.place === 'equipment' ? 'equipment' : 'wall',
      place: device.place === 'equipment' ? (device.beside ?? device.name) : device.place,
      action: 'mount',
      what: device.id,
      from: on ? '' : device.name,
      to: on ? device.name : '',
      text: on ? mountText(device) : removalText(device),
      change
    };
  }

  cable(change: CableChange): Draft {
    const out = change.kind === 'cable-out';
    const cord = change.strands.some((one) => one.cable === 'ca-cord');
    return {
      end: 'wall',
      place: cord ? 'outlet' : 'wall',
      action: 'pull',
      what: change.cable.id,
      from: out ? change.cable.name : '',
      to: out ? '' : change.cable.name,
      text: out
        ? `Tie the new cable and a pull line to ${change.cable.name}, and pull it out as the leader.`
        : cord
          ? 'Lay the cord in a raceway on the face of the wall, from the outlet to the plate.'
          : `Bring the ${change.cable.name} out at both ends, leave the pull line in the path, strip the sheath.`,
      change
    };
  }

  powerOff(before: Wiring): Draft[] {
    return this.suppliesOf(before).map((device) =>
      this.power(device, 'power-off', 'on', 'off', offText(device))
    );
  }

  powerOn(after: Wiring): Draft[] {
    return this.suppliesOf(after).map((device) =>
      this.power(device, 'power-on', 'off', 'on', onText(device))
    );
  }

  otherSupply(one: OtherSupply, action: 'power-off' | 'power-on'): Draft {
    const off = action === 'power-off';
    return {
      end: 'equipment',
      place: one.name,
      action,
      what: one.id,
      from: off ? 'on' : 'off',
      to: off ? 'off' : 'on',
      text: off
        ? `Power off: ${one.name}, at its own breaker or disconnect. It has a supply of its own.`
        : `Power on: ${one.name}.`,
      change: null
    };
  }

  private power(device: Device, action: Action, from: string, to: string, text: string): Draft {
    const outlet = device.place === 'outlet';
    return {
      end: outlet ? 'wall' : 'equipment',
      place: outlet ? 'outlet' : (device.beside ?? device.name),
      action,
      what: device.id,
      from,
      to,
      text,
      change: null
    };
  }

  private suppliesOf(wiring: Wiring): Device[] {
    const kinds: ReadonlySet<Device['kind']> = new Set(['board', 'plug-in-transformer', 'added-transformer']);
    return wiring.devices.filter((one) => kinds.has(one.kind));
  }

  private strand(id: string): Strand {
    const found = this.wiring.strands.find((one) => one.id === id);
    if (!found) throw new Error(`No strand ${id}`);
    return found;
  }

  private landing(landing: Landing): string {
    return landing.state === 'landed' ? landing.terminal : landing.state;
  }

  private where(landing: Landing): string {
    if (landing.state !== 'landed') return landing.state;
    const device = deviceOf(this.wiring, landing.terminal);
    const mark = printedMark(this.wiring, landing.terminal);
    return device?.kind === 'splitter' || device?.beside !== undefined
      ? `${mark} of the ${device.name}`
      : mark;
  }

  private spot(change: EndChange, landing: Landing): { end: EndSide; place: string } {
    const device = landing.state === 'landed' ? deviceOf(this.wiring, landing.terminal) : undefined;
    if (device?.place === 'outlet') return { end: 'wall', place: 'outlet' };
    const there = device?.beside ?? device?.name ?? 'equipment';
    return { end: change.side, place: change.side === 'wall' ? 'wall' : there };
  }
}

function removalText(device: Device): string {
  return device.kind === 'adapter'
    ? `Unscrew the ${device.name} and take it out: it belonged to the old thermostat.`
    : `Take the plate of the ${device.name} off; hold the cable so that it cannot slip back.`;
}

function mountText(device: Device): string {
  switch (device.kind) {
    case 'plug-in-transformer':
      return `Set the ${device.name} down by its outlet. Do not plug it in yet.`;
    case 'adapter':
      return `Screw the ${device.name} to bare metal inside ${device.beside ?? 'the machine'}, clear of insulation.`;
    case 'receiver':
      return `Fix the ${device.name} beside ${device.beside ?? 'the machine'}, outside its door, where the radio is not shut in.`;
    case 'added-transformer':
      return `Have the ${device.name} fixed at a junction box near ${device.beside ?? 'the machine'} by a licensed person. It stays off.`;
    case 'splitter':
      return `Lay the ${device.name} behind the plate; its leads keep their marks.`;
    default:
      return `Level the plate of the ${device.name}, fix it to anchors or a stud, and bring the cable through.`;
  }
}

function offText(device: Device): string {
  if (device.kind === 'added-transformer')
    return `Power off: ${device.name}, at its own breaker; a meter between its R and C reads nothing.`;
  return device.place === 'outlet'
    ? `Pull the ${device.name} out of its outlet.`
    : `Power off: ${device.name}, at the breaker and at the service switch. Proof: it was running and stops; then a meter between R and C reads nothing.`;
}

function onText(device: Device): string {
  if (device.kind === 'added-transformer') return `Power on: ${device.name}, at its own breaker.`;
  return device.place === 'outlet'
    ? `Plug the ${device.name} in.`
    : `Power on: ${device.name}. ${closedFirst(device)}, then the service switch, then the breaker.`;
}

/** Machines of air have a door with a switch; a panel or a boiler has a cover. */
function closedFirst(device: Device): string {
  const covered = ['boiler', 'zone-panel', 'zone-pump-panel', 'room-heater'];
  return device.kind === 'board' && covered.includes(device.machine)
    ? 'Cover closed'
    : 'Door closed on its switch';
}
