/**
 * What does not change from solve to solve: which nodes there are, in which order they are eliminated, and where every number goes.
 *
 * The equations are nodal. A source counts as its current behind its conductance, so that the matrix is symmetric, with one row for each
 * node and none for sources, and L D Lᵀ without exchange of rows is stable on it (impedances have positive real parts). No node is struck
 * out as 0 V: each island of the circuit is singular by one, and the pivot that vanishes there is the node that serves as its 0 V.
 *
 * Order: nodes that only lasting elements touch come first, then those that a contact, fuse or diode touches, then the commons, each
 * class by least degree. So the first part of the elimination holds for all states of the switches (`firstSwitched`), and a common ends
 * up as the 0 V of its island.
 */
import type { Element } from '../devices/elements';

export interface Structure {
  /** Names in the order of elimination. */
  readonly nodes: readonly string[];
  /** Number of each node by its name. */
  readonly numberOf: ReadonlyMap<string, number>;
  /** Node numbers of each element's a and b, by the element's place in the netlist. */
  readonly a: Int32Array;
  readonly b: Int32Array;
  /** Slot of the matrix entry that couples a and b; -1 where an element begins and ends on one node. */
  readonly coupling: Int32Array;
  /** Slot of each diagonal entry. Slots run column by column: the diagonal, then the rows below it. */
  readonly diagonal: Int32Array;
  /** Rows below the diagonal of column k: `rows[diagonal[k] + 1 …]` up to the next column's diagonal, by slot. */
  readonly rows: Int32Array;
  readonly slots: number;
  /** Column k takes `left · right / pivot` off `target` for the entries `updateStart[k] … updateStart[k + 1]`; all are slots. */
  readonly updateStart: Int32Array;
  readonly target: Int32Array;
  readonly left: Int32Array;
  readonly right: Int32Array;
  /** The first node that a switching element touches. */
  readonly firstSwitched: number;
}

/** Elements that come and go, or change their value, with the state of the circuit: a coil draws more while it is released. */
export function switches(element: Element): boolean {
  switch (element.kind) {
    case 'resistor':
    case 'source':
      return false;
    case 'coil':
      return element.inrush > 1;
    default:
      return true;
  }
}

export function structureOf(elements: readonly Element[], grounds: readonly string[]): Structure {
  const names = [...new Set(elements.flatMap((element) => [element.a, element.b]))];
  const ranks = ranksOf(elements, grounds, names);
  const { order, columns } = eliminate(elements, names, ranks);
  const nodes = order.map((at) => names[at] as string);
  const numberOf = new Map(nodes.map((name, number) => [name, number]));
  const place = layOut(columns);
  const a = Int32Array.from(elements, (element) => numberOf.get(element.a) ?? 0);
  const b = Int32Array.from(elements, (element) => numberOf.get(element.b) ?? 0);
  const coupling = Int32Array.from(elements, (_, at) => {
    const [first, second] = [a[at] ?? 0, b[at] ?? 0];
    return first === second ? -1 : place.slotOf(Math.max(first, second), Math.min(first, second));
  });
  const switched = order.findIndex((at) => (ranks[at] ?? 0) > 0);
  return {
    nodes,
    numberOf,
    a,
    b,
    coupling,
    diagonal: place.diagonal,
    rows: place.rows,
    slots: place.slots,
    ...updatesOf(columns, place),
    firstSwitched: switched < 0 ? nodes.length : switched
  };
}

/** 0: touched by lasting elements only; 1: touched by a switch; 2: a common. */
function ranksOf(
  elements: readonly Element[],
  grounds: readonly string[],
  names: readonly string[]
): number[] {
  const touched = new Set(elements.filter(switches).flatMap((element) => [element.a, element.b]));
  return names.map((name) => (grounds.includes(name) ? 2 : touched.has(name) ? 1 : 0));
}

/** Symbolic elimination: the order, and for each column the later nodes that it couples, as numbers in that order. */
function eliminate(
  elements: readonly Element[],
  names: readonly string[],
  ranks: readonly number[]
): { order: number[]; columns: number[][] } {
  const at = new Map(names.map((name, number) => [name, number]));
  const neighbours = names.map(() => new Set<number>());
  for (const element of elements) {
    const [first, second] = [at.get(element.a) ?? 0, at.get(element.b) ?? 0];
    if (first === second) continue;
    neighbours[first]?.add(second);
    neighbours[second]?.add(first);
  }
  const order: number[] = [];
  const position: number[] = [];
  const open = new Set(names.keys());
  const raw: number[][] = [];
  while (open.size > 0) {
    const next = cheapest(open, ranks, neighbours);
    open.delete(next);
    position[next] = order.length;
    order.push(next);
    const around = [...(neighbours[next] ?? [])];
    raw.push(around);
    for (const index of around) {
      const set = neighbours[index];
      set?.delete(next);
      for (const other of around) if (other !== index) set?.add(other);
    }
  }
  const columns = raw.map((around) => around.map((index) => position[index] ?? 0).sort((x, y) => x - y));
  return { order, columns };
}

function cheapest(
  open: ReadonlySet<number>,
  ranks: readonly number[],
  neighbours: readonly ReadonlySet<number>[]
): number {
  let best = -1;
  let cost = Infinity;
  for (const index of open) {
    const here = (ranks[index] ?? 0) * 1e6 + (neighbours[index]?.size ?? 0);
    if (here < cost) {
      cost = here;
      best = index;
    }
  }
  return best;
}

interface Layout {
  readonly diagonal: Int32Array;
  readonly rows: Int32Array;
  readonly slots: number;
  slotOf(row: number, column: number): number;
}

function layOut(columns: readonly (readonly number[])[]): Layout {
  const diagonal = new Int32Array(columns.length + 1);
  const rows: number[] = [];
  const slotByCell = new Map<number, number>();
  const n = columns.length;
  columns.forEach((below, column) => {
    diagonal[column] = rows.length;
    for (const row of [column, ...below]) {
      slotByCell.set(row * n + column, rows.length);
      rows.push(row);
    }
  });
  diagonal[n] = rows.length;
  return {
    diagonal,
    rows: Int32Array.from(rows),
    slots: rows.length,
    slotOf: (row, column) => slotByCell.get(row * n + column) ?? -1
  };
}

function updatesOf(columns: readonly (readonly number[])[], place: Layout) {
  const updateStart = new Int32Array(columns.length + 1);
  const [target, left, right]: [number[], number[], number[]] = [[], [], []];
  columns.forEach((below, column) => {
    updateStart[column] = target.length;
    below.forEach((row, at) => {
      for (const other of below.slice(0, at + 1)) {
        target.push(place.slotOf(row, other));
        left.push(place.slotOf(row, column));
        right.push(place.slotOf(other, column));
      }
    });
  });
  updateStart[columns.length] = target.length;
  return {
    updateStart,
    target: Int32Array.from(target),
    left: Int32Array.from(left),
    right: Int32Array.from(right)
  };
}
