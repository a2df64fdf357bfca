/** The circuit of a whole house for one call: elements between named nodes, and what their coils mean. */
import { fragmentOf } from '../devices/registry';
import type { Element, FedDevice, LoadRule, Source } from '../devices/elements';
import type { SupplyCase, World } from '../devices/world';
import { CONTACT_OHMS } from '../trade/loads';
import type { Call } from '../trade/vocabulary';
import { landedTerminal, type TerminalId, type Wiring } from '../wiring/graph';

export interface Netlist {
  readonly elements: readonly Element[];
  readonly loads: readonly LoadRule[];
  readonly fed: FedDevice | null;
  /** Nodes that may serve as 0 V of their island, best first. */
  readonly grounds: readonly string[];
}

/** Both commons on one earth: what an earthed cabinet does to two supplies. */
const EARTH_OHMS = 0.05;
/** Ids of the elements that stand for earth begin so. */
export const EARTH_PREFIX = 'earth:';

/** The netlist of a wiring in a world, or null when a machine's family has no circuit model. */
export function netlistOf(wiring: Wiring, world: World, call: Call, supplyCase: SupplyCase): Netlist | null {
  const elements: Element[] = [];
  const loads: LoadRule[] = [];
  const grounds: string[] = [];
  let fed: FedDevice | null = null;
  const used = usedTerminals(wiring);
  for (const device of wiring.devices) {
    const fragment = fragmentOf(device, { world, call, supplyCase, used });
    if (fragment === null) return null;
    elements.push(...fragment.elements);
    loads.push(...fragment.loads);
    if (fragment.ground) grounds.push(fragment.ground);
    fed = fragment.fed ?? fed;
  }
  for (const strand of wiring.strands) {
    const a = landedTerminal(strand.wall);
    const b = landedTerminal(strand.equipment);
    if (a === null || b === null || strand.continuity === 'broken') continue;
    elements.push({ kind: 'resistor', id: strand.id, a, b, ohms: Math.max(strand.ohms, CONTACT_OHMS) });
  }
  for (const link of wiring.links) {
    if (link.a === link.b) continue;
    elements.push({ kind: 'resistor', id: link.id, a: link.a, b: link.b, ohms: CONTACT_OHMS });
  }
  if (supplyCase.bonded) elements.push(...earth(elements));
  return { elements, loads, fed, grounds };
}

function usedTerminals(wiring: Wiring): Set<TerminalId> {
  const ends = wiring.strands.flatMap((one) => [landedTerminal(one.wall), landedTerminal(one.equipment)]);
  return new Set([...ends.filter((one) => one !== null), ...wiring.links.flatMap((one) => [one.a, one.b])]);
}

/** Ties the common of every further source to that of the first. */
function earth(elements: readonly Element[]): Element[] {
  const [first, ...others] = elements.filter((one): one is Source => one.kind === 'source');
  if (!first) return [];
  return others.map((source) => ({
    kind: 'resistor',
    id: `${EARTH_PREFIX}${source.id}`,
    a: first.b,
    b: source.b,
    ohms: EARTH_OHMS
  }));
}
