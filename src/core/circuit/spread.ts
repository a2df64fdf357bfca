/**
 * A house is never what its sheets say: mains sag, coils and transformers differ, joints age. The ranges of all that, values drawn from
 * them, and the corners in which every value stands at the end that is worst for one question.
 *
 * In a house of one supply, whatever draws more, and whatever carries it worse, lowers the voltage of every part that is fed between hot and
 * common; so `weak` is the least voltage there and `strong` the most, and in `loaded` the transformer gives the most. Only electronics that
 * live on the trickle through an idle coil are outside of that. Corners are solved with resistances: a coil as one of its size is the
 * pessimistic case for low voltage, and one that draws no more than the part of its current that is in phase is so for high voltage.
 */
import type { Coil, Resistor, Source } from '../devices/elements';
import type { CornerId } from '../devices/world';
import { transformerOhms } from '../trade/loads';
import type { Chance } from '../trade/random';
import { setImpedance, setValues, type Circuit } from './circuit';

/** Ends of what a value may be, as factors of the nominal value where nothing else is said. Mains: 10 %; the rest by usual sheets. */
export const RANGES = {
  mains: [0.9, 1.1],
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
  jointOhms: [0.002, 0.1]
} as const;

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
    transformerOhms: HIGH,
    coilSize: LOW,
    powerFactor: HIGH,
    electronics: HIGH,
    copper: HIGH,
    jointOhms: HIGH
  },
  strong: {
    mains: HIGH,
    transformerOhms: LOW,
    coilSize: HIGH,
    powerFactor: LOW,
    electronics: LOW,
    copper: LOW,
    jointOhms: LOW
  },
  loaded: {
    mains: HIGH,
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
  circuit.emf[at] = source.volts * mains;
  setImpedance(circuit, at, Math.max(ohms * spread.value('transformerOhms'), 1e-7), 0);
}

function spreadCoil(circuit: Circuit, at: number, coil: Coil, spread: Spread): void {
  const nominal = Math.hypot(coil.ohms, coil.reactance);
  const size = nominal * spread.value('coilSize');
  const share = Math.min(1, Math.max(0.2, coil.ohms / nominal + spread.value('powerFactor')));
  if (spread.inPhaseOnly) setImpedance(circuit, at, size / share, 0);
  else setImpedance(circuit, at, size * share, size * Math.sqrt(1 - share * share));
}

function resistance(resistor: Resistor, spread: Spread): number {
  if (resistor.of === 'electronics') return resistor.ohms / spread.value('electronics');
  if (resistor.of === 'joint') return spread.value('jointOhms');
  return resistor.ohms * spread.value('copper') + spread.value('jointOhms') + spread.value('jointOhms');
}
