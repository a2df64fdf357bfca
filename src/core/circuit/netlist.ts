/** The circuit of a whole house: elements between named nodes, what its coils mean, and where its thermostats are fed. */
import type { Element, FedDevice, LoadRule, Source } from '../devices/elements';
import { fragmentOf } from '../devices/registry';
import type { World } from '../devices/world';
import { CONTACT_OHMS } from '../trade/loads';
import { landedTerminal, type DeviceKind, type TerminalId, type Upset, type Wiring } from '../wiring/graph';
import { readIn } from '../wiring/meaning';

export interface Netlist {
  readonly elements: readonly Element[];
  readonly loads: readonly LoadRule[];
  readonly fed: readonly FedDevice[];
  /** Nodes that may serve as 0 V of their island, best first. */
  readonly grounds: readonly string[];
}

/** Both commons on one earth: what an earthed cabinet does to two supplies. */
const EARTH_OHMS = 0.05;
/** How much more impedance a transformer has that is worn or too small for what hangs on it. */
const WEAK = 2.5;

/**
 * The netlist of a wiring in a world, or null when a machine's family has no circuit model. What the screws mean is read anew for the
 * world's family: a mark may mean one thing on a furnace and another on a heat pump.
 */
export function netlistOf(recorded: Wiring, world: World): Netlist | null {
  const wiring = readIn(recorded, world.family);
  const elements: Element[] = [];
  const loads: LoadRule[] = [];
  const grounds: string[] = [];
  const fed: FedDevice[] = [];
  const used = usedTerminals(wiring);
  for (const device of wiring.devices) {
    const fragment = fragmentOf(device, world, used);
    if (fragment === null) return null;
    elements.push(...fragment.elements);
    loads.push(...fragment.loads);
    if (fragment.ground) grounds.push(fragment.ground);
    if (fragment.fed) fed.push(fragment.fed);
  }
  for (const strand of wiring.strands) {
    const a = landedTerminal(strand.near);
    const b = landedTerminal(strand.far);
    if (a === null || b === null || strand.continuity === 'broken') continue;
    elements.push({
      kind: 'resistor',
      of: 'conductor',
      id: strand.id,
      a,
      b,
      ohms: strand.ohms + 2 * CONTACT_OHMS
    });
  }
  for (const link of wiring.links) {
    if (link.a === link.b) continue;
    elements.push({ kind: 'resistor', of: 'joint', id: link.id, a: link.a, b: link.b, ohms: CONTACT_OHMS });
  }
  elements.push(...earthTies(elements));
  return { elements: (wiring.upsets ?? []).reduce(withUpset, elements), loads, fed, grounds };
}

/** Devices that are no load of the house, nor have one. */
const SWITCH_ONLY: ReadonlySet<DeviceKind> = new Set(['old-thermostat', 'new-thermostat']);

/** What the coils of a netlist mean, without the netlist; empty where it has none. */
export function loadsOf(recorded: Wiring, world: World): LoadRule[] {
  const wiring = readIn(recorded, world.family);
  const used = usedTerminals(wiring);
  return wiring.devices.flatMap((device) =>
    SWITCH_ONLY.has(device.kind) ? [] : (fragmentOf(device, world, used)?.loads ?? [])
  );
}

function usedTerminals(wiring: Wiring): Set<TerminalId> {
  const ends = wiring.strands.flatMap((strand) => [landedTerminal(strand.near), landedTerminal(strand.far)]);
  return new Set([
    ...ends.filter((end) => end !== null),
    ...wiring.links.flatMap((link) => [link.a, link.b])
  ]);
}

/** A tie from the common of every further source to that of the first; the supply case says whether it is there. */
function earthTies(elements: readonly Element[]): Element[] {
  const [first, ...others] = sourcesOf(elements);
  if (!first) return [];
  return others.map((source) => ({
    kind: 'earth',
    id: `earth:${source.id}`,
    a: first.b,
    b: source.b,
    ohms: EARTH_OHMS
  }));
}

export function sourcesOf(elements: readonly Element[]): Source[] {
  return elements.filter((element): element is Source => element.kind === 'source');
}

/** A coil whose turns touch: next to nothing of its ohms is left. */
const SHORTED_OHMS = 0.5;
/** Coils of the outdoor unit hang between the board's screws, not inside it. */
const OUTDOORS: ReadonlySet<string> = new Set(['Y1', 'Y2', 'Y', 'O', 'B', 'OB', 'O/B']);

function withUpset(elements: Element[], { element: hit, kind }: Upset): Element[] {
  switch (kind) {
    case 'open':
      return elements.filter((element) => element.id !== hit);
    case 'weak':
      return elements.map((element) =>
        element.id === hit && element.kind === 'source' ? { ...element, ohms: element.ohms * WEAK } : element
      );
    case 'shorted':
    case 'closed':
      return elements.map((element) => (element.id === hit ? bridged(element, kind) : element));
    case 'bus-open':
      return elements.map((element) =>
        isInside(element, hit) ? { ...element, b: `${hit}~inside` } : element
      );
    case 'earthed': {
      const [first] = sourcesOf(elements);
      if (!first) return elements;
      return [...elements, { kind: 'earth', id: `earthed:${hit}`, a: hit, b: first.b, ohms: EARTH_OHMS }];
    }
  }
}

/** A coil whose turns touch, or a contact that no longer opens, as the resistance that is left. */
function bridged({ id, a, b, part }: Element, kind: 'shorted' | 'closed'): Element {
  const ohms = kind === 'shorted' ? SHORTED_OHMS : CONTACT_OHMS;
  return { kind: 'resistor', of: 'joint', id, a, b, ohms, ...(part ? { part } : {}) };
}

function isInside(element: Element, common: string): boolean {
  return element.kind === 'coil' && element.b === common && !OUTDOORS.has(element.part?.mark ?? '');
}
