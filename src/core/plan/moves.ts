/**
 * Moves: the difference of two wirings in the order of the hands. Power off first; then all that is done at the equipment, then all that is
 * done at the wall; one conductor at a time. Every move carries the change of the graph that it makes, so that the list can be replayed.
 */
import type { EndSide } from '../trade/vocabulary';
import { applyChange, difference, type Change } from '../wiring/difference';
import {
  deviceOf,
  printedMark,
  splitTerminal,
  type Device,
  type Landing,
  type Strand,
  type Wiring
} from '../wiring/graph';

export type Action =
  | 'lift'
  | 'land'
  | 'link'
  | 'unlink'
  | 'cap'
  | 'splice'
  | 'mount'
  | 'pull'
  | 'power-off'
  | 'check'
  | 'power-on';

export interface Move {
  readonly id: string;
  readonly end: EndSide;
  /** Where one stands: `wall`, `outlet`, or the name of the machine. */
  readonly place: string;
  readonly action: Action;
  /** Id of the conductor, link, cable, device or supply. */
  readonly what: string;
  readonly from: string;
  readonly to: string;
  /** The move in words. */
  readonly text: string;
  /** What it does to the graph; null for power, which changes no wiring. */
  readonly change: Change | null;
}

/** What a move does, whatever its number: the same act of a plan made anew has the same key. */
export function moveKey(move: Pick<Move, 'action' | 'end' | 'what' | 'from' | 'to'>): string {
  return [move.action, move.end, move.what, move.from, move.to].join(' ');
}

type Draft = Omit<Move, 'id'>;

const LOOSE: Landing = { state: 'loose' };

/** A supply that the wiring does not show, such as the outdoor unit's own: its id and its name. */
export interface OtherSupply {
  readonly id: string;
  readonly name: string;
}

export function movesBetween(before: Wiring, after: Wiring, others: readonly OtherSupply[] = []): Move[] {
  const changes = difference(before, after);
  if (changes.length === 0) return [];
  const both = merged(before, after);
  const draft = new MoveWriter(both);
  const stays = (id: string) =>
    before.strands.some((one) => one.id === id) && after.strands.some((one) => one.id === id);
  const ends = changes.filter((one): one is EndChange => one.kind === 'end');
  const at = (side: EndSide) => ends.filter((one) => one.side === side && draft.isAt(one, side));
  const leaving = ends.filter((one) => !after.strands.some((strand) => strand.id === one.strand));
  const coming = ends.filter((one) => !before.strands.some((strand) => strand.id === one.strand));
  const kept = (side: EndSide) => at(side).filter((one) => stays(one.strand));
  const links = (kind: 'link-on' | 'link-off', place: EndSide) =>
    changes.filter((one): one is LinkChange => one.kind === kind && one.link.place === place);
  const devices = (kind: 'device-on' | 'device-off') =>
    changes.filter((one): one is DeviceChange => one.kind === kind);
  const cables = (kind: 'cable-in' | 'cable-out') =>
    changes.filter((one): one is CableChange => one.kind === kind);
  const outlet = coming.filter((one) => one.side === 'equipment' && !draft.isAt(one, 'equipment'));

  const drafts: Draft[] = [
    ...others.map((one) => draft.otherSupply(one, 'power-off')),
    ...draft.powerOff(before),
    ...kept('equipment').flatMap((one) => draft.check(one)),
    ...links('link-off', 'equipment').map((one) => draft.link(one)),
    ...leaving.filter((one) => one.side === 'equipment').map((one) => draft.lift(one)),
    ...devices('device-on')
      .filter((one) => one.device.place === 'equipment')
      .map((one) => draft.device(one)),
    ...kept('equipment').flatMap((one) => draft.liftAndLand(one)),
    ...links('link-on', 'equipment').map((one) => draft.link(one)),
    ...links('link-off', 'wall').map((one) => draft.link(one)),
    ...[...leaving.filter((one) => one.side === 'wall'), ...kept('wall')].flatMap((one) =>
      draft.liftOnly(one)
    ),
    ...devices('device-off').map((one) => draft.device(one)),
    ...[...cables('cable-out'), ...cables('cable-in')].map((one) => draft.cable(one)),
    ...coming
      .filter((one) => one.side === 'equipment' && draft.isAt(one, 'equipment'))
      .flatMap((one) => draft.landOnly(one)),
    ...devices('device-on')
      .filter((one) => one.device.place === 'wall')
      .map((one) => draft.device(one)),
    ...links('link-on', 'wall').map((one) => draft.link(one)),
    ...kept('wall').flatMap((one) => draft.landOnly(one)),
    ...coming.filter((one) => one.side === 'wall').flatMap((one) => draft.landOnly(one)),
    ...devices('device-on')
      .filter((one) => one.device.place === 'outlet')
      .map((one) => draft.device(one)),
    ...outlet.flatMap((one) => draft.landOnly(one)),
    ...draft.powerOn(after),
    ...others.map((one) => draft.otherSupply(one, 'power-on'))
  ];
  return drafts.map((one, index) => ({ id: `move-${index + 1}`, ...one }));
}

/** The wiring that the moves lead to. */
export function applyMoves(wiring: Wiring, moves: readonly Pick<Move, 'change'>[]): Wiring {
  return moves.reduce((current, move) => (move.change ? applyChange(current, move.change) : current), wiring);
}

type EndChange = Extract<Change, { kind: 'end' }>;
type LinkChange = Extract<Change, { kind: 'link-on' | 'link-off' }>;
type DeviceChange = Extract<Change, { kind: 'device-on' | 'device-off' }>;
type CableChange = Extract<Change, { kind: 'cable-in' | 'cable-out' }>;

/** Both wirings in one, to look names up in. */
function merged(before: Wiring, after: Wiring): Wiring {
  const join = <T extends { readonly id: string }>(a: readonly T[], b: readonly T[]) => [
    ...a,
    ...b.filter((one) => !a.some((other) => other.id === one.id))
  ];
  return {
    devices: join(before.devices, after.devices),
    cables: join(before.cables, after.cables),
    strands: join(before.strands, after.strands),
    links: join(before.links, after.links)
  };
}

/** Writes single moves, with the names that both wirings know. */
class MoveWriter {
  constructor(private readonly wiring: Wiring) {}

  /** The end of a cord at an outlet is recorded as its equipment end, and is not done where the equipment stands. */
  isAt(change: EndChange, side: EndSide): boolean {
    const landing = change.to.state === 'landed' ? change.to : change.from;
    if (side === 'wall' || landing.state !== 'landed') return true;
    return deviceOf(this.wiring, landing.terminal)?.place !== 'outlet';
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
      text: on ? made : `Take out the link between ${a} and ${b}.`,
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
      text: on
        ? mountText(device)
        : `Take the plate of the ${device.name} off; hold the cable so that it cannot slip back.`,
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
    : `Power on: ${device.name}. Door closed on its switch, then the service switch, then the breaker.`;
}
