/** The words of single moves: what the hands do, where they do it, and the change of the graph that it makes. */
import type { EndSide } from '../trade/vocabulary';
import type { Change } from '../wiring/difference';
import {
  deviceAtEnd,
  deviceOf,
  isSupply,
  landedTerminal,
  markAt,
  placeOf,
  placeOfEnd,
  printedMark,
  type Device,
  type Landing,
  type Strand,
  type Wiring
} from '../wiring/graph';
import { USUAL_TRANSFORMER_VA } from '../trade/loads';
import { isHot } from '../trade/terminals';
import { ownLink } from '../wiring/own-link';
import type { Action } from '../job/log-schema';
import { checkText, isSmallPart, mountText, offText, onText, removalText } from './move-words';
import type { Draft, OtherSupply, Spot } from './move-types';

export const LOOSE: Landing = { state: 'loose' };

export type EndChange = Extract<Change, { kind: 'end' }>;
export type LinkChange = Extract<Change, { kind: 'link-on' | 'link-off' }>;
export type DeviceChange = Extract<Change, { kind: 'device-on' | 'device-off' }>;
export type CableChange = Extract<Change, { kind: 'cable-in' | 'cable-out' }>;

export type TransformerChange = Extract<Change, { kind: 'transformer' }>;

/** Writes single moves, with the names that both wirings know. */
export class MoveWriter {
  /** `start`: where the work begins, for what a wire was before; the same wiring where nothing is known of it. */
  constructor(
    private readonly wiring: Wiring,
    private readonly start: Wiring = wiring
  ) {}

  /** Where one stands to work at a place. */
  spotAt(place: string | null): Spot {
    switch (place === null ? undefined : placeOf(this.wiring, place)?.kind) {
      case 'wall':
        return 'wall';
      case 'outlet':
        return 'outlet';
      default:
        return 'equipment';
    }
  }

  /** Where one stands to move an end: where it goes to, else where it comes from, else where its cable goes. */
  spotOfEnd({ strand, side, from, to }: EndChange): Spot {
    const device = deviceAtEnd(this.wiring, to) ?? deviceAtEnd(this.wiring, from);
    const place = device?.at ?? placeOfEnd(this.wiring, this.strand(strand), side);
    return place === null ? (side === 'near' ? 'wall' : 'equipment') : this.spotAt(place);
  }

  /** True when the end is on that device before it is moved. */
  isOn(change: EndChange, { device }: DeviceChange): boolean {
    return deviceAtEnd(this.wiring, change.from)?.id === device.id;
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
      text: `Label the ${name} wire “${mark}”, loosen ${mark} and take it off.${this.leave(change.from)}`,
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
          ? `Unwind the ${name} wire, strip 6 to 10 mm, and land it`
          : `Land the ${name} wire`;
      return [
        {
          ...this.spot(change, change.to),
          action: 'land',
          text: `${first} on ${mark}; tug it.${this.relabel(change)}${this.leave(change.to)}`,
          ...rest
        }
      ];
    }
    const text = `Wrap the ${name} wire back round the sheath, its end capped.`;
    return [{ ...this.spot(change, change.from), action: 'cap', text, ...rest }];
  }

  /** Everything that a change asks of the hands. */
  draftsOf(change: Change): Draft[] {
    switch (change.kind) {
      case 'end':
        return this.liftAndLand(change);
      case 'link-on':
      case 'link-off':
        return [this.link(change)];
      case 'device-on':
      case 'device-off':
        return [this.device(change)];
      case 'transformer':
        return [this.transformer(change)];
      case 'cable-in':
      case 'cable-out':
        return [this.cable(change)];
    }
  }

  /** An act that changes no wiring, in words. */
  words({ action, what }: Pick<Draft, 'action' | 'what'>): string {
    const device = this.wiring.devices.find((candidate) => candidate.id === what);
    const name = device?.name ?? this.wiring.strands.find((strand) => strand.id === what)?.name ?? what;
    if (device && action === 'power-off') return offText(device, this.spotAt(device.at));
    if (device && action === 'power-on') return onText(device, this.spotAt(device.at));
    return (
      {
        'power-off': `Power off: ${name}.`,
        'power-on': `Power on: ${name}.`,
        check: `The ${name} wire was proven.`
      }[action as 'check'] ?? `${action}: ${name}.`
    );
  }

  /** A wire whose job changes has a new label, and one that had none gets one. */
  private relabel({ strand, side, from, to }: EndChange): string {
    if (to.state !== 'landed') return '';
    const is = markAt(this.wiring, to.terminal);
    const first = this.start.strands.find((candidate) => candidate.id === strand)?.[side] ?? from;
    const was = markAt(this.wiring, landedTerminal(first));
    if (is === null || is === was || (was !== null && isHot(was) && isHot(is))) return '';
    const mark = printedMark(this.wiring, to.terminal);
    return was === null ? ` Label it “${mark}”.` : ` Relabel it “${mark}”.`;
  }

  /** What else is under the screw and is not the thermostat's: at a machine there may always be something. */
  private leave(landing: Landing): string {
    if (landing.state !== 'landed') return '';
    const { terminal } = landing;
    const device = deviceOf(this.wiring, terminal);
    if (device?.kind !== 'board') return '';
    const others = device.others.filter((other) => other.terminal === terminal);
    const names = others.map((other) => other.what || 'other').join(', ');
    return others.length === 0
      ? ' Leave whatever else is under that screw.'
      : ` Under the same screw, leave the ${names} wire${others.length > 1 ? 's' : ''} as found.`;
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
        text: checkText(this.start, strand),
        change: null
      }
    ];
  }

  link(change: LinkChange): Draft {
    const { link } = change;
    const [a, b] = [printedMark(this.wiring, link.a), printedMark(this.wiring, link.b)];
    const on = change.kind === 'link-on';
    const [first, second] = [deviceOf(this.wiring, link.a), deviceOf(this.wiring, link.b)];
    const apart = first !== undefined && second !== undefined && first.id !== second.id;
    const made =
      link.kind === 'clip'
        ? `See that the clip joins ${a} and ${b}.`
        : apart
          ? `Join ${a} of the ${first.name} to ${b} of the ${second.name} with a short piece of 18 AWG; tug both ends.`
          : `Join ${a} to ${b} with a short piece of wire (a jumper).`;
    return {
      ...this.standing(link.at),
      action: on ? 'link' : 'unlink',
      what: link.id,
      from: on ? '' : `${link.a}–${link.b}`,
      to: on ? `${link.a}–${link.b}` : '',
      text: on
        ? made
        : apart
          ? `Remove the piece of wire between ${a} of the ${first.name} and ${b} of the ${second.name}.`
          : `Remove the jumper between ${a} and ${b}.`,
      change
    };
  }

  /** What becomes of the link that a thermostat comes with, before its head goes on: out, cut, left in, or set inside. */
  linksInBox(after: Wiring, out: readonly LinkChange[]): Draft[] {
    return after.devices.flatMap((device) => this.linkInBox(device, out));
  }

  private linkInBox(device: Device, out: readonly LinkChange[]): Draft[] {
    if (device.kind !== 'new-thermostat') return [];
    const own = ownLink(device);
    const { rails } = device.facts;
    if (own === null)
      return rails === 'joined-inside'
        ? [
            this.said(
              device,
              'RH and RC are joined inside it: in its set-up, say that there is one transformer.'
            )
          ]
        : [];
    const [a, b] = [printedMark(this.wiring, own.a), printedMark(this.wiring, own.b)];
    const leaving = out.find((change) => change.link.id === own.id);
    const stays = this.wiring.links.some((link) => link.id === own.id);
    if (!leaving && !stays) return [];
    if (!leaving)
      return [
        {
          ...this.said(device, `See that the clip joins ${a} and ${b}.`),
          what: own.id,
          to: `${own.a}–${own.b}`
        }
      ];
    const text =
      rails === 'link-to-be-cut'
        ? `Cut the piece that joins ${a} and ${b} of the ${device.name}, before its head goes on: two supplies must not meet there. It cannot be put back.`
        : `Take the jumper between ${a} and ${b} out of the ${device.name}, before its head goes on: two supplies must not meet there.`;
    return [{ ...this.link(leaving), text }];
  }

  /** Something to see to on a device that changes no wiring. */
  private said(device: Device, text: string): Draft {
    const place = this.standing(device.at);
    return { ...place, action: 'link', what: device.id, from: '', to: '', text, change: null };
  }

  transformer(change: TransformerChange): Draft {
    const machine = this.wiring.devices.find((device) => device.id === change.device)?.name ?? change.device;
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
      ...this.standing(device.at),
      action: 'mount',
      what: device.id,
      from: on ? '' : device.name,
      to: on ? device.name : '',
      text: on ? mountText(device, this.standing(device.at).place) : removalText(device),
      change
    };
  }

  cable(change: CableChange): Draft {
    const out = change.kind === 'cable-out';
    const cord = this.spotAt(change.cable.far) === 'outlet';
    const single = change.strands.length === 1;
    return {
      end: 'wall',
      place: cord ? 'outlet' : 'wall',
      action: 'pull',
      what: change.cable.id,
      from: out ? change.cable.name : '',
      to: out ? '' : change.cable.name,
      text:
        out && cord
          ? `Take the ${change.cable.name} off the wall, from the plate to the outlet.`
          : out
            ? `Tie the new cable and a pull line to ${change.cable.name}, and pull it out as the leader.`
            : cord
              ? 'Lay the cord in a raceway on the face of the wall, from the outlet to the plate.'
              : single
                ? `Hook a pull string to the old path at the wall, tape the ${change.cable.name} to it so that nothing can catch, and draw it through to the machine. Leave a string in the path.`
                : `Bring the ${change.cable.name} out at both ends, leave the pull line in the path, strip the sheath.`,
      change
    };
  }

  powerOff(before: Wiring): Draft[] {
    return this.suppliesOf(before).map((device) =>
      this.power(device, 'power-off', offText(device, this.spotAt(device.at)))
    );
  }

  powerOn(after: Wiring): Draft[] {
    return this.suppliesOf(after).map((device) =>
      this.power(device, 'power-on', onText(device, this.spotAt(device.at)))
    );
  }

  otherSupply(supply: OtherSupply, action: 'power-off' | 'power-on'): Draft {
    const off = action === 'power-off';
    return {
      end: 'equipment',
      place: supply.name,
      action,
      what: supply.id,
      from: off ? 'on' : 'off',
      to: off ? 'off' : 'on',
      text: off
        ? `Power off: ${supply.name}, at its own breaker or disconnect. It has a supply of its own.`
        : `Power on: ${supply.name}.`,
      change: null
    };
  }

  private power(device: Device, action: Action, text: string): Draft {
    const off = action === 'power-off';
    return {
      ...this.standing(device.at),
      action,
      what: device.id,
      from: off ? 'on' : 'off',
      to: off ? 'off' : 'on',
      text,
      change: null
    };
  }

  private suppliesOf(wiring: Wiring): Device[] {
    return wiring.devices.filter(isSupply);
  }

  private strand(id: string): Strand {
    const found = this.wiring.strands.find((strand) => strand.id === id);
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
    return device && isSmallPart(device) && this.spotAt(device.at) !== 'outlet'
      ? `${mark} of the ${device.name}`
      : mark;
  }

  /** Which end that is for the reader, and where one stands, in a word: the wall, the outlet, or the machine by its name. */
  standing(place: string | null): { end: EndSide; place: string } {
    const spot = this.spotAt(place);
    if (spot !== 'equipment') return { end: 'wall', place: spot };
    const name = place === null ? undefined : placeOf(this.wiring, place)?.name;
    return { end: 'equipment', place: name ?? 'equipment' };
  }

  private spot(change: EndChange, landing: Landing): { end: EndSide; place: string } {
    const terminal = landedTerminal(landing);
    const device = terminal === null ? undefined : deviceOf(this.wiring, terminal);
    if (device) return this.standing(device.at);
    const spot = this.spotOfEnd(change);
    return spot === 'equipment' ? { end: 'equipment', place: 'equipment' } : { end: 'wall', place: spot };
  }
}
