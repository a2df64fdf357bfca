/**
 * Calls have a history. A coil that the last call has pulled in may be held by less than it would take to pull it in: by the trickle of a
 * thermostat that charges itself, or by a contact of its own. So each call is settled once more from what each other call leaves, where that
 * can make a difference: a coil that the last call holds, that this one leaves released from rest, and that gets some voltage or works a contact.
 */
import { partRef, type Coil, type Contact } from '../devices/elements';
import { PLAIN_CASE, type SupplyCase, type World } from '../devices/world';
import type { PartRef } from '../findings/refs';
import type { Call } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';
import type { Wiring } from '../wiring/graph';
import { settled } from './simulate';
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

interface Rest {
  readonly call: Call;
  readonly energised: Uint8Array;
  readonly volts: readonly number[];
}

/** Every pair of calls in which the one before makes a difference; empty where none does, or where the wiring has no circuit. */
export function heldOn(
  wiring: Wiring,
  world: World,
  calls: readonly Call[],
  supplyCase: SupplyCase = PLAIN_CASE
): HeldOn[] {
  // To power up from rest is a call of its own: what is on before it is nothing.
  const relays = settled(wiring, world, 'idle', supplyCase);
  if ('ok' in relays || relays.coils.length === 0) return [];
  const rests = calls.map((call) => restOf(relays, call, supplyCase));
  const working = workersOf(relays);
  return rests.flatMap((now) =>
    rests.flatMap((before): HeldOn[] => {
      if (before === now || !before.energised.some((_, number) => mayHold(before, now, working, number)))
        return [];
      settle(relays, now.call, supplyCase, before.energised);
      const held = Array.from(relays.energised.keys()).filter(
        (number) =>
          relays.chattering[number] === 1 || (relays.energised[number] === 1 && now.energised[number] === 0)
      );
      return held.length === 0 ? [] : [heldFact(relays, { before, now, held })];
    })
  );
}

/** Coils that a call before may hold, whatever their values: what `heldOn` is worth asking of in a corner. */
export function holdable(wiring: Wiring, world: World, calls: readonly Call[]): string[] {
  const relays = settled(wiring, world, 'idle');
  if ('ok' in relays || relays.coils.length === 0) return [];
  const rests = calls.map((call) => restOf(relays, call, PLAIN_CASE));
  const working = workersOf(relays);
  const numbers = rests.flatMap((now) =>
    rests.flatMap((before) =>
      Array.from(relays.coils.keys()).filter((number) => mayHold(before, now, working, number))
    )
  );
  return [...new Set(numbers)].map((number) => relays.circuit.netlist.elements[relays.coils[number]!]!.id);
}

function restOf(relays: Relays, call: Call, supplyCase: SupplyCase): Rest {
  settle(relays, call, supplyCase);
  return {
    call,
    energised: relays.energised.slice(),
    volts: Array.from(relays.coils, (_, number) => coilVolts(relays, number))
  };
}

/** Numbers of the coils that work a contact. */
function workersOf({ circuit, contacts, numberOf }: Relays): ReadonlySet<number> {
  const { elements } = circuit.netlist;
  return new Set(
    Array.from(contacts, (at) => numberOf.get((elements[at] as Contact).coil) ?? -1).filter(
      (number) => number >= 0
    )
  );
}

function mayHold(before: Rest, now: Rest, working: ReadonlySet<number>, number: number): boolean {
  return (
    before.energised[number] === 1 &&
    now.energised[number] === 0 &&
    ((now.volts[number] ?? 0) > NO_VOLTS || working.has(number))
  );
}

interface Held {
  readonly before: Rest;
  readonly now: Rest;
  /** Numbers of the coils. */
  readonly held: readonly number[];
}

function heldFact(relays: Relays, { before, now, held }: Held): HeldOn {
  const { circuit, coils, chattering } = relays;
  const { elements, loads } = circuit.netlist;
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
    coils: held.map((number) => partRef(elements[coils[number]!] as Coil)),
    volts: Math.min(...held.map((number) => coilVolts(relays, number))),
    chatters: held.some((number) => chattering[number] === 1)
  };
}
