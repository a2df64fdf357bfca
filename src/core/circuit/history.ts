/**
 * Calls have a history. A coil that the last call has pulled in may be held by less than it would take to pull it in: by the trickle of a
 * thermostat that charges itself, or by a contact of its own. So each call is settled once more from what each other call leaves, where that
 * can make a difference: a coil that the last call holds, that this one leaves released from rest, and that gets some voltage or works a contact.
 */
import { PLAIN_CASE, type SupplyCase, type World } from '../devices/world';
import type { PartRef } from '../findings/refs';
import type { Call } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';
import type { Wiring } from '../wiring/graph';
import { coilsAtRest, relaysFor, settled, type RestingCoils } from './simulate';
import { coilsOfLoad, coilVolts, settle, type Relays } from './settle';

/** What a call that begins after another does otherwise than from rest. */
export interface HeldOn {
  readonly after: Call;
  readonly call: Call;
  /** Loads that stay on, or go on and off, because of the call before. */
  readonly loads: readonly LoadId[];
  readonly coils: readonly PartRef[];
  /** Least volts across any of those coils while they are held. */
  readonly volts: number;
  /** They never settle. */
  readonly chatters: boolean;
}

/** Less than this across a released coil holds nothing, whatever its impedance, volts. */
const NO_VOLTS = 0.5;

interface Rest extends RestingCoils {
  readonly call: Call;
}

/** Every pair of calls in which the one before makes a difference; empty where none does, or where the wiring has no circuit. */
export function heldOn(
  wiring: Wiring,
  world: World,
  calls: readonly Call[],
  supplyCase: SupplyCase = PLAIN_CASE
): HeldOn[] {
  const rests = restsOf(wiring, world, calls, supplyCase);
  const pairs = pairsOf(rests, workersOf(wiring, world));
  if (pairs.length === 0) return [];
  const relays = settled(wiring, world, 'idle', supplyCase);
  if ('ok' in relays) return [];
  return pairs.flatMap(({ before, now }): HeldOn[] => {
    settle(relays, now.call, supplyCase, before.energised);
    const held = Array.from(relays.energised.keys()).filter(
      (number) =>
        relays.chattering[number] === 1 || (relays.energised[number] === 1 && now.energised[number] === 0)
    );
    return held.length === 0 ? [] : [heldFact(relays, { before, now, held })];
  });
}

/** Coils that a call before may hold, whatever their values: what `heldOn` is worth asking of in a corner. */
export function holdable(
  wiring: Wiring,
  world: World,
  calls: readonly Call[],
  supplyCase: SupplyCase = PLAIN_CASE
): string[] {
  const rests = restsOf(wiring, world, calls, supplyCase);
  const pairs = pairsOf(rests, workersOf(wiring, world));
  return [
    ...new Set(pairs.flatMap(({ now, numbers }) => numbers.flatMap((number) => now.parts[number]?.id ?? [])))
  ];
}

/** How each call settles from rest. These points are those of a proof, and found there. */
function restsOf(wiring: Wiring, world: World, calls: readonly Call[], supplyCase: SupplyCase): Rest[] {
  return calls.flatMap((call): Rest[] => {
    const coils = coilsAtRest(wiring, world, call, supplyCase);
    return coils ? [{ ...coils, call }] : [];
  });
}

interface Pair {
  readonly before: Rest;
  readonly now: Rest;
  /** Numbers of the coils that may be held. */
  readonly numbers: readonly number[];
}

function pairsOf(rests: readonly Rest[], working: ReadonlySet<number>): Pair[] {
  return rests.flatMap((now) => {
    const may = now.parts.flatMap((_, number) => (mayBeHeld(now, working, number) ? [number] : []));
    if (may.length === 0) return [];
    return rests.flatMap((before): Pair[] => {
      const numbers = may.filter((number) => before.energised[number] === 1);
      return numbers.length === 0 ? [] : [{ before, now, numbers }];
    });
  });
}

/** Numbers of the coils that work a contact. A sensing relay hangs on the wall's side of its module, which its own contacts never feed. */
function workersOf(wiring: Wiring, world: World): ReadonlySet<number> {
  const relays = relaysFor(wiring, world);
  if ('ok' in relays) return new Set();
  const coils = relays.circuit.coils.length;
  return new Set(relays.contactCoil.filter((number) => number >= 0 && number < coils));
}

/** A released coil that little may hold, once another call has pulled it in. */
function mayBeHeld({ energised, volts }: Rest, working: ReadonlySet<number>, number: number): boolean {
  return energised[number] === 0 && ((volts[number] ?? 0) > NO_VOLTS || working.has(number));
}

interface Held {
  readonly before: Rest;
  readonly now: Rest;
  /** Numbers of the coils. */
  readonly held: readonly number[];
}

function heldFact(relays: Relays, { before, now, held }: Held): HeldOn {
  const { parts, chattering } = relays;
  const { loads } = relays.circuit.netlist;
  const own = (load: LoadId) => coilsOfLoad(relays, load);
  const all = [...new Set(loads.map(({ load }) => load))];
  return {
    after: before.call,
    call: now.call,
    loads: all.filter(
      (load) =>
        own(load).some((number) => held.includes(number)) &&
        !own(load).some((number) => now.energised[number] === 1)
    ),
    coils: held.map((number) => parts[number]!),
    volts: Math.min(...held.map((number) => coilVolts(relays, number))),
    chatters: held.some((number) => chattering[number] === 1)
  };
}
