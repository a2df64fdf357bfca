/**
 * Faults laid over one circuit. Each faulted netlist is compared with the sound one; parts that only a fault brings in join a common
 * superset, taken out at first. A fault is then a list of parts to take out, to put in, or to give other values, and no structure is made
 * anew. Two faults that touch the same part do not simply add up: such a pair is told apart, and solved from its own graph.
 */
import { circuitOf, isCircuit, setElement, setPresent, type Circuit } from '../circuit/circuit';
import { netlistOf, type Netlist } from '../circuit/netlist';
import type { Element } from '../devices/elements';
import type { World } from '../devices/world';
import type { Wiring } from '../wiring/graph';
import type { Fault } from './types';

export interface Edit {
  /** Places of parts to take out. */
  readonly out: readonly number[];
  /** Places of parts that stand ready, taken out, to put in. */
  readonly put: readonly number[];
  readonly changed: readonly { readonly at: number; readonly element: Element }[];
}

export interface Overlay {
  readonly circuit: Circuit;
  /** One for each fault, in their order. */
  readonly edits: readonly Edit[];
}

export function overlayOf(
  wiring: Wiring,
  world: World,
  sound: Netlist,
  faults: readonly Fault[]
): Overlay | null {
  const elements: Element[] = [...sound.elements];
  const placeOf = new Map(sound.elements.map((element, at) => [element.id, at]));
  const extra = new Map<string, number>();
  const edits = faults.map((fault) => {
    const faulted = netlistOf(fault.apply(wiring), world);
    return faulted === null ? null : editFor(sound.elements, faulted.elements, placeOf, extra, elements);
  });
  if (edits.some((edit) => edit === null)) return null;
  const circuit = circuitOf({ ...sound, elements });
  if (!isCircuit(circuit)) return null;
  for (let at = sound.elements.length; at < elements.length; at += 1) setPresent(circuit, at, false);
  return { circuit, edits: edits as Edit[] };
}

function editFor(
  sound: readonly Element[],
  faulted: readonly Element[],
  placeOf: ReadonlyMap<string, number>,
  extra: Map<string, number>,
  elements: Element[]
): Edit {
  const seen = new Set<number>();
  const put: number[] = [];
  const changed: { at: number; element: Element }[] = [];
  for (const element of faulted) {
    const at = placeOf.get(element.id);
    const before = at === undefined ? undefined : sound[at];
    if (at !== undefined && before && sameShape(before, element)) {
      seen.add(at);
      if (JSON.stringify(before) !== JSON.stringify(element)) changed.push({ at, element });
      continue;
    }
    const key = JSON.stringify(element);
    const known = extra.get(key) ?? elements.length;
    if (known === elements.length) {
      elements.push({ ...element, id: `${element.id}~${known}` });
      extra.set(key, known);
    }
    put.push(known);
  }
  const out = sound.flatMap((_, at) => (seen.has(at) ? [] : [at]));
  return { out, put, changed };
}

/** Between the same nodes and switched by the same thing: only its values may differ. */
function sameShape(element: Element, other: Element): boolean {
  if (element.kind !== other.kind || element.a !== other.a || element.b !== other.b) return false;
  if (element.kind === 'call-contact' && other.kind === 'call-contact')
    return element.control === other.control && element.requests.join() === other.requests.join();
  return true;
}

/** False where the two touch one part, so that laying one over the other would not be both. */
export function independent(edit: Edit, other: Edit): boolean {
  const touched = new Set([...edit.out, ...edit.put, ...edit.changed.map(({ at }) => at)]);
  return ![...other.out, ...other.put, ...other.changed.map(({ at }) => at)].some((at) => touched.has(at));
}

export function layOver(circuit: Circuit, edit: Edit): void {
  for (const at of edit.out) setPresent(circuit, at, false);
  for (const at of edit.put) setPresent(circuit, at, true);
  for (const { at, element } of edit.changed) setElement(circuit, at, element);
}

export function takeOff(circuit: Circuit, edit: Edit): void {
  for (const at of edit.out) setPresent(circuit, at, true);
  for (const at of edit.put) setPresent(circuit, at, false);
  for (const { at } of edit.changed) setElement(circuit, at, circuit.netlist.elements[at] as Element);
}
