/**
 * The graph that everything is read from: devices with terminals, joined by strands (conductors) and links.
 * Plain readonly data. The record, the proof, the plan and the printed sheet are all readings of it.
 */
import type { DeviceFacts } from '../job/device-facts';
import type { Equipment, MachineKind, Thermostat } from '../job/schema';
import type { ColourCode } from '../trade/colours';
import { canonicalMark } from '../trade/terminals';
import type { EndSide } from '../trade/vocabulary';

export type Place = 'wall' | 'equipment' | 'outlet';

interface DeviceBase {
  readonly id: string;
  readonly place: Place;
  readonly name: string;
  /** Marks as printed on it. */
  readonly marks: readonly string[];
  /** The machine beside which a small part sits, by its name: that is where one stands to work on it. */
  readonly beside?: string;
}

/** The thermostat that hangs there today. */
export interface OldThermostat extends DeviceBase {
  readonly kind: 'old-thermostat';
  readonly supply: Thermostat['oldSupply'];
}

export interface NewThermostat extends DeviceBase {
  readonly kind: 'new-thermostat';
  readonly facts: DeviceFacts;
}

/** The terminal strip of a machine, with its control transformer behind it. */
export interface Board extends DeviceBase {
  readonly kind: 'board';
  /** Nameplate VA; null when it was not read. */
  readonly transformerVa: number | null;
  readonly fuseAmps: number | null;
  /** The spot that two findings showed to be common, where no screw is marked C. */
  readonly tracedCommon: string | null;
  /** What the inventory says that it is. */
  readonly machine: MachineKind;
  readonly accessories: Equipment['accessories'];
  /** Conductors under its screws that are not the thermostat's, by canonical mark: they are left alone. */
  readonly others: readonly { readonly mark: string; readonly what: string }[];
}

/** A small 24 VAC supply in an outlet. */
export interface PlugInTransformer extends DeviceBase {
  readonly kind: 'plug-in-transformer';
  readonly va: number;
}

/** A second transformer fixed at a junction box near the equipment. */
export interface AddedTransformer extends DeviceBase {
  readonly kind: 'added-transformer';
  readonly va: number;
}

/** The wired half of a thermostat whose wall half is wireless. */
export interface Receiver extends DeviceBase {
  readonly kind: 'receiver';
  readonly facts: DeviceFacts;
}

/** The module that takes Y and G apart again at the equipment: R, C and K in, Y and G out. */
export interface Adapter extends DeviceBase {
  readonly kind: 'adapter';
}

/** The wall half of a signal splitter: Y and G in, K out. */
export interface Splitter extends DeviceBase {
  readonly kind: 'splitter';
}

export type Device =
  | OldThermostat
  | NewThermostat
  | Board
  | PlugInTransformer
  | AddedTransformer
  | Receiver
  | Adapter
  | Splitter;
export type DeviceKind = Device['kind'];

/** `device id` + `.` + canonical mark. */
export type TerminalId = string;

export type Landing =
  | { readonly state: 'landed'; readonly terminal: TerminalId }
  | { readonly state: 'loose' | 'coiled' | 'unseen' };

export interface Strand {
  readonly id: string;
  readonly cable: string;
  readonly name: string;
  /** Insulation at the wall end, and at the equipment end where a splice may have changed it. */
  readonly colour: ColourCode | null;
  readonly colourBeyond: ColourCode | null;
  readonly stripe: ColourCode | null;
  readonly spliced: 'no' | 'seen' | 'hidden';
  readonly continuity: 'untested' | 'proven' | 'broken';
  readonly ohms: number;
  readonly wall: Landing;
  readonly equipment: Landing;
}

export interface Cable {
  readonly id: string;
  readonly name: string;
  readonly path: 'free' | 'stapled' | 'unknown';
  readonly lengthM: number | null;
  readonly gauge: number | null;
}

export interface WireLink {
  readonly id: string;
  readonly place: EndSide;
  readonly a: TerminalId;
  readonly b: TerminalId;
  readonly kind: 'wire' | 'clip' | 'inside';
}

/** Something wrong inside a device that no conductor shows: by the id of its circuit element. */
export interface Upset {
  readonly element: string;
  /** `open`: it no longer conducts. `weak`: a transformer of half its size. */
  readonly kind: 'open' | 'weak';
}

export interface Wiring {
  readonly devices: readonly Device[];
  readonly cables: readonly Cable[];
  readonly strands: readonly Strand[];
  readonly links: readonly WireLink[];
  /** Faults inside devices; a record and a plan have none. */
  readonly upsets?: readonly Upset[];
}

export function terminalId(device: string, mark: string): TerminalId {
  return `${device}.${canonicalMark(mark)}`;
}

/** Device id and canonical mark of a terminal. */
export function splitTerminal(terminal: TerminalId): { device: string; mark: string } {
  const dot = terminal.lastIndexOf('.');
  return { device: terminal.slice(0, dot), mark: terminal.slice(dot + 1) };
}

export function deviceOf(wiring: Wiring, terminal: TerminalId): Device | undefined {
  const { device } = splitTerminal(terminal);
  return wiring.devices.find((one) => one.id === device);
}

/** True when the device has the terminal, whichever way it is printed. */
export function hasMark(device: Pick<Device, 'marks'>, mark: string): boolean {
  const wanted = canonicalMark(mark);
  return device.marks.some((printed) => canonicalMark(printed) === wanted);
}

/** The mark as printed on the device that the terminal belongs to. */
export function printedMark(wiring: Wiring, terminal: TerminalId): string {
  const { mark } = splitTerminal(terminal);
  const device = deviceOf(wiring, terminal);
  if (mark === 'C' && device?.kind === 'board' && device.tracedCommon !== null)
    return `the common that was traced (${device.tracedCommon})`;
  return device?.marks.find((printed) => canonicalMark(printed) === mark) ?? mark;
}

/** The terminal that an end is landed on, or null. */
export function landedTerminal(landing: Landing): TerminalId | null {
  return landing.state === 'landed' ? landing.terminal : null;
}

export function isFree(landing: Landing): boolean {
  return landing.state === 'loose' || landing.state === 'coiled';
}

export function boards(wiring: Wiring): Board[] {
  return wiring.devices.filter((one): one is Board => one.kind === 'board');
}

/** The thermostat on the wall, old or new. Throws when there is none: every wiring is made with one. */
export function wallThermostat(wiring: Wiring): OldThermostat | NewThermostat {
  const found = wiring.devices.find(
    (one): one is OldThermostat | NewThermostat =>
      one.kind === 'old-thermostat' || one.kind === 'new-thermostat'
  );
  if (!found) throw new Error('The wiring holds no thermostat');
  return found;
}

/** The canonical form for comparing two wirings: order in the lists carries no meaning. */
export function sortedWiring(wiring: Wiring): Wiring {
  const byId = (a: { readonly id: string }, b: { readonly id: string }) =>
    a.id < b.id ? -1 : a.id > b.id ? 1 : 0;
  return {
    devices: [...wiring.devices].sort(byId),
    cables: [...wiring.cables].sort(byId),
    strands: [...wiring.strands].sort(byId),
    links: [...wiring.links].sort(byId)
  };
}
