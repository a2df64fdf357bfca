/**
 * A netlist made ready for many solves. What is kept between them: the structure (for good), the elimination of the lasting elements (as
 * long as their values stand), and the arrays. A solve then stamps the elements that switch, eliminates the rest and substitutes.
 *
 * The arrays belong to the circuit, so two solves of one circuit cannot be read side by side; results are copied out as plain data.
 */
import type { Element, Fuse } from '../devices/elements';
import { asksOf, type Call } from '../trade/calls';
import { REQUESTS, type Request } from '../trade/vocabulary';
import { CONTACT_OHMS } from '../trade/loads';
import type { CornerId, SupplyCase } from '../devices/world';
import { factorComplex, factorReal, numbersFor, solveComplex, solveReal, type Numbers } from './factor';
import type { Netlist } from './netlist';
import { failureOf, type Failure } from './soundness';
import { structureOf, switches, type Structure } from './structure';

/** `resistive`: each coil as a resistance of the same size, the pessimistic case for voltage. `complex`: with its reactance. */
export type ImpedanceModel = 'resistive' | 'complex';

export interface Circuit {
  readonly netlist: Netlist;
  readonly structure: Structure;
  /** How it is solved now, how where nothing asks for a corner, and how it was asked for. */
  model: ImpedanceModel;
  readonly ownModel: ImpedanceModel;
  readonly asked: ImpedanceModel;
  /** Diodes or half-wave relays are there: solved at instants of both half waves (`half-waves.ts`). */
  readonly halfWaves: boolean;
  /** Admittance of each element while it conducts, siemens. */
  readonly gRe: Float64Array;
  readonly gIm: Float64Array;
  /** How many times its admittance an element has in the state to solve: a released coil has its ratio, all else 1. */
  readonly times: Float64Array;
  /** Of each coil: how many times its holding current it draws while its armature is open; 1 for everything else. */
  readonly ratio: Float64Array;
  /** EMF of sources and drop of diodes, volts, by element. */
  readonly emf: Float64Array;
  /** 1 where an element conducts; the caller's to set for those that switch. */
  readonly on: Uint8Array;
  /** 0 where an element is taken out altogether, whatever its state: a fault, or a part that only a fault brings in. */
  readonly present: Uint8Array;
  /** +1, or -1 for a source that is turned round. */
  readonly turn: Float64Array;
  readonly numbers: Numbers;
  readonly kept: Kept;
  /** Places in the netlist of the elements that last, of those that switch, of sources, coils, fuses, contacts, sensing relays and diodes. */
  readonly lasting: Int32Array;
  readonly switching: Int32Array;
  readonly sources: Int32Array;
  readonly coils: Int32Array;
  readonly senses: Int32Array;
  readonly fuses: Int32Array;
  readonly diodes: Int32Array;
  /** For each contact of a control: the requests that close it, a bit each. */
  readonly requestBits: Int32Array;
  /** The place of each element, by its id. */
  readonly placeOf: ReadonlyMap<string, number>;
}

/** The elimination of the lasting elements, kept until a value changes. */
interface Kept {
  fresh: boolean;
  /** The corner of the tolerances that the values stand in; null for nominal ones, `searched` for what a search has left. */
  corner: CornerId | 'searched' | null;
  readonly re: Float64Array;
  readonly im: Float64Array;
  readonly scale: Float64Array;
}

/** What stands for no impedance at all, ohm. */
const IDEAL_OHMS = 1e-7;

export function circuitOf(netlist: Netlist, model: ImpedanceModel = 'resistive'): Circuit | Failure {
  const failure = failureOf(netlist);
  if (failure) return failure;
  const { elements } = netlist;
  const structure = structureOf(elements, netlist.grounds);
  const numbersOfAll = Array.from(elements.keys());
  const places = (wanted: (element: Element) => boolean) =>
    Int32Array.from(numbersOfAll.filter((at) => wanted(elements[at]!)));
  const size = elements.length;
  const diodes = places((element) => element.kind === 'diode');
  const senses = places((element) => element.kind === 'sense');
  const halfWaves = diodes.length + senses.length > 0;
  const n = structure.nodes.length;
  const circuit: Circuit = {
    netlist,
    structure,
    model: halfWaves ? 'resistive' : model,
    ownModel: halfWaves ? 'resistive' : model,
    asked: model,
    halfWaves,
    gRe: new Float64Array(size),
    gIm: new Float64Array(size),
    times: new Float64Array(size).fill(1),
    ratio: new Float64Array(size).fill(1),
    emf: new Float64Array(size),
    on: new Uint8Array(size),
    present: new Uint8Array(size).fill(1),
    turn: new Float64Array(size).fill(1),
    numbers: numbersFor(structure),
    kept: {
      fresh: false,
      corner: null,
      re: new Float64Array(structure.slots),
      im: new Float64Array(structure.slots),
      scale: new Float64Array(n)
    },
    lasting: places((element) => !switches(element)),
    switching: places(switches),
    sources: places((element) => element.kind === 'source'),
    coils: places((element) => element.kind === 'coil'),
    senses,
    fuses: places((element) => element.kind === 'fuse'),
    diodes,
    requestBits: Int32Array.from(elements, (element) =>
      element.kind === 'call-contact'
        ? element.requests.reduce((bits, request) => bits | bitOf(request), 0)
        : 0
    ),
    placeOf: new Map(elements.map((element, at) => [element.id, at]))
  };
  elements.forEach((element, at) => setElement(circuit, at, element));
  return circuit;
}

export function isCircuit(made: Circuit | Failure): made is Circuit {
  return !('ok' in made);
}

/** Puts an element's values in: its own, or those of a copy that a draw or a fault has changed. */
export function setElement(circuit: Circuit, at: number, element: Element): void {
  setValues(circuit, at, element);
  circuit.on[at] = switches(element) && element.kind !== 'coil' ? 0 : 1;
}

/** As `setElement`, without touching what conducts. */
export function setValues(circuit: Circuit, at: number, element: Element): void {
  let [ohms, reactance] = [CONTACT_OHMS, 0];
  if (element.kind === 'resistor' || element.kind === 'coil') {
    ohms = element.ohms;
    reactance = element.reactance ?? 0;
  } else if ('ohms' in element) ohms = Math.max(element.ohms, IDEAL_OHMS);
  setImpedance(circuit, at, ohms, reactance);
  if (element.kind === 'coil') circuit.ratio[at] = element.inrush;
  if (element.kind === 'source') circuit.emf[at] = element.volts;
  if (element.kind === 'diode') circuit.emf[at] = element.drop;
}

/** Ohms at mains frequency; counts from the next solve on. */
export function setImpedance(circuit: Circuit, at: number, ohms: number, reactance: number): void {
  const square = ohms * ohms + reactance * reactance;
  if (circuit.model === 'resistive') {
    circuit.gRe[at] = 1 / Math.sqrt(square);
    circuit.gIm[at] = 0;
  } else {
    circuit.gRe[at] = ohms / square;
    circuit.gIm[at] = -reactance / square;
  }
  circuit.kept.fresh = false;
}

/** Siemens at mains frequency, for a circuit that is solved complex; counts from the next solve on. */
export function setAdmittance(circuit: Circuit, at: number, re: number, im: number): void {
  circuit.gRe[at] = re;
  circuit.gIm[at] = im;
  circuit.kept.fresh = false;
}

function bitOf(request: Request): number {
  return 1 << REQUESTS.indexOf(request);
}

/** Sets what a call and a case of supplies close: contacts of thermostats, ties through earth, sources turned round. */
export function setCall(circuit: Circuit, call: Call, supplyCase: SupplyCase): void {
  const { elements } = circuit.netlist;
  const { switching, sources, on, turn, requestBits } = circuit;
  const asks = asksOf(call);
  for (let i = 0; i < switching.length; i += 1) {
    const at = switching[i]!;
    const element = elements[at]!;
    if (element.kind === 'call-contact') {
      const opens = element.asked === 'opens';
      on[at] = opens ? 1 : 0;
      for (let ask = 0; ask < asks.length; ask += 1) {
        const { control, request } = asks[ask]!;
        if (control !== null && control !== element.control) continue;
        if ((requestBits[at]! & bitOf(request)) !== 0) on[at] = opens ? 0 : 1;
      }
    }
    if (element.kind === 'earth') on[at] = supplyCase.bonded ? 1 : 0;
  }
  for (let i = 0; i < sources.length; i += 1)
    turn[sources[i]!] = i > 0 && i < 32 && (supplyCase.turned >> (i - 1)) & 1 ? -1 : 1;
}

/**
 * Solves for the state in `on`, with every source at `share` of its EMF. Node voltages end up in `numbers.xRe` and `xIm`.
 */
export function solveCircuit(circuit: Circuit, share = 1): void {
  const { structure, numbers, kept, model } = circuit;
  const complex = model === 'complex';
  const n = structure.nodes.length;
  const first = structure.firstSwitched;
  if (!kept.fresh) keepLasting(circuit);
  numbers.re.set(kept.re);
  if (complex) numbers.im.set(kept.im);
  numbers.scale.set(kept.scale);
  stampSwitching(circuit);
  stampSources(circuit, share);
  if (complex) {
    factorComplex(structure, numbers, first, n);
    solveComplex(structure, numbers);
  } else {
    factorReal(structure, numbers, first, n);
    solveReal(structure, numbers);
  }
}

function keepLasting(circuit: Circuit): void {
  const { structure, numbers, kept, model, lasting } = circuit;
  numbers.re.fill(0);
  numbers.im.fill(0);
  numbers.scale.fill(0);
  for (let i = 0; i < lasting.length; i += 1) if (conducts(circuit, lasting[i]!)) stamp(circuit, lasting[i]!);
  const first = structure.firstSwitched;
  if (model === 'complex') factorComplex(structure, numbers, 0, first);
  else factorReal(structure, numbers, 0, first);
  kept.re.set(numbers.re);
  kept.im.set(numbers.im);
  kept.scale.set(numbers.scale);
  kept.fresh = true;
}

function stampSwitching(circuit: Circuit): void {
  const { switching } = circuit;
  for (let i = 0; i < switching.length; i += 1) {
    const at = switching[i]!;
    if (conducts(circuit, at)) stamp(circuit, at);
  }
}

function stamp(circuit: Circuit, at: number): void {
  const { structure, numbers, gRe, gIm, times } = circuit;
  const slot = structure.coupling[at]!;
  if (slot < 0) return;
  const a = structure.a[at]!;
  const b = structure.b[at]!;
  const re = gRe[at]! * times[at]!;
  const im = gIm[at]! * times[at]!;
  const da = structure.diagonal[a]!;
  const db = structure.diagonal[b]!;
  numbers.re[da]! += re;
  numbers.re[db]! += re;
  numbers.re[slot]! -= re;
  numbers.scale[a]! += re;
  numbers.scale[b]! += re;
  if (im === 0) return;
  numbers.im[da]! += im;
  numbers.im[db]! += im;
  numbers.im[slot]! -= im;
  numbers.scale[a]! += Math.abs(im);
  numbers.scale[b]! += Math.abs(im);
}

/** Currents of the sources behind their impedances, and of the drops of conducting diodes. */
function stampSources(circuit: Circuit, share: number): void {
  const { structure, numbers, sources, diodes, gRe, emf, turn } = circuit;
  numbers.xRe.fill(0);
  numbers.xIm.fill(0);
  for (let i = 0; i < sources.length; i += 1) {
    const at = sources[i]!;
    if (conducts(circuit, at)) inject(structure, numbers, at, emf[at]! * turn[at]! * share * gRe[at]!);
  }
  for (let i = 0; i < diodes.length; i += 1) {
    const at = diodes[i]!;
    if (conducts(circuit, at)) inject(structure, numbers, at, emf[at]! * gRe[at]!);
  }
}

function inject(structure: Structure, numbers: Numbers, at: number, amps: number): void {
  numbers.xRe[structure.a[at]!]! += amps;
  numbers.xRe[structure.b[at]!]! -= amps;
}

/** Takes an element out, or puts it back; counts from the next solve on. */
export function setPresent(circuit: Circuit, at: number, present: boolean): void {
  circuit.present[at] = present ? 1 : 0;
  circuit.kept.fresh = false;
}

export function conducts({ on, present }: Circuit, at: number): boolean {
  return on[at] === 1 && present[at] === 1;
}

/** Voltage across an element in the state last solved, RMS (or at the instant solved). */
export function across(circuit: Circuit, at: number): number {
  const { structure, numbers } = circuit;
  const a = structure.a[at]!;
  const b = structure.b[at]!;
  const re = numbers.xRe[a]! - numbers.xRe[b]!;
  if (circuit.model === 'resistive') return Math.abs(re);
  const im = numbers.xIm[a]! - numbers.xIm[b]!;
  return Math.sqrt(re * re + im * im);
}

/** Amps through an element in the state last solved; of a source, what it gives. */
export function through(circuit: Circuit, at: number): number {
  const { structure, numbers, gRe, gIm, emf, turn, times } = circuit;
  if (!conducts(circuit, at)) return 0;
  const a = structure.a[at]!;
  const b = structure.b[at]!;
  const source = circuit.netlist.elements[at]?.kind === 'source';
  const re = numbers.xRe[a]! - numbers.xRe[b]! - (source ? emf[at]! * turn[at]! : 0);
  const im = circuit.model === 'resistive' ? 0 : numbers.xIm[a]! - numbers.xIm[b]!;
  const size = times[at]! * Math.sqrt(gRe[at]! * gRe[at]! + gIm[at]! * gIm[at]!);
  return Math.sqrt(re * re + im * im) * size;
}

export function fuseAt(circuit: Circuit, at: number): Fuse {
  return circuit.netlist.elements[at] as Fuse;
}
