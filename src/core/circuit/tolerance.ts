/**
 * A house is never what its sheets say: mains sag, coils and transformers differ, joints age. Each draw takes every value from its range,
 * settles every call and notes the voltage at the thermostat; over many draws that gives the share of houses in which it falls below its
 * window. One structure serves all draws.
 */
import { PLAIN_CASE, type World } from '../devices/world';
import type { Coil, Resistor } from '../devices/elements';
import { chanceFrom, type Chance } from '../trade/random';
import type { Call } from '../trade/vocabulary';
import type { Wiring } from '../wiring/graph';
import { circuitOf, isCircuit, setImpedance, type Circuit } from './circuit';
import { expectedLoads } from './expected';
import type { LongRun } from './long-run';
import { netlistOf } from './netlist';
import { coilsOfLoad, elementVolts, relaysOf, settle, type Relays } from './settle';
import type { SimulateFailure } from './simulate';

/** Ranges that values are drawn from, evenly, as factors of the nominal value. Mains: ±10 %; the rest by usual sheets. */
export const RANGES = {
  mains: [0.9, 1.1],
  transformerOhms: [0.85, 1.15],
  coilSize: [0.8, 1.2],
  /** Added to the power factor of a coil. */
  powerFactor: [-0.1, 0.1],
  electronics: [0.7, 1.3],
  /** Length as paced, and copper up to 60 °C. */
  copper: [0.9, 1.16],
  /** Ohms of one joint: evenly over the logarithm, from a good screw to a corroded one. */
  jointOhms: [0.002, 0.1]
} as const;

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
  const chance = chanceFrom(seed);
  const [fed] = netlist.fed;
  const fedAt = fed ? (circuit.placeOf.get(fed.element) ?? -1) : -1;
  const wanted = calls.map((call) => wantedCoils(relays, call, world));
  const joints = new Set(wiring.strands.map((one) => one.id));
  const tallies = calls.map((): Tally => ({
    volts: new Float32Array(fed ? draws : 0),
    below: 0,
    above: 0,
    dead: 0
  }));
  let done = 0;
  const one = () => {
    drawValues(circuit, joints, chance);
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
      for (const end = Math.min(draws, done + steps); done < end;) one();
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

function drawValues(circuit: Circuit, joints: ReadonlySet<string>, chance: Chance): void {
  const between = ([low, high]: readonly [number, number]) => low + (high - low) * chance.next();
  const mains = between(RANGES.mains);
  const { elements } = circuit.netlist;
  for (let at = 0; at < elements.length; at += 1) {
    const element = elements[at]!;
    if (element.kind === 'source') {
      circuit.emf[at] = element.volts * mains;
      setImpedance(circuit, at, Math.max(element.ohms * between(RANGES.transformerOhms), 1e-7), 0);
    } else if (element.kind === 'coil') drawCoil(circuit, at, element, between);
    else if (element.kind === 'resistor') drawResistor(circuit, at, element, joints.has(element.id), between);
  }
}

type Between = (range: readonly [number, number]) => number;

function drawCoil(circuit: Circuit, at: number, coil: Coil, between: Between): void {
  const size = Math.hypot(coil.ohms, coil.reactance) * between(RANGES.coilSize);
  const share = Math.min(
    1,
    Math.max(0.2, coil.ohms / Math.hypot(coil.ohms, coil.reactance) + between(RANGES.powerFactor))
  );
  setImpedance(circuit, at, size * share, size * Math.sqrt(1 - share * share));
}

function drawResistor(circuit: Circuit, at: number, one: Resistor, joint: boolean, between: Between): void {
  const isElectronics = one.ohms > 10;
  if (isElectronics) setImpedance(circuit, at, one.ohms / between(RANGES.electronics), 0);
  else if (joint)
    setImpedance(circuit, at, one.ohms * between(RANGES.copper) + jointOhms(between) + jointOhms(between), 0);
  else setImpedance(circuit, at, jointOhms(between), 0);
}

function jointOhms(between: Between): number {
  const [low, high] = RANGES.jointOhms;
  return Math.exp(between([Math.log(low), Math.log(high)]));
}
