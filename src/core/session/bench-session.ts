/**
 * A session at the bench: a wiring, a world, a call, and whatever was put wrong on purpose, powered up. What can be observed of it is apart
 * from why it is so: a session in which somebody is to find out shows the one and keeps the other.
 */
import type { Meter } from '../circuit/meter';
import { netlistOf } from '../circuit/netlist';
import { casesIn } from '../circuit/supply-cases';
import { powerUp, type CallResult, type LoadResult } from '../circuit/simulate';
import { callsOf, combinedCallsOf } from '../devices/calls';
import { PLAIN_CASE, type SupplyCase, type World } from '../devices/world';
import { whatRuns, whyNotRunning, type Solved } from '../diagnose/explain';
import { faultsOf } from '../diagnose/faults/registry';
import type { Fault } from '../diagnose/types';
import type { Finding } from '../findings/finding';
import { harmFindings } from '../proof/harm';
import type { Call } from '../trade/calls';
import type { Wiring } from '../wiring/graph';
import { readStrands, type StrandReading } from './strand-readings';

export interface BenchSession {
  /** The wiring while nothing is wrong with it. */
  readonly sound: Wiring;
  readonly world: World;
  readonly call: Call;
  readonly supplyCase: SupplyCase;
  /** Ids of faults that were put in, in their order. */
  readonly wrong: readonly string[];
}

/** What can be seen, heard and measured. */
export interface Observed {
  readonly call: Call;
  /** What runs and what does not, in a sentence. */
  readonly headline: string;
  readonly loads: readonly LoadResult[];
  /** The display of the new thermostat: null where it has none to be fed. */
  readonly displayLit: boolean | null;
  /** What each wire carries, by its id. */
  readonly strands: ReadonlyMap<string, StrandReading>;
  /** Volts between any two points; null where nothing joins them. */
  readonly meter: Meter;
}

/** Why it is so. */
export interface Causes {
  readonly reasons: readonly string[];
  readonly findings: readonly Finding[];
}

export interface PoweredSession extends Solved {
  readonly result: CallResult;
}

export type SessionOutcome =
  { readonly ok: true; readonly powered: PoweredSession } | { readonly ok: false; readonly why: string };

/** Every call that the system has on this wiring: simple ones, and sets of them. */
export function sessionCalls(wiring: Wiring, world: World): Call[] {
  return [...callsOf(world, wiring), ...combinedCallsOf(world, wiring)];
}

/** Cases of polarity and bonding, as far as supplies of the wiring touch, with what was put wrong in it. */
export function sessionCases(wiring: Wiring, world: World): readonly SupplyCase[] {
  return casesIn(wiring, world);
}

/** Everything that can be put wrong. */
export function sessionFaults(wiring: Wiring, world: World): readonly Fault[] {
  const netlist = netlistOf(wiring, world);
  return netlist ? faultsOf(wiring, netlist) : [];
}

/** The wiring with what was put wrong in it. A fault that this wiring cannot have is left out. */
export function faultedWiring({
  sound,
  world,
  wrong
}: Pick<BenchSession, 'sound' | 'world' | 'wrong'>): Wiring {
  const faults = wrong.length === 0 ? [] : sessionFaults(sound, world);
  return wrong.reduce(
    (wiring, id) => faults.find((fault) => fault.id === id)?.apply(wiring) ?? wiring,
    sound
  );
}

export function powerSession(session: BenchSession): SessionOutcome {
  const wiring = faultedWiring(session);
  const made = powerUp(wiring, session.world, session.call, session.supplyCase ?? PLAIN_CASE);
  if (!made.ok) return { ok: false, why: `Not solved: ${made.why}.` };
  return { ok: true, powered: { wiring, world: session.world, result: made.result, meter: made.meter } };
}

export function observe(powered: PoweredSession): Observed {
  const { wiring, result, meter } = powered;
  return {
    call: result.call,
    headline: whatRuns(powered),
    loads: result.loads,
    displayLit: result.thermostatFed,
    strands: readStrands(wiring, meter),
    meter
  };
}

export function causesOf(powered: PoweredSession): Causes {
  return { reasons: whyNotRunning(powered), findings: harmFindings(powered.result) };
}
