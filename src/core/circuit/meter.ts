/** A solved state as plain data that a meter can be put on: any two terminals, any conductor. */
import { islandsOf } from './islands';
import { rmsBetween } from './half-waves';
import { elementAmps, type Relays } from './settle';

export interface Meter {
  /** Volts RMS between two nodes; null when nothing defines a voltage between them, or one is not in the circuit. */
  volts(a: string, b: string): number | null;
  /** Amps RMS through an element, by its id; 0 for one that does not conduct or is not there. */
  amps(element: string): number;
  /** Number of the island that a node belongs to, or undefined for one that nothing reaches. */
  island(node: string): number | undefined;
}

/** Copies what was solved last, so that the circuit may go on to the next state. */
export function meterOf(relays: Relays): Meter {
  const { circuit, waves } = relays;
  const { numberOf } = circuit.structure;
  const re = circuit.numbers.xRe.slice();
  const im = circuit.numbers.xIm.slice();
  const nodes = waves
    ? { nodes: waves.nodes.map((node) => node.slice()), sensed: waves.sensed.slice() }
    : null;
  const islands = islandsOf(circuit);
  const amps = new Map(circuit.netlist.elements.map((element, at) => [element.id, elementAmps(relays, at)]));
  const island = (node: string) => {
    const number = numberOf.get(node);
    return number === undefined ? undefined : islands[number];
  };
  return {
    volts: (a, b) => {
      const [one, other] = [numberOf.get(a), numberOf.get(b)];
      if (one === undefined || other === undefined || islands[one] !== islands[other]) return null;
      if (nodes) return rmsBetween(nodes, one, other);
      return Math.hypot((re[one] ?? 0) - (re[other] ?? 0), (im[one] ?? 0) - (im[other] ?? 0));
    },
    amps: (element) => amps.get(element) ?? 0,
    island
  };
}
