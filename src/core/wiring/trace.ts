/** Tracing: what hangs together by copper alone, without asking what a device does between its terminals. */
import { landedTerminal, splitTerminal, type Strand, type TerminalId, type Wiring } from './graph';

/** All terminals joined to this one by strands landed at both ends and by links, itself included. */
export function reachable(wiring: Wiring, from: TerminalId): Set<TerminalId> {
  const neighbours = new Map<TerminalId, TerminalId[]>();
  const join = (a: TerminalId, b: TerminalId) => {
    neighbours.set(a, [...(neighbours.get(a) ?? []), b]);
    neighbours.set(b, [...(neighbours.get(b) ?? []), a]);
  };
  for (const strand of wiring.strands) {
    const a = landedTerminal(strand.wall);
    const b = landedTerminal(strand.equipment);
    if (a && b && strand.continuity !== 'broken') join(a, b);
  }
  for (const link of wiring.links) join(link.a, link.b);
  const found = new Set([from]);
  for (const terminal of found) for (const next of neighbours.get(terminal) ?? []) found.add(next);
  return found;
}

/** The mark at the far end of a strand landed at both ends, or null. */
export function equipmentMark(strand: Strand): string | null {
  const terminal = landedTerminal(strand.equipment);
  return terminal === null ? null : splitTerminal(terminal).mark;
}

export function wallMark(strand: Strand): string | null {
  const terminal = landedTerminal(strand.wall);
  return terminal === null ? null : splitTerminal(terminal).mark;
}
