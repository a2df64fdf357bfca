/** What copper joins: wires that are landed at both ends, links, and nothing that a device does between its screws. */
import { landedTerminal, type TerminalId, type Wiring } from './graph';

export interface Joined {
  /** The terminals that are one point with this one, itself among them. */
  with(terminal: TerminalId): readonly TerminalId[];
  same(a: TerminalId, b: TerminalId): boolean;
  /** Every point that joins two terminals or more. */
  readonly points: readonly (readonly TerminalId[])[];
}

const known = new WeakMap<Wiring, Joined>();

export function joinedIn(wiring: Wiring): Joined {
  const before = known.get(wiring);
  if (before) return before;
  const made = build(wiring);
  known.set(wiring, made);
  return made;
}

function build(wiring: Wiring): Joined {
  const parent = new Map<TerminalId, TerminalId>();
  const find = (terminal: TerminalId): TerminalId => {
    let top = terminal;
    for (let up = parent.get(top); up !== undefined && up !== top; up = parent.get(top)) top = up;
    return top;
  };
  const join = (a: TerminalId, b: TerminalId) => parent.set(find(a), find(b));
  for (const device of wiring.devices)
    for (const screw of device.screws) if (!parent.has(screw.id)) parent.set(screw.id, screw.id);
  for (const strand of wiring.strands) {
    const [a, b] = [landedTerminal(strand.near), landedTerminal(strand.far)];
    if (a !== null && b !== null && strand.continuity !== 'broken') join(a, b);
  }
  for (const link of wiring.links) join(link.a, link.b);
  const points = new Map<TerminalId, TerminalId[]>();
  for (const terminal of parent.keys()) {
    const top = find(terminal);
    points.set(top, [...(points.get(top) ?? []), terminal]);
  }
  return {
    with: (terminal) => points.get(find(terminal)) ?? [terminal],
    same: (a, b) => find(a) === find(b),
    points: [...points.values()].filter((point) => point.length > 1)
  };
}
