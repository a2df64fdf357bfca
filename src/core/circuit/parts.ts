/** Parts of circuits as tests write them. */
import type { Coil, Contact, Diode, Element, Fuse, Resistor, Sense, Source } from '../devices/elements';
import { PLAIN_CASE, type SupplyCase } from '../devices/world';
import { DIODE, SENSE } from '../trade/loads';
import type { Call } from '../trade/calls';
import { circuitOf, isCircuit, type ImpedanceModel } from './circuit';
import { meterOf } from './meter';
import type { Netlist } from './netlist';
import { coilVolts, relaysOf, settle } from './settle';

export function netlist(elements: Element[], grounds: string[] = []): Netlist {
  return { elements, grounds, loads: [], fed: [] };
}

export function source(id: string, a: string, b: string, volts = 24, ohms = 0): Source {
  return { kind: 'source', id, a, b, volts, nominalVolts: 24, ohms, ratedVa: 40, leastVa: 40, name: id };
}

export function resistor(id: string, a: string, b: string, ohms: number, reactance = 0): Resistor {
  return { kind: 'resistor', of: 'conductor', id, a, b, ohms, reactance };
}

export function coil(id: string, a: string, b: string, ohms = 100, reactance = 0): Coil {
  return { kind: 'coil', id, a, b, ohms, reactance, pullIn: 18, dropOut: 10, inrush: 1, inrushRange: [1, 1] };
}

export function contact(
  id: string,
  a: string,
  b: string,
  by: string,
  closedWhen: Contact['closedWhen']
): Contact {
  return { kind: 'contact', id, a, b, coil: by, closedWhen };
}

export function fuse(id: string, a: string, b: string, amps = 3): Fuse {
  return { kind: 'fuse', id, a, b, amps, seen: true };
}

export function diode(id: string, a: string, b: string): Diode {
  return { kind: 'diode', id, a, b, ...DIODE };
}

export function sense(id: string, a: string, b: string): Sense {
  return { kind: 'sense', id, a, b, ...SENSE };
}

export interface Solved {
  readonly volts: (a: string, b: string) => number | null;
  readonly amps: (element: string) => number;
  readonly energised: readonly string[];
  readonly chattering: readonly string[];
  readonly openFuses: readonly string[];
  /** What an opened fuse saw, amps. */
  readonly fuseAmps: (id: string) => number;
  readonly coilVolts: (id: string) => number;
}

/** Settles a netlist and reads everything off it. Throws where it has no answer. */
export function solved(
  parts: Netlist,
  model: ImpedanceModel = 'resistive',
  call: Call = 'idle',
  supplyCase: SupplyCase = PLAIN_CASE
): Solved {
  const circuit = circuitOf(parts, model);
  if (!isCircuit(circuit)) throw new Error(circuit.why);
  const relays = relaysOf(circuit);
  settle(relays, call, supplyCase);
  const meter = meterOf(relays);
  const coils = Array.from(relays.coils, (at) => parts.elements[at]?.id ?? '');
  const fuses = Array.from(circuit.fuses, (at) => parts.elements[at]?.id ?? '');
  const volts = coils.map((_, number) => coilVolts(relays, number));
  const { energised, chattering, openFuses, fuseAmps } = relays;
  return {
    volts: meter.volts,
    amps: meter.amps,
    energised: coils.filter((_, number) => energised[number] === 1),
    chattering: coils.filter((_, number) => chattering[number] === 1),
    openFuses: fuses.filter((_, number) => openFuses[number] === 1),
    fuseAmps: (id) => fuseAmps[fuses.indexOf(id)] ?? 0,
    coilVolts: (id) => volts[coils.indexOf(id)] ?? 0
  };
}
