/**
 * Circuits with diodes. The two half waves differ, so each is solved by itself: at its peak and at half of that, four states in all. At each
 * instant the diodes are found by iteration (on where current would flow forward, least number first when they keep changing). Between
 * the two instants of a half wave a voltage is taken as a straight line over the EMF, cut off where it would cross zero, and integrated
 * over the wave; that gives the RMS voltage which a coil answers to.
 *
 * A smoothed sensing relay charges near the peak. It is loaded twice (with its own resistance, and with an eighth of it) to find the
 * circuit that stands behind it, and then a short time-step run of that one loop (source, diode, capacitor beside coil) gives the voltage
 * that it settles at, ripple included.
 */
import type { Diode, Sense } from '../devices/elements';
import { DIODE, MAINS_HERTZ } from '../trade/loads';
import { setImpedance, solveCircuit, type Circuit } from './circuit';

const PEAK = Math.SQRT2;
/** EMF of each state, as a share of its RMS value. */
const INSTANTS = [PEAK, PEAK / 2, -PEAK, -PEAK / 2] as const;
/** The instants at both peaks. */
const PEAKS = [0, 2] as const;
/** Diodes that still change after this many rounds are settled one at a time. */
const TOGETHER = 8;
const MOST_ROUNDS = 200;
/** Volts of slack round the knee of a diode, so that one at zero current does not flip for ever. */
const SLACK = 1e-6;
/** The time-step run of a smoothed relay ends with the cycle that brings it back to where it began, volts, or with the last of these. */
const BACK_VOLTS = 1e-3;
const CHARGING_CYCLES = 12;
const STEPS_PER_CYCLE = 256;
const SINE = Float64Array.from({ length: STEPS_PER_CYCLE }, (_, step) =>
  Math.sin((2 * Math.PI * step) / STEPS_PER_CYCLE)
);

export interface HalfWaves {
  /** Node voltages at the four instants. */
  readonly nodes: readonly Float64Array[];
  /** What conducts at each of them, by element. */
  readonly on: readonly Uint8Array[];
  /** Smoothed voltage of each sensing relay, DC, in the order of `circuit.senses`. */
  readonly sensed: Float64Array;
  /**
   * Of each sensing relay, what its charging pulses add over a wave to what a resistance of its size would draw: to the mean square of the
   * current (A²), and to its mean product with the sine of the supply (A).
   */
  readonly pulseSquare: Float64Array;
  readonly pulseSine: Float64Array;
}

export function halfWavesFor(circuit: Circuit): HalfWaves {
  return {
    nodes: INSTANTS.map(() => new Float64Array(circuit.structure.nodes.length)),
    on: INSTANTS.map(() => new Uint8Array(circuit.on.length)),
    sensed: new Float64Array(circuit.senses.length),
    pulseSquare: new Float64Array(circuit.senses.length),
    pulseSine: new Float64Array(circuit.senses.length)
  };
}

/** Solves all four instants for the state in `circuit.on` (diodes and sensing relays are set here). */
export function solveHalfWaves(circuit: Circuit, into: HalfWaves): void {
  loadSenses(circuit, 1);
  INSTANTS.forEach((share, instant) => {
    // What conducts at the peak of a half wave as a rule conducts in the middle of it as well.
    if (PEAKS.some((peak) => peak === instant)) blockAll(circuit);
    solveInstant(circuit, share);
    into.nodes[instant]!.set(circuit.numbers.xRe);
    into.on[instant]!.set(circuit.on);
  });
  if (circuit.senses.length > 0) smooth(circuit, into);
}

/** Sensing relays as their resistance over `divisor`, through a diode of their own. */
function loadSenses(circuit: Circuit, divisor: number): void {
  const { senses, netlist } = circuit;
  for (let i = 0; i < senses.length; i += 1) {
    const at = senses[i]!;
    setImpedance(circuit, at, (netlist.elements[at] as Sense).ohms / divisor, 0);
  }
}

function blockAll({ diodes, senses, on }: Circuit): void {
  for (let i = 0; i < diodes.length; i += 1) on[diodes[i]!] = 0;
  for (let i = 0; i < senses.length; i += 1) on[senses[i]!] = 0;
}

/** Finds the diodes that conduct, from those that are taken to. */
function solveInstant(circuit: Circuit, share: number): void {
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    solveCircuit(circuit, share);
    if (!answerDiodes(circuit, round >= TOGETHER)) return;
  }
}

/** Turns diodes (and the diodes of sensing relays) on or off by what was solved; true when one changed. */
function answerDiodes(circuit: Circuit, oneByOne: boolean): boolean {
  const { diodes, senses, structure, numbers, netlist, on } = circuit;
  let changed = false;
  for (let i = 0; i < diodes.length + senses.length; i += 1) {
    const at = i < diodes.length ? diodes[i]! : senses[i - diodes.length]!;
    const forward = numbers.xRe[structure.a[at]!]! - numbers.xRe[structure.b[at]!]!;
    const knee = i < diodes.length ? (netlist.elements[at] as Diode).drop : 0;
    const next = forward > knee + (on[at] === 1 ? -SLACK : SLACK) ? 1 : 0;
    if (next === on[at]) continue;
    on[at] = next;
    changed = true;
    if (oneByOne) return true;
  }
  return changed;
}

/** Fills `into.sensed`. */
function smooth(circuit: Circuit, into: HalfWaves): void {
  const { senses, structure, netlist } = circuit;
  const light = Array.from(senses, (at) => peakOver(circuit, into, at));
  loadSenses(circuit, 8);
  const heavy = new Float64Array(senses.length);
  for (const peak of PEAKS) {
    // The diodes that conduct with the light load as a rule conduct with the heavy one.
    circuit.on.set(into.on[peak]!);
    solveInstant(circuit, INSTANTS[peak]);
    for (let i = 0; i < senses.length; i += 1) {
      const at = senses[i]!;
      const volts = circuit.numbers.xRe[structure.a[at]!]! - circuit.numbers.xRe[structure.b[at]!]!;
      heavy[i] = Math.max(heavy[i]!, volts);
    }
  }
  loadSenses(circuit, 1);
  for (let i = 0; i < senses.length; i += 1) {
    const pulses = charged(light[i]!, heavy[i]!, netlist.elements[senses[i]!] as Sense);
    into.sensed[i] = pulses.volts;
    into.pulseSquare[i] = pulses.square;
    into.pulseSine[i] = pulses.sine;
  }
}

/** The highest forward voltage at the two peaks, volts. */
function peakOver({ structure }: Circuit, { nodes }: HalfWaves, at: number): number {
  const over = (instant: number) => nodes[instant]![structure.a[at]!]! - nodes[instant]![structure.b[at]!]!;
  return Math.max(0, ...PEAKS.map(over));
}

interface Charged {
  /** Mean voltage, DC. */
  readonly volts: number;
  /** As `pulseSquare` and `pulseSine`. */
  readonly square: number;
  readonly sine: number;
}

const UNCHARGED: Charged = { volts: 0, square: 0, sine: 0 };

/** A smoothed relay once it is charged, from the peaks with its own load and with an eighth of its resistance. */
function charged(light: number, heavy: number, { ohms, farads }: Sense): Charged {
  if (light <= DIODE.drop || heavy <= 0) return UNCHARGED;
  const lightAmps = light / ohms;
  const heavyAmps = (8 * heavy) / ohms;
  const behind = Math.max(0.01, (light - heavy) / Math.max(heavyAmps - lightAmps, 1e-9)) + DIODE.ohms;
  const open = light + behind * lightAmps;
  // Backward Euler from above, so that it only has to fall into place.
  const rise = 1 / (MAINS_HERTZ * STEPS_PER_CYCLE) / farads;
  const feeding = 1 / (1 + rise * (1 / behind + 1 / ohms));
  const resting = 1 / (1 + rise / ohms);
  let volts = open - DIODE.drop;
  let [sum, square, sine] = [0, 0, 0];
  for (let cycle = 0; cycle < CHARGING_CYCLES; cycle += 1) {
    const began = volts;
    [sum, square, sine] = [0, 0, 0];
    for (let step = 0; step < STEPS_PER_CYCLE; step += 1) {
      const share = SINE[step]!;
      const input = open * share - DIODE.drop;
      const feeds = input > volts;
      volts = feeds ? (volts + (rise / behind) * input) * feeding : volts * resting;
      const amps = feeds ? Math.max(0, (input - volts) / behind) : 0;
      const resistive = lightAmps * Math.max(0, share);
      sum += volts;
      square += amps * amps - resistive * resistive;
      sine += (amps - resistive) * share;
    }
    if (Math.abs(volts - began) < BACK_VOLTS) break;
  }
  return {
    volts: sum / STEPS_PER_CYCLE,
    square: square / STEPS_PER_CYCLE,
    sine: sine / STEPS_PER_CYCLE
  };
}

/**
 * The RMS current of a supply with the pulses of the sensing relays that it charges: `amps` as the four instants have it, where each draws
 * what a resistance of its size would. Everything else is taken to be in step with the supply. `senses`: their numbers.
 */
export function withPulses(
  { pulseSquare, pulseSine }: Pick<HalfWaves, 'pulseSquare' | 'pulseSine'>,
  amps: number,
  senses: readonly number[]
): number {
  let [square, sine] = [0, 0];
  for (const number of senses) {
    square += pulseSquare[number]!;
    sine += pulseSine[number]!;
  }
  return Math.sqrt(Math.max(0, amps * amps + square + 2 * Math.SQRT2 * amps * sine));
}

/** RMS over a whole wave of the voltage between two nodes, from the four instants. */
export function rmsBetween({ nodes }: Pick<HalfWaves, 'nodes'>, a: number, b: number): number {
  const over = (instant: number) => nodes[instant]![a]! - nodes[instant]![b]!;
  return Math.sqrt((halfSquare(over(0), over(1)) + halfSquare(over(2), over(3))) / 2);
}

/** Mean square over a half wave of a voltage that is `atPeak` at the peak of the EMF and `atHalf` at half of it. */
function halfSquare(atPeak: number, atHalf: number): number {
  const sign = atPeak < 0 ? -1 : 1;
  const slope = 2 * (atPeak - atHalf) * sign;
  const offset = atPeak * sign - slope;
  // v = slope · s + offset over s = sin(t), 0 where that is negative.
  const from = offset >= 0 || slope <= 0 ? 0 : Math.asin(Math.min(1, -offset / slope));
  const to = Math.PI / 2;
  const square = (t: number) =>
    slope * slope * (t / 2 - Math.sin(2 * t) / 4) - 2 * slope * offset * Math.cos(t) + offset * offset * t;
  return Math.max(0, (square(to) - square(from)) / to);
}
