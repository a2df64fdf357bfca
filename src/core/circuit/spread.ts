/**
 * A house is never what its sheets say: mains sag, coils and transformers differ, joints age. The ranges of all that, values drawn from
 * them, and fixed corners in which every value stands at the end that is worst as a rule for one question. `bounds.ts` goes on from there to
 * the end that is worst in this circuit; where it cannot (diodes), the fixed corners stand, and are no bounds. They are solved with
 * resistances: a coil as one of its size for low voltage, and as no more than the part of its current that is in phase for high voltage.
 */
import type { Coil, Resistor, Source } from '../devices/elements';
import type { CornerId } from '../devices/world';
import { transformerOhms } from '../trade/loads';
import type { Chance } from '../trade/random';
import { setImpedance, setValues, type Circuit } from './circuit';

/** Ends of what a value may be, as factors of the nominal value where nothing else is said. Mains: 10 %; the rest by usual sheets. */
export const RANGES = {
  mains: [0.9, 1.1],
  /** What a transformer gives without load: 27 to 28 V where 27.5 is usual. */
  openCircuit: [27 / 27.5, 28 / 27.5],
  transformerOhms: [0.85, 1.15],
  /** Impedance of a coil: the less, the more it draws. */
  coilSize: [0.8, 1.2],
  /** Added to the power factor of a coil. */
  powerFactor: [-0.1, 0.1],
  /** What electronics draw. */
  electronics: [0.7, 1.3],
  /** Length as paced, and copper up to 60 °C. */
  copper: [0.9, 1.16],
  /** Ohms of one joint, from a good screw to a corroded one. */
  jointOhms: [0.002, 0.1],
  /** Where between its two ends a coil's inrush is: 0 to 1. */
  inrush: [0, 1]
} as const;

/** The least and the most EMF of a transformer, as factors of its usual one: mains and no-load volts together. */
export const EMF_RANGE = [
  RANGES.mains[0] * RANGES.openCircuit[0],
  RANGES.mains[1] * RANGES.openCircuit[1]
] as const;

/** Below this, switching electronics no longer draw constant power: they have given up. Half of the nominal voltage, an estimate. */
export const DRAWS_AT_LEAST_VOLTS = 12;

export function inrushRange({ inrushRange: range }: Pick<Coil, 'inrushRange'>): readonly [number, number] {
  return range;
}

export type Quantity = keyof typeof RANGES;

/** The value of a quantity, asked anew for every part that has it. */
export interface Spread {
  readonly value: (quantity: Quantity) => number;
  /** A transformer whose plate nobody has read is taken as small as they are made. */
  readonly smallest: boolean;
  /** Coils draw the part of their current that is in phase, and nothing else. */
  readonly inPhaseOnly: boolean;
}

/** Evenly over each range; ohms of joints evenly over their logarithm. */
export function drawnFrom(chance: Chance): Spread {
  const between = (low: number, high: number) => low + (high - low) * chance.next();
  return {
    value: (quantity) => {
      const [low, high] = RANGES[quantity];
      if (quantity === 'jointOhms') return Math.exp(between(Math.log(low), Math.log(high)));
      return between(low, high);
    },
    smallest: false,
    inPhaseOnly: false
  };
}

const LOW = 0;
const HIGH = 1;
type Ends = Readonly<Record<Quantity, typeof LOW | typeof HIGH>>;

/** Which end of each range a corner takes. */
const ENDS: Readonly<Record<CornerId, Ends>> = {
  weak: {
    mains: LOW,
    openCircuit: LOW,
    inrush: HIGH,
    transformerOhms: HIGH,
    coilSize: LOW,
    powerFactor: HIGH,
    electronics: HIGH,
    copper: HIGH,
    jointOhms: HIGH
  },
  strong: {
    mains: HIGH,
    openCircuit: HIGH,
    inrush: LOW,
    transformerOhms: LOW,
    coilSize: HIGH,
    powerFactor: LOW,
    electronics: LOW,
    copper: LOW,
    jointOhms: LOW
  },
  loaded: {
    mains: HIGH,
    openCircuit: HIGH,
    inrush: HIGH,
    transformerOhms: LOW,
    coilSize: LOW,
    powerFactor: HIGH,
    electronics: HIGH,
    copper: LOW,
    jointOhms: LOW
  }
};

function cornerOf(corner: CornerId): Spread {
  const ends = ENDS[corner];
  return {
    value: (quantity) => RANGES[quantity][ends[quantity]],
    smallest: corner === 'weak',
    inPhaseOnly: corner === 'strong'
  };
}

const CORNERS: Readonly<Record<CornerId, Spread>> = {
  weak: cornerOf('weak'),
  strong: cornerOf('strong'),
  loaded: cornerOf('loaded')
};

/** Puts the values of a corner in, or the nominal ones; nothing is done where they stand already. */
export function putCorner(circuit: Circuit, corner: CornerId | null): void {
  if (circuit.kept.corner === corner) return;
  circuit.model = circuit.ownModel;
  if (corner === null) circuit.netlist.elements.forEach((element, at) => setValues(circuit, at, element));
  else spreadValues(circuit, CORNERS[corner]);
  circuit.kept.corner = corner;
}

/** Gives every source, coil and resistance a value of its own. Whether it is there, and what conducts, stays as it is. */
export function spreadValues(circuit: Circuit, spread: Spread): void {
  const mains = spread.value('mains');
  const { elements } = circuit.netlist;
  for (let at = 0; at < elements.length; at += 1) {
    const element = elements[at]!;
    if (element.kind === 'source') spreadSource(circuit, at, element, mains, spread);
    else if (element.kind === 'coil') spreadCoil(circuit, at, element, spread);
    else if (element.kind === 'resistor') setImpedance(circuit, at, resistance(element, spread), 0);
  }
}

function spreadSource(circuit: Circuit, at: number, source: Source, mains: number, spread: Spread): void {
  const unread = spread.smallest && source.leastVa < source.ratedVa;
  const ohms = unread ? transformerOhms(source.leastVa) : source.ohms;
  circuit.emf[at] = source.volts * mains * spread.value('openCircuit');
  setImpedance(circuit, at, Math.max(ohms * spread.value('transformerOhms'), 1e-7), 0);
}

function spreadCoil(circuit: Circuit, at: number, coil: Coil, spread: Spread): void {
  const nominal = Math.hypot(coil.ohms, coil.reactance);
  const size = nominal * spread.value('coilSize');
  const [least, most] = inrushRange(coil);
  circuit.ratio[at] = least + (most - least) * spread.value('inrush');
  const share = Math.min(1, Math.max(0.2, coil.ohms / nominal + spread.value('powerFactor')));
  if (spread.inPhaseOnly) setImpedance(circuit, at, size / share, 0);
  else setImpedance(circuit, at, size * share, size * Math.sqrt(1 - share * share));
}

function resistance(resistor: Resistor, spread: Spread): number {
  if (resistor.of === 'electronics') return resistor.ohms / spread.value('electronics');
  if (resistor.of === 'joint') return spread.value('jointOhms');
  return resistor.ohms * spread.value('copper') + spread.value('jointOhms') + spread.value('jointOhms');
}
