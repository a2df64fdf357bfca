/**
 * A world is one way the unknown may be: which family the equipment is, and how its board behaves where nobody can see it. What is not
 * settled is solved in every world that is still believable, and the worst counts. Each machine has a world of its own, and so has each
 * control that is set up for other machines than these.
 */
import type { Family } from '../trade/vocabulary';

/** How one machine is, or what a control is set up for. */
export interface MachineWorld {
  readonly family: Family;
  /** Who runs the blower when heat is called: the board by itself, or nothing but G. */
  readonly blowerInHeat: 'board' | 'g';
  /** Who runs it in cooling. Some boards start it on Y as well; where nobody knows, a proof solves both and the worse counts. */
  readonly blowerInCool: 'board' | 'g';
  /** A compressor hangs on Y. */
  readonly compressor: boolean;
  readonly reversing: 'O' | 'B' | 'none';
}

/** The world of a thermostat's place: what its control is set up for, and so every device that `of` does not name. */
export interface World extends MachineWorld {
  readonly id: string;
  /** The world as a noun, with its article: "a heat pump". */
  readonly says: string;
  /** Devices that are otherwise, by their id: a second machine, the machines and the control of a neighbour. */
  readonly of?: Readonly<Record<string, MachineWorld>>;
}

/** The world of a device. */
export function worldOfDevice(world: World, device: string): MachineWorld {
  return world.of?.[device] ?? world;
}

/** The world with every machine starting its blower in cooling in this way, where it cools at all. */
export function withBlowerInCool(world: World, blowerInCool: MachineWorld['blowerInCool']): World {
  const of =
    world.of &&
    Object.fromEntries(Object.entries(world.of).map(([id, first]) => [id, { ...first, blowerInCool }]));
  return { ...world, blowerInCool, ...(of ? { of } : {}) };
}

/** The world with the devices of neighbours in it. What this place knows of a machine goes before what a neighbour knows. */
export function withNeighbourWorlds(world: World, neighbours: Readonly<Record<string, MachineWorld>>): World {
  return Object.keys(neighbours).length === 0 ? world : { ...world, of: { ...neighbours, ...world.of } };
}

/** What a world does, apart from what it is called: the same text for worlds with the same circuits and the same loads. */
export function worldKey(world: World): string {
  let text = keys.get(world);
  if (text === undefined) keys.set(world, (text = keyOf(world)));
  return text;
}

/** The same text for worlds with the same circuits: who starts the blower in cooling is what a coil brings on, no wire. */
export function circuitWorldKey(world: World): string {
  return keyOf(withBlowerInCool(world, 'g'));
}

/** A world is never changed in place, and is asked for its key at every solve. */
const keys = new WeakMap<World, string>();

function keyOf(world: World): string {
  const key = ({ family, blowerInHeat, blowerInCool, compressor, reversing }: MachineWorld) =>
    [family, blowerInHeat, blowerInCool, compressor, reversing].join(' ');
  const others = Object.entries(world.of ?? {}).map(([id, first]) => `${id}=${key(first)}`);
  return [key(world), ...others.sort()].join(';');
}

/**
 * Supplies have no known polarity against each other, and their commons may be tied through earth: every case is solved. Bit k of `turned`
 * turns supply k + 1 round against the first.
 */
export interface SupplyCase {
  readonly bonded: boolean;
  readonly turned: number;
  /** Where every value stands within its tolerance; nominal where nothing is said (`circuit/spread.ts`). */
  readonly corner?: CornerId;
  /** What goes as far as it can in that corner: an element, by its id. What is usual for the corner where nothing is said. */
  readonly aim?: CornerAim;
}

export function sameCase(first: SupplyCase, other: SupplyCase): boolean {
  return (
    first.turned === other.turned &&
    first.bonded === other.bonded &&
    first.corner === other.corner &&
    first.aim?.element === other.aim?.element &&
    first.aim?.pulling === other.aim?.pulling
  );
}

/** `pulling`: while the armatures of the call's coils are still open. */
export interface CornerAim {
  readonly element: string;
  readonly pulling?: boolean;
}

/**
 * A corner of the tolerances. `weak`: the least voltage across what is aimed at, as a rule the thermostat's electronics. `strong`: the most.
 * `loaded`: the most current out of a transformer. A bound, where no diodes are in the circuit.
 */
export type CornerId = 'weak' | 'strong' | 'loaded';

export const PLAIN_CASE: SupplyCase = { bonded: false, turned: 0 };

/** All cases of so many supplies; with one there is nothing to be turned or bonded against. */
export function supplyCases(supplies: number): readonly SupplyCase[] {
  if (supplies < 2) return [PLAIN_CASE];
  const ways = Array.from({ length: 2 ** (supplies - 1) }, (_, turned) => turned);
  return [false, true].flatMap((bonded) => ways.map((turned) => ({ bonded, turned })));
}

/** The case in words, for the sentence that names the worst one. */
export function caseName({ bonded, turned }: SupplyCase): string {
  return `${turned === 0 ? 'same' : 'opposite'} polarity, commons ${bonded ? 'tied through earth' : 'apart'}`;
}
