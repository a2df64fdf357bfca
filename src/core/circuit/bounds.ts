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
import { across, conducts, setImpedance, solveCircuit, through, type Circuit } from './circuit';
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

/** State and scratch of one search, kept with its circuit. */
interface Search {
  readonly ends: Uint8Array;
  readonly last: Uint8Array;
  readonly lastVolts: Float64Array;
  /** The farthest so far, where it was, and whether the circuit stands solved there. */
  reached: number;
  stands: boolean;
  readonly best: Uint8Array;
  /** Volts across electronics as last solved: what constant power makes of them. */
  readonly fedVolts: Float64Array;
  readonly bestVolts: Float64Array;
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
  putEnds(circuit, search.best, search.bestVolts, aim);
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
  putEnds(circuit, search.ends, search.fedVolts, aim);
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

function putEnds(circuit: Circuit, ends: Uint8Array, fedVolts: Float64Array, aim: Aim): void {
  const { elements } = circuit.netlist;
  for (let at = 0; at < elements.length; at += 1) {
    const element = elements[at]!;
    const end = ends[at]!;
    if (element.kind === 'source') {
      circuit.emf[at] = emfAt(element, (end & MORE_EMF) > 0 ? 1 : 0);
      setImpedance(circuit, at, sourceOhms(element, (end & MORE_ADMITTANCE) > 0, aim), 0);
    } else if (element.kind === 'coil') {
      const { ohms, reactance } = coilImpedance(element, end);
      setImpedance(circuit, at, ohms, reactance);
      circuit.ratio[at] = inrushRange(element)[(end & MORE_INRUSH) > 0 ? 1 : 0];
    } else if (element.kind === 'resistor')
      setImpedance(circuit, at, ohmsOf(element, (end & MORE_ADMITTANCE) > 0, fedVolts[at]!), 0);
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
  const { structure, numbers, netlist, times } = circuit;
  const { elements } = netlist;
  const { vRe, vIm, ends, fedVolts } = search;
  vRe.set(numbers.xRe);
  vIm.set(numbers.xIm);
  const [p, q] = [structure.a[aim.at]!, structure.b[aim.at]!];
  const seen =
    aim.read === 'volts' ? [vRe[p]! - vRe[q]!, vIm[p]! - vIm[q]!] : ampsAt(circuit, search, aim.at);
  const [sRe = 0, sIm = 0] = seen;
  drawUnit(circuit, p, q);
  const wanted = aim.far === 'most' ? 1 : -1;
  for (let at = 0; at < elements.length; at += 1) {
    const element = elements[at]!;
    if (element.kind !== 'source' && element.kind !== 'coil' && element.kind !== 'resistor') continue;
    if (element.kind === 'resistor' && element.of === 'electronics')
      fedVolts[at] = Math.hypot(
        vRe[structure.a[at]!]! - vRe[structure.b[at]!]!,
        vIm[structure.a[at]!]! - vIm[structure.b[at]!]!
      );
    if (!conducts(circuit, at)) continue;
    /** Which way the reading goes when the element's admittance changes by this much, and its EMF by that. */
    const goes = (yRe: number, yIm: number, emf: number) =>
      wanted * towards({ circuit, search, aim, at, sRe, sIm }, yRe * times[at]!, yIm * times[at]!, emf);
    ends[at] = endsFor(element, {
      end: ends[at]!,
      volts: fedVolts[at]!,
      aim,
      goes,
      held: times[at] === 1,
      turns
    });
  }
  numbers.xRe.set(vRe);
  numbers.xIm.set(vIm);
}

interface Choice {
  readonly end: number;
  readonly volts: number;
  readonly aim: Aim;
  readonly held: boolean;
  /** Whether coils may turn their current. */
  readonly turns: boolean;
  readonly goes: (yRe: number, yIm: number, emf: number) => number;
}

/** An element's ends, each at the side that the reading is to go; one that makes no difference stays where it is. */
function endsFor(element: Source | Coil | Resistor, { end, volts, aim, goes, held, turns }: Choice): number {
  const set = (bit: number, gain: number, now: number) =>
    gain === 0 ? now : gain > 0 ? now | bit : now & ~bit;
  if (element.kind === 'resistor') {
    const more = 1 / ohmsOf(element, true, volts) - 1 / ohmsOf(element, false, volts);
    return set(MORE_ADMITTANCE, goes(more, 0, 0), end);
  }
  if (element.kind === 'source') {
    const more = 1 / sourceOhms(element, true, aim) - 1 / sourceOhms(element, false, aim);
    const chosen = set(MORE_ADMITTANCE, goes(more, 0, 0), end);
    return set(MORE_EMF, goes(0, 0, emfAt(element, 1) - emfAt(element, 0)), chosen);
  }
  const at = (bits: number) => admittance(coilImpedance(element, bits));
  let next = end;
  for (const bit of turns ? [MORE_ADMITTANCE, MORE_IN_PHASE] : [MORE_ADMITTANCE]) {
    const [more, less] = [at(end | bit), at(end & ~bit)];
    next = set(bit, goes(more.re - less.re, more.im - less.im, 0), next);
  }
  if (held && !aim.pulling) return next;
  const whole = at(end);
  return set(MORE_INRUSH, goes(whole.re, whole.im, 0), next);
}

function admittance({ ohms, reactance }: { ohms: number; reactance: number }) {
  const square = ohms * ohms + reactance * reactance;
  return { re: ohms / square, im: -reactance / square };
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
  readonly at: number;
  /** What is read, as last solved. */
  readonly sRe: number;
  readonly sIm: number;
}

/** The change of the reading's size, to first order, when an element's admittance and EMF change by so much; only its sign is used. */
function towards(probe: Probe, yRe: number, yIm: number, emfMore: number): number {
  const { circuit, search, aim, at, sRe, sIm } = probe;
  const { structure, numbers, emf, turn, gRe } = circuit;
  const { vRe, vIm } = search;
  const [a, b] = [structure.a[at]!, structure.b[at]!];
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
  return sRe * dRe + sIm * dIm;
}
