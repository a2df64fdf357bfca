/**
 * What a device does between its terminals, as circuit elements. Voltages are RMS at mains frequency, impedances in ohm. A netlist holds
 * every element that some call, coil, fuse or supply case may bring in; which of them conduct is the state that a solve is asked for, so
 * that one structure serves all calls.
 */
import type { PartRef } from '../findings/refs';
import type { PartName } from '../trade/parts';
import type { LoadId, Request } from '../trade/vocabulary';

/** Which part of which device an element is; conductors and links of the house are no part of any. */
export interface PartOf {
  readonly device: string;
  readonly part: PartName;
  /** The mark of the terminal that it serves, or another name that tells it from its like. */
  readonly mark?: string;
}

interface ElementBase {
  /** Unique in the netlist; what a failure names. */
  readonly id: string;
  readonly a: string;
  readonly b: string;
  readonly part?: PartOf;
}

/** An element as a finding refers to it. */
export function partRef({ id, part }: Pick<ElementBase, 'id' | 'part'>): PartRef {
  return {
    kind: 'part',
    id,
    device: part?.device ?? null,
    part: part?.part ?? null,
    mark: part?.mark ?? null
  };
}

/** `reactance` (ohm at mains frequency) where it is not nothing; what it is `of` says how far its value may be off. */
export interface Resistor extends ElementBase {
  readonly kind: 'resistor';
  readonly of: 'conductor' | 'joint' | 'electronics';
  readonly ohms: number;
  readonly reactance?: number;
}

/** A transformer's secondary: `volts` EMF RMS from b to a behind `ohms`. */
export interface Source extends ElementBase {
  readonly kind: 'source';
  readonly volts: number;
  /** What it gives at its rated load, volts: the voltage that its island is made for. */
  readonly nominalVolts: number;
  readonly ohms: number;
  readonly ratedVa: number;
  /** The least that its rating may be, where nobody has read its plate; else the same. */
  readonly leastVa: number;
  readonly name: string;
}

/** A coil that switches at a voltage: on at `pullIn`, off again below `dropOut`. `ohms` and `reactance` hold while it is pulled in. */
export interface Coil extends ElementBase {
  readonly kind: 'coil';
  readonly ohms: number;
  readonly reactance: number;
  readonly pullIn: number;
  readonly dropOut: number;
  /** How many times its holding current it draws while its armature is open, and between which two; 1 for what has no moving core. */
  readonly inrush: number;
  readonly inrushRange: readonly [least: number, most: number];
}

/**
 * A relay that senses one half wave: a diode from a into a smoothed coil (`ohms` beside `farads`), whose other side is b. It answers to the
 * smoothed voltage, DC, and only to the half in which a stands above b.
 */
export interface Sense extends ElementBase {
  readonly kind: 'sense';
  readonly ohms: number;
  readonly farads: number;
  readonly pullIn: number;
  readonly dropOut: number;
}

/** A contact that a coil or a sensing relay works. */
export interface Contact extends ElementBase {
  readonly kind: 'contact';
  readonly coil: string;
  readonly closedWhen: 'energised' | 'released';
}

/** A contact of a control that closes, or opens, while it asks for any of these. */
export interface CallContact extends ElementBase {
  readonly kind: 'call-contact';
  readonly control: string;
  readonly requests: readonly Request[];
  /** `closes` where nothing is said. */
  readonly asked?: 'closes' | 'opens';
}

/** `seen`: somebody has read it. One that nobody saw may not be there; it is solved as the usual one, and counts as none. */
export interface Fuse extends ElementBase {
  readonly kind: 'fuse';
  readonly amps: number;
  readonly seen: boolean;
}

/** Conducts from a to b, above a drop. */
export interface Diode extends ElementBase {
  readonly kind: 'diode';
  readonly drop: number;
  readonly ohms: number;
}

/** A tie between two commons through earth, there or not as the supply case says. */
export interface EarthTie extends ElementBase {
  readonly kind: 'earth';
  readonly ohms: number;
}

export type Element = Resistor | Source | Coil | Sense | Contact | CallContact | Fuse | Diode | EarthTie;

/** A thing of the house that runs when any of these coils is pulled in. */
export interface LoadRule {
  readonly load: LoadId;
  readonly coils: readonly string[];
}

/** The electronics of a thermostat: alive when the voltage across the element is inside the window. */
export interface FedDevice {
  readonly device: string;
  readonly element: string;
  readonly min: number;
  readonly max: number;
}

export interface Fragment {
  readonly elements: readonly Element[];
  readonly loads: readonly LoadRule[];
  readonly fed?: FedDevice;
  /** The node that counts as 0 V in the island of this device. */
  readonly ground?: string;
}

export const EMPTY_FRAGMENT: Fragment = { elements: [], loads: [] };
