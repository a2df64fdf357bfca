/**
 * What a device does between its terminals, as circuit elements. All voltages are RMS at mains frequency; all impedances are resistances
 * (the pessimistic case for voltage drop). Later element kinds (diode, capacitor, complex impedance) join this union and get a stamp.
 */
import type { LoadId } from '../trade/vocabulary';

interface ElementBase {
  /** Unique in the netlist; what a failure names. */
  readonly id: string;
  readonly a: string;
  readonly b: string;
}

export interface Resistor extends ElementBase {
  readonly kind: 'resistor';
  readonly ohms: number;
}

/** A transformer's secondary: `volts` EMF RMS from b to a behind `ohms`; `polarity` -1 turns it round. */
export interface Source extends ElementBase {
  readonly kind: 'source';
  readonly volts: number;
  readonly ohms: number;
  readonly ratedVa: number;
  readonly polarity: 1 | -1;
  readonly name: string;
}

/** A coil that switches at a voltage: on at `pullIn`, off again below `dropOut`. */
export interface Coil extends ElementBase {
  readonly kind: 'coil';
  readonly ohms: number;
  readonly pullIn: number;
  readonly dropOut: number;
}

/** A contact that a coil works. */
export interface Contact extends ElementBase {
  readonly kind: 'contact';
  readonly coil: string;
  readonly closedWhen: 'energised' | 'released';
}

export interface Fuse extends ElementBase {
  readonly kind: 'fuse';
  readonly amps: number;
}

export type Element = Resistor | Source | Coil | Contact | Fuse;

/** A thing of the house that runs when any of these coils is pulled in. */
export interface LoadRule {
  readonly load: LoadId;
  readonly coils: readonly string[];
}

/** The thermostat's electronics: alive when the voltage across the element is inside the window. */
export interface FedDevice {
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
