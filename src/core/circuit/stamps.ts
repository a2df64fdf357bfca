/**
 * Modified nodal analysis: each element adds its share to the equations. Unknowns are the node voltages (0 V nodes left out, index -1)
 * followed by one current per source.
 */
import type { Coil, Contact, Element, Fuse, Resistor, Source } from '../devices/elements';
import { CONTACT_OHMS } from '../trade/loads';

export interface System {
  readonly a: Float64Array;
  readonly b: Float64Array;
  readonly n: number;
}

/** What the elements that switch are doing at this moment. */
export interface SwitchState {
  readonly energised: ReadonlySet<string>;
  readonly openFuses: ReadonlySet<string>;
}

export type StampKind<E extends Element> = (
  system: System,
  element: E,
  a: number,
  b: number,
  branch: number,
  state: SwitchState
) => void;

function conductance(system: System, a: number, b: number, siemens: number): void {
  const { n } = system;
  if (a >= 0) system.a[a * n + a]! += siemens;
  if (b >= 0) system.a[b * n + b]! += siemens;
  if (a >= 0 && b >= 0) {
    system.a[a * n + b]! -= siemens;
    system.a[b * n + a]! -= siemens;
  }
}

export const stampResistor: StampKind<Resistor | Coil> = (system, element, a, b) =>
  conductance(system, a, b, 1 / element.ohms);

export const stampContact: StampKind<Contact> = (system, element, a, b, _branch, state) => {
  if (isClosed(element, state)) conductance(system, a, b, 1 / CONTACT_OHMS);
};

export const stampFuse: StampKind<Fuse> = (system, element, a, b, _branch, state) => {
  if (!state.openFuses.has(element.id)) conductance(system, a, b, 1 / CONTACT_OHMS);
};

/** Va - Vb + ohms·I = ± volts, with I the current from b through the source to a. */
export const stampSource: StampKind<Source> = (system, element, a, b, branch) => {
  const { n } = system;
  if (a >= 0) {
    system.a[a * n + branch]! -= 1;
    system.a[branch * n + a]! += 1;
  }
  if (b >= 0) {
    system.a[b * n + branch]! += 1;
    system.a[branch * n + b]! -= 1;
  }
  system.a[branch * n + branch]! += element.ohms;
  system.b[branch] = element.volts * element.polarity;
};

export function isClosed(contact: Contact, state: SwitchState): boolean {
  return state.energised.has(contact.coil) === (contact.closedWhen === 'energised');
}

type Stamps = { readonly [K in Element['kind']]: StampKind<Extract<Element, { kind: K }>> };

export const STAMPS: Stamps = {
  resistor: stampResistor,
  coil: stampResistor,
  contact: stampContact,
  fuse: stampFuse,
  source: stampSource
};
