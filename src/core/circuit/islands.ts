/**
 * Islands of a circuit: what copper, coils and contacts join. Each has the voltage class of the supplies in it; one in which supplies of two
 * classes meet is a danger whatever else is right.
 */
import type { VoltageClass } from '../trade/vocabulary';
import { conducts, type Circuit } from './circuit';
import { partRef, type Element, type Source } from '../devices/elements';
import type { PartRef } from '../findings/refs';

/** The class of a supply by what it gives at its rated load (bands of the trade: under 1 V, 18 to 32 V, above 50 V). */
export function classOfVolts(volts: number): VoltageClass {
  const size = Math.abs(volts);
  if (size > 50) return 'line';
  if (size >= 18 && size <= 32) return '24v';
  return size < 1 ? 'millivolt' : 'unknown';
}

export interface Island {
  readonly voltageClass: VoltageClass;
  readonly supplies: readonly {
    readonly name: string;
    readonly voltageClass: VoltageClass;
    readonly part: PartRef;
  }[];
}

/** The islands that hold a supply, in the state last solved. An island of two classes is `unknown`: nothing of one is safe in it. */
export function poweredIslands(circuit: Circuit): Island[] {
  const { netlist, structure, sources } = circuit;
  const islands = islandsOf(circuit);
  const bySource = new Map<number, Source[]>();
  for (const at of sources) {
    const island = islands[structure.a[at] ?? 0] ?? 0;
    bySource.set(island, [...(bySource.get(island) ?? []), netlist.elements[at] as Source]);
  }
  return [...bySource.values()].map((own) => {
    const classes = new Set(own.map((source) => classOfVolts(source.nominalVolts)));
    const [first] = classes;
    return {
      voltageClass: classes.size === 1 && first ? first : 'unknown',
      supplies: own.map((source) => ({
        name: source.name,
        voltageClass: classOfVolts(source.nominalVolts),
        part: partRef(source)
      }))
    };
  });
}

/** The island of each node, by what conducts now. A diode joins, whichever way it stands: it has leaked before the meter is read. */
export function islandsOf(circuit: Circuit): Int32Array {
  const { nodes, a, b } = circuit.structure;
  const { elements } = circuit.netlist;
  const parent = new Int32Array(nodes.length);
  for (let node = 0; node < parent.length; node += 1) parent[node] = node;
  for (let at = 0; at < a.length; at += 1) {
    if (!conducts(circuit, at) && !leaks(elements[at]!)) continue;
    parent[topOf(parent, a[at]!)] = topOf(parent, b[at]!);
  }
  // Read for every call that is solved: what is below a top is put right where it lies.
  for (let node = 0; node < parent.length; node += 1) parent[node] = topOf(parent, node);
  return parent;
}

function leaks({ kind }: Element): boolean {
  return kind === 'diode' || kind === 'sense';
}

function topOf(parent: Int32Array, node: number): number {
  let top = node;
  while (parent[top] !== top) top = parent[top]!;
  return top;
}
