/**
 * One operating point: the node voltages of a netlist with its switches in a given state.
 *
 * Islands come first. Nodes that no element joins have no defined voltage against each other, so each island gets a 0 V of its own, and a
 * voltage between two islands is `null` instead of a number that a leak through rounding would invent.
 */
import type { Element, Source } from '../devices/elements';
import { solveInPlace } from './linear';
import type { Netlist } from './netlist';
import { isClosed, STAMPS, type StampKind, type SwitchState, type System } from './stamps';

export interface OperatingPoint {
  /** Volts from a to b; null when the two have no defined voltage against each other, or one is not in the circuit. */
  voltage(a: string, b: string): number | null;
  /** Amps out of a source's `a` side. */
  current(source: Source): number;
  /** The number of the island that a node belongs to, or undefined. */
  island(node: string): number | undefined;
}

export type PointResult =
  | { readonly ok: true; readonly point: OperatingPoint }
  | { readonly ok: false; readonly at: string; readonly why: string };

export function operatingPoint(netlist: Netlist, state: SwitchState): PointResult {
  const faulty = netlist.elements.find((one) => !hasSoundValues(one));
  if (faulty) return { ok: false, at: faulty.id, why: `${faulty.id} has a value that no real part has` };
  const live = netlist.elements.filter((one) => conducts(one, state));
  const islands = islandsOf(live);
  const zero = zeroNodes(netlist, islands);
  const { index, names } = numberNodes(islands, zero);
  const sources = live.filter((one): one is Source => one.kind === 'source');
  const n = names.length + sources.length;
  const system: System = { a: new Float64Array(n * n), b: new Float64Array(n), n };
  const branchOf = new Map(sources.map((source, order) => [source.id, names.length + order]));
  for (const element of live) {
    const stamp = STAMPS[element.kind] as StampKind<Element>;
    stamp(system, element, index(element.a), index(element.b), branchOf.get(element.id) ?? -1, state);
  }
  const stuck = solveInPlace(system.a, system.b, n);
  if (stuck >= 0) {
    const at = names[stuck] ?? sources[stuck - names.length]?.id ?? 'the circuit';
    return { ok: false, at, why: `the circuit leaves ${at} undetermined` };
  }
  const volts = (node: string) => (zero.has(node) ? 0 : system.b[index(node)]!);
  return {
    ok: true,
    point: {
      voltage: (a, b) => {
        const one = islands.get(a);
        return one === undefined || one !== islands.get(b) ? null : volts(a) - volts(b);
      },
      current: (source) => {
        const branch = branchOf.get(source.id);
        return branch === undefined ? 0 : system.b[branch]!;
      },
      island: (node) => islands.get(node)
    }
  };
}

function hasSoundValues(element: Element): boolean {
  switch (element.kind) {
    case 'resistor':
    case 'coil':
      return Number.isFinite(element.ohms) && element.ohms > 0;
    case 'source':
      return Number.isFinite(element.ohms) && element.ohms >= 0 && Number.isFinite(element.volts);
    case 'fuse':
      return Number.isFinite(element.amps) && element.amps > 0;
    case 'contact':
      return true;
  }
}

function conducts(element: Element, state: SwitchState): boolean {
  if (element.kind === 'contact') return isClosed(element, state);
  if (element.kind === 'fuse') return !state.openFuses.has(element.id);
  return true;
}

/** The island number of each node that an element touches. */
function islandsOf(elements: readonly Element[]): Map<string, number> {
  const parent = new Map<string, string>();
  const find = (node: string): string => {
    let top = node;
    for (let next = parent.get(top); next !== undefined && next !== top; next = parent.get(top)) top = next;
    parent.set(node, top);
    return top;
  };
  for (const { a, b } of elements) {
    for (const node of [a, b]) if (!parent.has(node)) parent.set(node, node);
    parent.set(find(a), find(b));
  }
  const numbers = new Map<string, number>();
  const islands = new Map<string, number>();
  for (const node of parent.keys()) {
    const top = find(node);
    const number = numbers.get(top) ?? numbers.size;
    numbers.set(top, number);
    islands.set(node, number);
  }
  return islands;
}

/** One 0 V node for each island: a common where there is one. */
function zeroNodes(netlist: Netlist, islands: ReadonlyMap<string, number>): Set<string> {
  const zero = new Set<string>();
  const served = new Set<number>();
  for (const node of [...netlist.grounds, ...islands.keys()]) {
    const island = islands.get(node);
    if (island === undefined || served.has(island)) continue;
    served.add(island);
    zero.add(node);
  }
  return zero;
}

function numberNodes(islands: ReadonlyMap<string, number>, zero: ReadonlySet<string>) {
  const names = [...islands.keys()].filter((node) => !zero.has(node));
  const numbers = new Map(names.map((name, number) => [name, number]));
  return { names, index: (node: string) => numbers.get(node) ?? -1 };
}
