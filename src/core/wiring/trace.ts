/** Tracing: what hangs together by copper alone, without asking what a device does between its terminals. */
import { landedTerminal, type TerminalId, type Wiring } from './graph';

/** All terminals joined to this one by strands landed at both ends and by links, itself included. */
export function reachable(wiring: Pick<Wiring, 'strands' | 'links'>, from: TerminalId): Set<TerminalId> {
  const neighbours = new Map<TerminalId, TerminalId[]>();
  const join = (a: TerminalId, b: TerminalId) => {
    neighbours.set(a, [...(neighbours.get(a) ?? []), b]);
    neighbours.set(b, [...(neighbours.get(b) ?? []), a]);
  };
  for (const strand of wiring.strands) {
    const a = landedTerminal(strand.near);
    const b = landedTerminal(strand.far);
    if (a && b && strand.continuity !== 'broken') join(a, b);
  }
  for (const link of wiring.links) join(link.a, link.b);
  const found = new Set([from]);
  for (const terminal of found) for (const next of neighbours.get(terminal) ?? []) found.add(next);
  return found;
}
