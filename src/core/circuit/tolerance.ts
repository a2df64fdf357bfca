/**
 * A house is never what its sheets say: mains sag, coils and transformers differ, joints age. Each draw takes every value from its range,
 * settles every call and notes the voltage at the thermostat; over many draws that gives the share of houses in which it falls below its
 * window. One structure serves all draws.
 */
import { PLAIN_CASE, type World } from '../devices/world';
import { chanceFrom } from '../trade/random';
import type { Call } from '../trade/calls';
import type { Wiring } from '../wiring/graph';
import { circuitOf, isCircuit } from './circuit';
import { expectedLoads } from './expected';
import type { LongRun } from './long-run';
import { netlistOf } from './netlist';
import { coilsOfLoad, elementVolts, relaysOf, settle, type Relays } from './settle';
import type { SimulateFailure } from './simulate';
import { drawnFrom, spreadValues } from './spread';

export interface ToleranceRequest {
  readonly wiring: Wiring;
  readonly world: World;
  readonly calls: readonly Call[];
  readonly draws: number;
  readonly seed: number;
}

export interface CallSpread {
  readonly call: Call;
  /** Volts at the thermostat in each draw; empty where none is fed by a common. */
  readonly volts: Float32Array;
  /** Share of draws outside its window, below and above. */
  readonly below: number;
  readonly above: number;
  /** Share of draws in which a load that the call is meant to start does not run. */
  readonly dead: number;
}

export interface ToleranceResult {
  readonly draws: number;
  readonly seed: number;
  readonly window: { readonly min: number; readonly max: number } | null;
  readonly calls: readonly CallSpread[];
}

interface Tally {
  readonly volts: Float32Array;
  below: number;
  above: number;
  dead: number;
}

export function toleranceRun(request: ToleranceRequest): LongRun<ToleranceResult> | SimulateFailure {
  const { wiring, world, calls, draws, seed } = request;
  const netlist = netlistOf(wiring, world);
  if (!netlist)
    return { ok: false, reason: 'no-model', at: world.family, why: `no circuit is known for ${world.says}` };
  const circuit = circuitOf(netlist, 'complex');
  if (!isCircuit(circuit)) return { ...circuit, reason: 'not-solvable' };
  const relays = relaysOf(circuit);
  const draw = drawnFrom(chanceFrom(seed));
  const [fed] = netlist.fed;
  const fedAt = fed ? (circuit.placeOf.get(fed.element) ?? -1) : -1;
  const wanted = calls.map((call) => wantedCoils(relays, call, world));
  const tallies = calls.map((): Tally => ({
    volts: new Float32Array(fed ? draws : 0),
    below: 0,
    above: 0,
    dead: 0
  }));
  let done = 0;
  const drawOnce = () => {
    spreadValues(circuit, draw);
    for (let at = 0; at < calls.length; at += 1) {
      const tally = tallies[at]!;
      settle(relays, calls[at]!, PLAIN_CASE);
      if (!runs(relays, wanted[at]!)) tally.dead += 1;
      if (!fed || fedAt < 0) continue;
      const volts = elementVolts(relays, fedAt);
      tally.volts[done] = volts;
      if (volts < fed.min) tally.below += 1;
      else if (volts > fed.max) tally.above += 1;
    }
    done += 1;
  };
  return {
    total: draws,
    done: () => done,
    advance: (steps) => {
      for (const end = Math.min(draws, done + steps); done < end;) drawOnce();
    },
    result: () => ({
      draws: done,
      seed,
      window: fed ? { min: fed.min, max: fed.max } : null,
      calls: calls.map((call, at) => {
        const { volts, below, above, dead } = tallies[at]!;
        const share = (count: number) => (done === 0 ? 0 : count / done);
        return {
          call,
          volts: volts.subarray(0, fed ? done : 0),
          below: share(below),
          above: share(above),
          dead: share(dead)
        };
      })
    })
  };
}

/** For each load that the call is meant to start: the numbers of the coils of which one must be pulled in. */
function wantedCoils(relays: Relays, call: Call, world: World): Int32Array[] {
  return expectedLoads(call, world).map((load) => coilsOfLoad(relays, load));
}

function runs({ energised }: Relays, wanted: readonly Int32Array[]): boolean {
  for (let load = 0; load < wanted.length; load += 1) {
    const coils = wanted[load]!;
    let any = false;
    for (let i = 0; !any && i < coils.length; i += 1) any = energised[coils[i]!] === 1;
    if (!any) return false;
  }
  return true;
}
