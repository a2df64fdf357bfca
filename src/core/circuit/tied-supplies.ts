/** Supplies that copper joins as a circuit stands, whatever its loads do. */
import { partRef, type Element, type Source } from '../devices/elements';
import type { PartRef } from '../findings/refs';
import type { Circuit } from './circuit';
import { sourcesOf } from './netlist';

/** The most that a joint of copper can have: a long thin strand. Every coil and every thermostat has more. */
const COPPER_OHMS = 10;

/** Pairs of supplies that strands, links or closed contacts join, earth left aside: a tie that needs no fault to be there. */
export function tiedSupplies({ netlist, on }: Circuit): [PartRef, PartRef][] {
  const sources = sourcesOf(netlist.elements);
  if (sources.length < 2) return [];
  const groups = new Map<string, string>();
  const find = (node: string): string => {
    const next = groups.get(node) ?? node;
    return next === node ? node : find(next);
  };
  netlist.elements.forEach((element, at) => {
    if (on[at] === 1 && isCopper(element)) groups.set(find(element.a), find(element.b));
  });
  const joined = (first: Source, second: Source) =>
    [first.a, first.b].some((node) => [second.a, second.b].some((far) => find(node) === find(far)));
  return sources.flatMap((source, index) =>
    sources
      .slice(index + 1)
      .filter((other) => joined(source, other))
      .map((other): [PartRef, PartRef] => [partRef(source), partRef(other)])
  );
}

function isCopper(element: Element): boolean {
  if (element.kind === 'resistor') return element.ohms < COPPER_OHMS;
  return element.kind === 'contact' || element.kind === 'call-contact' || element.kind === 'fuse';
}
