/** A solved state as plain data that a meter can be put on: any two terminals, any conductor. */
import { conducts } from './circuit';
import { islandsOf } from './islands';
import { rmsBetween } from './half-waves';
import { elementAmps, type Relays } from './settle';

export interface Meter {
  /** Volts RMS between two nodes; null when nothing defines a voltage between them, or one is not in the circuit. */
  volts(a: string, b: string): number | null;
  /** The same with its phase, volts RMS in and out of step with the supply; in circuits of half waves its size at the peak. */
  phasor(a: string, b: string): { readonly re: number; readonly im: number } | null;
  /** Whether a supply is in the island of a node. */
  alive(node: string): boolean;
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
  const amps = new Float64Array(circuit.netlist.elements.length);
  for (let at = 0; at < amps.length; at += 1) amps[at] = elementAmps(relays, at);
  const island = (node: string) => {
    const number = numberOf.get(node);
    return number === undefined ? undefined : islands[number];
  };
  const sourced = new Set(
    Array.from(circuit.sources).flatMap((at) =>
      conducts(circuit, at) ? [islands[circuit.structure.a[at]!]] : []
    )
  );
  /** Numbers of two nodes, where they are in one island. */
  const joined = (a: string, b: string): readonly [number, number] | null => {
    const [first, second] = [numberOf.get(a), numberOf.get(b)];
    if (first === undefined || second === undefined || islands[first] !== islands[second]) return null;
    return [first, second];
  };
  return {
    volts: (a, b) => {
      const pair = joined(a, b);
      if (pair === null) return null;
      const [first, second] = pair;
      if (nodes) return rmsBetween(nodes, first, second);
      return Math.hypot((re[first] ?? 0) - (re[second] ?? 0), (im[first] ?? 0) - (im[second] ?? 0));
    },
    phasor: (a, b) => {
      const pair = joined(a, b);
      if (pair === null) return null;
      const [first, second] = pair;
      if (!nodes)
        return { re: (re[first] ?? 0) - (re[second] ?? 0), im: (im[first] ?? 0) - (im[second] ?? 0) };
      const peak = nodes.nodes[0];
      return { re: ((peak?.[first] ?? 0) - (peak?.[second] ?? 0)) / Math.SQRT2, im: 0 };
    },
    alive: (node) => {
      const number = island(node);
      return number !== undefined && sourced.has(number);
    },
    amps: (element) => amps[circuit.placeOf.get(element) ?? -1] ?? 0,
    island
  };
}
