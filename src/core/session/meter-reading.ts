/**
 * A meter reads what a meter reads. It is 10 megohm and not nothing: a conductor that is on nothing at one of its ends hangs between its
 * neighbours in the cable like the tap of a divider of capacitors, and shows a phantom of several volts. Under the small load of a
 * low-impedance meter the phantom is gone.
 */
import type { Meter } from '../circuit/meter';
import { WORST_LENGTH_M } from '../trade/cable';
import { MAINS_HERTZ } from '../trade/loads';
import { landedTerminal, type Strand, type StrandEnd, type TerminalId, type Wiring } from '../wiring/graph';

/** `high`: the usual input of 10 megohm. `low`: the low-impedance mode. */
export type MeterMode = 'high' | 'low';

/** Input resistance, ohm, by usual sheets. */
export const METER_OHMS: Readonly<Record<MeterMode, number>> = { high: 10e6, low: 3e3 };

/** Between two conductors that lie side by side in a thermostat cable: 30 to 60 pF a metre by usual sheets. */
export const PICOFARAD_PER_METRE = 45;

/** Where a probe is: on a screw, or on the end of a wire that is on nothing. */
export type ProbePoint =
  | { readonly on: 'screw'; readonly terminal: TerminalId }
  | { readonly on: 'wire'; readonly strand: string; readonly end: StrandEnd };

export interface MeterReading {
  /** Volts AC; null where nothing defines any. */
  readonly volts: number | null;
  /** Picked up from neighbours, with nothing behind it. */
  readonly phantom: boolean;
}

export interface Metered {
  readonly wiring: Wiring;
  readonly meter: Meter;
}

const NOTHING: MeterReading = { volts: null, phantom: false };

export function readMeter(
  metered: Metered,
  [first, second]: readonly [ProbePoint, ProbePoint],
  mode: MeterMode
): MeterReading {
  const [a, b] = [copperAt(metered, first), copperAt(metered, second)];
  if (a.node !== null && b.node !== null) {
    const volts = metered.meter.volts(a.node, b.node);
    if (volts !== null) return { volts, phantom: false };
  }
  const [floating, fixed] = a.alive ? [b, a] : [a, b];
  if (floating.alive || !fixed.alive || fixed.node === null) return NOTHING;
  return { volts: phantomVolts(metered, floating, fixed.node, mode), phantom: true };
}

/** What a probe touches: a node of the circuit, and the wires that hang on it. */
interface Copper {
  readonly node: TerminalId | null;
  /** A supply reaches it. */
  readonly alive: boolean;
  readonly strands: readonly Strand[];
}

function copperAt({ wiring, meter }: Metered, point: ProbePoint): Copper {
  if (point.on === 'screw') return nodeCopper(wiring, meter, point.terminal);
  const strand = wiring.strands.find((candidate) => candidate.id === point.strand);
  if (!strand) return { node: null, alive: false, strands: [] };
  // Its other end, where it is on something and the wire is whole; else the wire by itself.
  const there = landedTerminal(point.end === 'near' ? strand.far : strand.near);
  if (there === null || strand.continuity === 'broken')
    return { node: null, alive: false, strands: [strand] };
  const copper = nodeCopper(wiring, meter, there);
  return { ...copper, strands: [...new Set([...copper.strands, strand])] };
}

function nodeCopper(wiring: Wiring, meter: Meter, node: TerminalId): Copper {
  const island = meter.island(node);
  const isOn = (terminal: TerminalId | null) =>
    terminal !== null && (terminal === node || (island !== undefined && meter.island(terminal) === island));
  return {
    node,
    alive: meter.alive(node),
    strands: wiring.strands.filter(({ near, far }) => isOn(landedTerminal(near)) || isOn(landedTerminal(far)))
  };
}

/** The divider of capacitors: each neighbour pulls with its own voltage against `fixed`, the meter pulls to nothing. */
function phantomVolts(
  { wiring, meter }: Metered,
  floating: Copper,
  fixed: TerminalId,
  mode: MeterMode
): number {
  let [re, im, all] = [0, 0, 0];
  for (const strand of floating.strands)
    for (const beside of wiring.strands) {
      if (beside.cable !== strand.cable || floating.strands.includes(beside)) continue;
      const volts = strandPhasor(meter, beside, fixed);
      if (volts === null) continue;
      const siemens = 2 * Math.PI * MAINS_HERTZ * faradsOf(wiring, strand);
      re += siemens * volts.re;
      im += siemens * volts.im;
      all += siemens;
    }
  return Math.hypot(re, im) / Math.hypot(1 / METER_OHMS[mode], all);
}

/** What a wire beside stands at against the other probe; null where it is on nothing itself. */
function strandPhasor(meter: Meter, { near, far }: Strand, fixed: TerminalId) {
  for (const end of [far, near]) {
    const terminal = landedTerminal(end);
    const volts = terminal === null ? null : meter.phasor(terminal, fixed);
    if (volts !== null) return volts;
  }
  return null;
}

function faradsOf(wiring: Wiring, strand: Strand): number {
  const lengthM = wiring.cables.find((cable) => cable.id === strand.cable)?.lengthM ?? WORST_LENGTH_M;
  return PICOFARAD_PER_METRE * 1e-12 * lengthM;
}

/** Wire ends that a probe can be put on: those that are on nothing. */
export function looseEnds(wiring: Wiring): { readonly strand: Strand; readonly end: StrandEnd }[] {
  return wiring.strands.flatMap((strand) =>
    (['near', 'far'] as const).flatMap((end) =>
      landedTerminal(strand[end]) === null && strand[end].state !== 'unseen' ? [{ strand, end }] : []
    )
  );
}
