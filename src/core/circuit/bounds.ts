/**
 * How far a voltage or a current can go when every value may be anywhere in its range.
 *
 * As a function of one admittance alone, a voltage in a linear circuit is a fraction of two straight lines, so the farthest it goes is with
 * every value at one of its ends. Which end, one more solution tells: with a unit current drawn where the voltage is read (the adjoint
 * circuit; the matrix is symmetric, so its elimination serves again), the derivative by each admittance is the product of the two voltages
 * across it. All values go to the ends that this tells, the circuit is settled anew, and so on until nothing gets worse. Coils turn their
 * current, so they have an end of their own for that. What electronics draw follows their volts: as a resistance, or as constant power, whichever is worse.
 *
 * A bound is one of the state of the coils in which its corner settles: a coil that pulls in or lets go elsewhere among the values is a fault of
 * its own, and shows as a load that stops, or runs uncalled, in one of the corners. Electronics in series with a coil have two answers to one set
 * of values, lit and collapsed: there the most current, a few tenths of an ampere, is none.
 *
 * With diodes a voltage is no such fraction: those circuits stand in the fixed corners of `spread.ts`, which are no bounds.
 */
import type { Coil, Resistor, Source } from '../devices/elements';
import { NOMINAL_VOLTS, transformerOhms } from '../trade/loads';
import {
  across,
  conducts,
  setAdmittance,
  setImpedance,
  solveCircuit,
  through,
  type Circuit
} from './circuit';
import { solveComplex, solveReal } from './factor';
import { DRAWS_AT_LEAST_VOLTS, EMF_RANGE, inrushRange, RANGES } from './spread';

/** What is to go as far as it can. `pulling`: read while every coil of the call has its armature open still. */
export interface Aim {
  /** Place of the element in the netlist. */
  readonly at: number;
  readonly read: 'volts' | 'amps';
  readonly far: 'least' | 'most';
  readonly pulling: boolean;
}

/** For each element, which ends it stands at. */
const MORE_ADMITTANCE = 1;
const MORE_EMF = 2;
const MORE_IN_PHASE = 4;
const MORE_INRUSH = 8;

const MOST_ROUNDS = 12;
/** A round that gains less than this, volts or amps, is the last. */
const LEAST_GAIN = 1e-5;

/** By element: its ends, and the volts across electronics as last solved, which say what constant power makes of them. */
interface Ends {
  readonly ends: Uint8Array;
  readonly fedVolts: Float64Array;
}

/** State and scratch of one search, kept with its circuit. */
interface Search extends Ends {
  readonly last: Uint8Array;
  readonly lastVolts: Float64Array;
  /** The farthest so far, where it was, and whether the circuit stands solved there. */
  reached: number;
  stands: boolean;
  readonly best: Uint8Array;
  readonly bestVolts: Float64Array;
  readonly coils: CoilEnds;
  readonly vRe: Float64Array;
  readonly vIm: Float64Array;
}

const searches = new WeakMap<Circuit, Search>();

function searchOf(circuit: Circuit): Search {
  let search = searches.get(circuit);
  if (!search) {
    const size = circuit.netlist.elements.length;
    const nodes = circuit.structure.nodes.length;
    search = {
      ends: new Uint8Array(size),
      last: new Uint8Array(size),
      lastVolts: new Float64Array(size),
      reached: NaN,
      stands: false,
      best: new Uint8Array(size),
      fedVolts: new Float64Array(size),
      bestVolts: new Float64Array(size),
      coils: coilEnds(circuit),
      vRe: new Float64Array(nodes),
      vIm: new Float64Array(nodes)
    };
    searches.set(circuit, search);
  }
  return search;
}

/**
 * Puts every value at the end that takes `aim` farthest, and leaves the circuit settled there. `settleAgain` settles the call with the values
 * that stand; it gives the number of solves, and so does this. The circuit must have no diodes.
 */
export function goFar(circuit: Circuit, aim: Aim, settleAgain: () => number): number {
  const search = searchOf(circuit);
  let solves = 0;
  search.reached = NaN;
  startFrom(search, circuit, aim, aim.far === 'least' || aim.read === 'amps');
  solves += climb(circuit, search, aim, settleAgain);
  // A current is greatest where all of it is in step, or where the drop on its way is out of step with it: both are tried.
  if (aim.read === 'amps' && circuit.coils.some((at) => across(circuit, at) > NO_VOLTS)) {
    startFrom(search, circuit, aim, false);
    solves += climb(circuit, search, aim, settleAgain);
  }
  if (search.stands) return solves;
  putEnds(circuit, search, { ends: search.best, fedVolts: search.bestVolts }, aim);
  return solves + settleAgain();
}

/** A coil with less across it draws nothing that could be turned, volts. */
const NO_VOLTS = 0.1;

/** From where the ends stand, until nothing gets worse any more. What is farthest of all ends up in `best`. */
function climb(circuit: Circuit, search: Search, aim: Aim, settleAgain: () => number): number {
  let solves = 0;
  let here = NaN;
  let turns = true;
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    solves += solveEnds(circuit, search, aim, settleAgain);
    const value = aim.read === 'volts' ? across(circuit, aim.at) : through(circuit, aim.at);
    if (isFarther(aim, value, here)) {
      here = value;
      keep(search, aim, value, isFarther(aim, value, search.reached));
    } else {
      search.stands = false;
      if (!turns) break;
      // To turn the current of coils is a large step that the derivative may have wrong: on from the last ends without.
      turns = false;
      search.ends.set(search.last);
      search.fedVolts.set(search.lastVolts);
      solves += solveEnds(circuit, search, aim, settleAgain);
    }
    chooseEnds(circuit, search, aim, turns);
    if (isSettled(search)) break;
  }
  return solves;
}

/** Settles at the present ends, or, for what is read while coils pull in, solves with all armatures open. Returns the number of solves. */
function solveEnds(circuit: Circuit, search: Search, aim: Aim, settleAgain: () => number): number {
  putEnds(circuit, search, search, aim);
  const solves = settleAgain();
  if (!aim.pulling) return solves;
  circuit.times.set(circuit.ratio);
  solveCircuit(circuit);
  return solves + 1;
}

function isFarther({ far }: Aim, value: number, than: number): boolean {
  return !((far === 'least' ? than - value : value - than) <= LEAST_GAIN);
}

function keep(search: Search, { pulling }: Aim, value: number, isBest: boolean): void {
  search.last.set(search.ends);
  search.lastVolts.set(search.fedVolts);
  search.stands = isBest && !pulling;
  if (!isBest) return;
  search.reached = value;
  search.best.set(search.ends);
  search.bestVolts.set(search.fedVolts);
}

/** Nothing is to move from where the circuit stands, and what electronics draw has followed their volts. */
function isSettled({ ends, last, fedVolts, lastVolts }: Search): boolean {
  for (let at = 0; at < ends.length; at += 1)
    if (ends[at] !== last[at] || Math.abs(fedVolts[at]! - lastVolts[at]!) > SETTLED_VOLTS) return false;
  return true;
}

/** Electronics whose volts move by less draw the same. */
const SETTLED_VOLTS = 0.02;

/** As the corners have it: least volts with little given and much drawn, most amps with much of both. */
function startFrom({ ends, fedVolts }: Search, circuit: Circuit, { far, read }: Aim, inPhase: boolean): void {
  const given = far === 'most';
  const drawn = far === 'least' || read === 'amps';
  circuit.netlist.elements.forEach((element, at) => {
    const isLoad = element.kind === 'coil' || (element.kind === 'resistor' && element.of === 'electronics');
    ends[at] =
      ((isLoad ? drawn : given) ? MORE_ADMITTANCE : 0) |
      (given ? MORE_EMF : 0) |
      (inPhase ? MORE_IN_PHASE : 0) |
      (drawn ? MORE_INRUSH : 0);
    fedVolts[at] = NOMINAL_VOLTS;
  });
}

function putEnds(circuit: Circuit, { coils }: Search, { ends, fedVolts }: Ends, aim: Aim): void {
  const { elements } = circuit.netlist;
  for (let at = 0; at < elements.length; at += 1) {
    const element = elements[at]!;
    const end = ends[at]!;
    if (element.kind === 'source') {
      circuit.emf[at] = emfAt(element, (end & MORE_EMF) > 0 ? 1 : 0);
      setImpedance(circuit, at, sourceOhms(element, (end & MORE_ADMITTANCE) > 0, aim), 0);
    } else if (element.kind === 'coil') {
      const row = coilRow(at, end);
      setAdmittance(circuit, at, coils.re[row]!, coils.im[row]!);
      circuit.ratio[at] = inrushRange(element)[(end & MORE_INRUSH) > 0 ? 1 : 0];
    } else if (element.kind === 'resistor')
      setAdmittance(circuit, at, 1 / ohmsOf(element, (end & MORE_ADMITTANCE) > 0, fedVolts[at]!), 0);
  }
}

function emfAt(source: Source, end: 0 | 1): number {
  return source.volts * EMF_RANGE[end];
}

function sourceOhms(source: Source, more: boolean, { far }: Aim): number {
  const unread = far === 'least' && source.leastVa < source.ratedVa;
  const ohms = unread ? transformerOhms(source.leastVa) : source.ohms;
  return Math.max(ohms * RANGES.transformerOhms[more ? 0 : 1], 1e-7);
}

/** Admittance of each coil at its four ends, siemens, by `coilRow`: asked for at every element of every round. */
interface CoilEnds {
  readonly re: Float64Array;
  readonly im: Float64Array;
}

/** Row of a coil with the two bits of its ends that bear on its admittance. */
function coilRow(at: number, end: number): number {
  return 4 * at + (end & MORE_ADMITTANCE) + ((end & MORE_IN_PHASE) > 0 ? 2 : 0);
}

function coilEnds(circuit: Circuit): CoilEnds {
  const { elements } = circuit.netlist;
  const ends = { re: new Float64Array(4 * elements.length), im: new Float64Array(4 * elements.length) };
  for (const at of circuit.coils)
    for (const end of [0, MORE_ADMITTANCE, MORE_IN_PHASE, MORE_ADMITTANCE | MORE_IN_PHASE]) {
      const { ohms, reactance } = coilImpedance(elements[at] as Coil, end);
      const square = ohms * ohms + reactance * reactance;
      ends.re[coilRow(at, end)] = ohms / square;
      ends.im[coilRow(at, end)] = -reactance / square;
    }
  return ends;
}

function coilImpedance(coil: Coil, end: number): { ohms: number; reactance: number } {
  const nominal = Math.hypot(coil.ohms, coil.reactance);
  const size = nominal * RANGES.coilSize[(end & MORE_ADMITTANCE) > 0 ? 0 : 1];
  const change = RANGES.powerFactor[(end & MORE_IN_PHASE) > 0 ? 1 : 0];
  const share = Math.min(1, Math.max(0.2, coil.ohms / nominal + change));
  return { ohms: size * share, reactance: size * Math.sqrt(1 - share * share) };
}

/** Ohms of a resistance at the end at which it conducts more, or less. `volts`: across it, as last solved; only electronics ask. */
function ohmsOf(resistor: Resistor, more: boolean, volts: number): number {
  if (resistor.of === 'joint') return RANGES.jointOhms[more ? 0 : 1];
  if (resistor.of === 'conductor')
    return resistor.ohms * RANGES.copper[more ? 0 : 1] + 2 * RANGES.jointOhms[more ? 0 : 1];
  // A resistance at its nominal volts, or the same power at the volts that there are: whichever is farther on this side.
  const power = (NOMINAL_VOLTS / Math.max(volts, DRAWS_AT_LEAST_VOLTS)) ** 2;
  const factor = more
    ? RANGES.electronics[1] * Math.max(1, power)
    : RANGES.electronics[0] * Math.min(1, power);
  return resistor.ohms / factor;
}

/** Moves each value to the end that the derivative points at. The circuit stands solved at the present ends. */
function chooseEnds(circuit: Circuit, search: Search, aim: Aim, turns: boolean): void {
  const { structure, numbers, netlist } = circuit;
  const { elements } = netlist;
  const { vRe, vIm, ends, fedVolts } = search;
  vRe.set(numbers.xRe);
  vIm.set(numbers.xIm);
  const [p, q] = [structure.a[aim.at]!, structure.b[aim.at]!];
  const seen =
    aim.read === 'volts' ? [vRe[p]! - vRe[q]!, vIm[p]! - vIm[q]!] : ampsAt(circuit, search, aim.at);
  const [sRe = 0, sIm = 0] = seen;
  drawUnit(circuit, p, q);
  const probe: Probe = { circuit, search, aim, turns, sRe, sIm };
  for (let at = 0; at < elements.length; at += 1) {
    const element = elements[at]!;
    if (element.kind === 'resistor') {
      if (element.of === 'electronics') fedVolts[at] = voltsOver(probe, at);
      if (conducts(circuit, at)) ends[at] = resistorEnds(probe, at, element);
    } else if (element.kind === 'source') {
      if (conducts(circuit, at)) ends[at] = sourceEnds(probe, at, element);
    } else if (element.kind === 'coil' && conducts(circuit, at)) ends[at] = endsOfCoil(probe, at);
  }
  numbers.xRe.set(vRe);
  numbers.xIm.set(vIm);
}

function voltsOver({ circuit: { structure }, search: { vRe, vIm } }: Probe, at: number): number {
  const [a, b] = [structure.a[at]!, structure.b[at]!];
  const [re, im] = [vRe[a]! - vRe[b]!, vIm[a]! - vIm[b]!];
  return Math.sqrt(re * re + im * im);
}

/** A bit at the side that the reading is to go; one that makes no difference stays where it is. */
function set(bit: number, gain: number, now: number): number {
  return gain === 0 ? now : gain > 0 ? now | bit : now & ~bit;
}

function resistorEnds(probe: Probe, at: number, resistor: Resistor): number {
  const { ends, fedVolts } = probe.search;
  const volts = fedVolts[at]!;
  const more = 1 / ohmsOf(resistor, true, volts) - 1 / ohmsOf(resistor, false, volts);
  return set(MORE_ADMITTANCE, towards(probe, at, more, 0, 0), ends[at]!);
}

function sourceEnds(probe: Probe, at: number, source: Source): number {
  const more = 1 / sourceOhms(source, true, probe.aim) - 1 / sourceOhms(source, false, probe.aim);
  const chosen = set(MORE_ADMITTANCE, towards(probe, at, more, 0, 0), probe.search.ends[at]!);
  return set(MORE_EMF, towards(probe, at, 0, 0, emfAt(source, 1) - emfAt(source, 0)), chosen);
}

function endsOfCoil(probe: Probe, at: number): number {
  const { circuit, search, aim, turns } = probe;
  const { re, im } = search.coils;
  const end = search.ends[at]!;
  const towardsBit = (bit: number, now: number) => {
    const [more, less] = [coilRow(at, end | bit), coilRow(at, end & ~bit)];
    return set(bit, towards(probe, at, re[more]! - re[less]!, im[more]! - im[less]!, 0), now);
  };
  let next = towardsBit(MORE_ADMITTANCE, end);
  if (turns) next = towardsBit(MORE_IN_PHASE, next);
  if (circuit.times[at] === 1 && !aim.pulling) return next;
  const whole = coilRow(at, end);
  return set(MORE_INRUSH, towards(probe, at, re[whole]!, im[whole]!, 0), next);
}

/** Solves the same matrix with one ampere in at `p` and out at `q`: the answer is left in the circuit's numbers. */
function drawUnit(circuit: Circuit, p: number, q: number): void {
  const { numbers, structure, model } = circuit;
  numbers.xRe.fill(0);
  numbers.xIm.fill(0);
  numbers.xRe[p]! += 1;
  numbers.xRe[q]! -= 1;
  if (model === 'complex') solveComplex(structure, numbers);
  else solveReal(structure, numbers);
}

/** Current out of a source as last solved, in phase and out of phase. */
function ampsAt(circuit: Circuit, { vRe, vIm }: Search, at: number): [number, number] {
  const { structure, emf, turn, gRe } = circuit;
  const [a, b] = [structure.a[at]!, structure.b[at]!];
  return [(emf[at]! * turn[at]! - (vRe[a]! - vRe[b]!)) * gRe[at]!, -(vIm[a]! - vIm[b]!) * gRe[at]!];
}

interface Probe {
  readonly circuit: Circuit;
  readonly search: Search;
  readonly aim: Aim;
  /** Whether coils may turn their current. */
  readonly turns: boolean;
  /** What is read, as last solved. */
  readonly sRe: number;
  readonly sIm: number;
}

/**
 * The change of the reading's size to the side that it is to go, to first order, when an element's admittance and EMF change by so much; only
 * its sign is used.
 */
function towards(probe: Probe, at: number, holdRe: number, holdIm: number, emfMore: number): number {
  const { circuit, search, aim, sRe, sIm } = probe;
  const { structure, numbers, emf, turn, gRe, times } = circuit;
  const { vRe, vIm } = search;
  const [a, b] = [structure.a[at]!, structure.b[at]!];
  const [yRe, yIm] = [holdRe * times[at]!, holdIm * times[at]!];
  const drive = emf[at]! * turn[at]!;
  // What drives current through it: its own EMF less the voltage across it.
  const eRe = drive - (vRe[a]! - vRe[b]!);
  const eIm = -(vIm[a]! - vIm[b]!);
  const inRe = yRe * eRe - yIm * eIm + gRe[at]! * emfMore * turn[at]!;
  const inIm = yRe * eIm + yIm * eRe;
  const lRe = numbers.xRe[a]! - numbers.xRe[b]!;
  const lIm = numbers.xIm[a]! - numbers.xIm[b]!;
  let dRe = inRe * lRe - inIm * lIm;
  let dIm = inRe * lIm + inIm * lRe;
  if (aim.read === 'amps') {
    // Of a source: its own change, less what the voltage across it takes away.
    const g = gRe[aim.at]!;
    dRe = (aim.at === at ? inRe : 0) - g * dRe;
    dIm = (aim.at === at ? inIm : 0) - g * dIm;
  }
  const change = sRe * dRe + sIm * dIm;
  return aim.far === 'most' ? change : -change;
}
