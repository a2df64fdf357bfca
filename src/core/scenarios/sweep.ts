/** What has to hold of every option that is offered, whatever the house: asserted over enumerated situations. */
import { callsIn } from '../findings/refs';
import { running, uncalledIn } from '../circuit/expected';
import { simulate, type CallResult } from '../circuit/simulate';
import { callsOf, combinedCallsOf } from '../devices/calls';
import { supplyCases, type CornerId, type World } from '../devices/world';
import { applyMoves } from '../plan/moves';
import { planFor, type PlannedOption } from '../plan/plan';
import { CIRCUIT_LIMITS } from '../proof/limit-findings';
import { SLACK_VOLTS } from '../proof/limits';
import { circuitKey, rememberingProver } from '../proof/proof-memory';
import type { Prover } from '../proof/types';
import { requestsOf, type Call } from '../trade/calls';
import type { FindingCode } from '../findings/finding';
import { deviceOf, isSupply, landedTerminal, sortedWiring, type Wiring } from '../wiring/graph';
import { reachedLoads } from './reach-checker';
import { situationOf, type Situation } from '../houses/situations';

export interface Violation {
  readonly situation: number;
  readonly option: string;
  readonly what: string;
}

export interface Checked {
  readonly options: number;
  readonly offered: number;
  /** Calls powered up, each in every case of polarity and bonding; the same circuit of a neighbour counts again. */
  readonly cases: number;
  /** Of those, the ones in which the second checker had a say. */
  readonly compared: number;
  readonly violations: readonly Violation[];
}

/** What was solved for the neighbours of a situation: most of them share its circuits. */
export interface SweepMemory {
  readonly prover: Prover;
  readonly checks: Map<string, CircuitCheck>;
}

export function sweepMemory(): SweepMemory {
  return { prover: rememberingProver(MOST_PROOFS), checks: new Map() };
}

/** Plans one situation and checks every option that may be done. */
export function checkSituation(number: number, memory: SweepMemory = sweepMemory()): Checked {
  const situation = situationOf(number);
  const { job, thermostat } = situation.house;
  const plan = planFor(job, thermostat, { device: situation.device, prover: memory.prover });
  const violations: Violation[] = [];
  let offered = 0;
  let compared = 0;
  let cases = 0;
  for (const option of plan.options) {
    if (option.after === null || (option.verdict !== 'go' && option.verdict !== 'care')) continue;
    offered += 1;
    const say = (what: string) =>
      violations.push({
        situation: number,
        option: `${option.method} ${option.variant?.id ?? ''}`.trim(),
        what
      });
    checkGraph(option, option.after, situation, say);
    const check = circuitCheck(option, option.after, situation, memory);
    check.violations.forEach(say);
    compared += check.compared;
    cases += check.cases;
  }
  const options = plan.options.reduce((sum, option) => sum + Math.max(1, option.variants.length), 0);
  return { options, offered, cases, compared, violations };
}

/** More proofs than one block of situations has. */
const MOST_PROOFS = 2000;

type Say = (what: string) => void;

function checkGraph(option: PlannedOption, after: Wiring, { read }: Situation, say: Say): void {
  const led = sortedWiring(applyMoves(option.before, option.moves));
  if (JSON.stringify(led) !== JSON.stringify(sortedWiring(after)))
    say('the moves do not lead to the wiring after');
  for (const strand of after.strands) {
    const was = option.before.strands.find((candidate) => candidate.id === strand.id);
    const terminal = landedTerminal(strand.far);
    if (terminal === null || (was && landedTerminal(was.far) === terminal)) continue;
    const screws = read.get(deviceOf(after, terminal)?.id ?? '');
    if (screws && !screws.has(terminal)) say(`${strand.id} is landed on ${terminal}, which was not read`);
  }
}

interface CircuitCheck {
  /** Calls powered up, each in every case of polarity and bonding. */
  readonly cases: number;
  /** Of those, the ones in which the second checker had a say. */
  readonly compared: number;
  readonly violations: readonly string[];
}

/** The check of an option's circuit, made once for all situations that have the same one. */
function circuitCheck(option: PlannedOption, after: Wiring, { device }: Situation, memory: SweepMemory) {
  const needs =
    device.supply === 'common-required' && option.method !== 'no-c-needed' && option.method !== 'none';
  const declared = option.findings
    .filter((finding) => finding.code === 'function-lost')
    .map((finding) => callsIn(finding.because).join());
  const said = new Set(
    option.findings.map((finding) => finding.code).filter((code) => CIRCUIT_LIMITS.has(code))
  );
  const key = `${circuitKey(option.before)} ${circuitKey(after)} ${needs} ${declared.join(' ')} ${[...said].join(' ')}`;
  const known = memory.checks.get(key);
  if (known) return known;
  const check = checkCircuit(option, after, { needs, declared, said });
  memory.checks.set(key, check);
  return check;
}

/** What the option says for itself. */
interface Expected {
  /** The thermostat has to be fed in every call. */
  readonly needs: boolean;
  /** The calls that it says are lost. */
  readonly declared: readonly string[];
  /** What it says of the worst case. */
  readonly said: ReadonlySet<FindingCode>;
}

/** Powers the option up anew in every world, call and case. */
function checkCircuit(option: PlannedOption, after: Wiring, expected: Expected): CircuitCheck {
  const violations: string[] = [];
  let compared = 0;
  let cases = 0;
  const supplies = after.devices.filter(isSupply).length;
  for (const { world } of option.proof?.worlds ?? []) {
    const today = mostToday(option.before, world);
    for (const call of everyCall(world, option.before)) {
      const was = simulate(option.before, world, call);
      for (const supplyCase of supplyCases(supplies)) {
        const now = simulate(after, world, call, supplyCase);
        cases += 1;
        const where = `${call} in ${world.id}`;
        if (!now.ok || !was.ok) {
          violations.push(`${where}: not solved`);
          continue;
        }
        violations.push(
          ...[
            ...wrongOf(world, was.result, now.result, expected),
            ...unsaidAtLimits(after, world, now.result, today, expected)
          ].map((what) => `${where}: ${what}`)
        );
        const reached = reachedLoads(after, world, call);
        // Earth is no copper of the house: the second checker does not follow it.
        if (reached === null || supplyCase.bonded || isLong(after)) continue;
        compared += 1;
        const on = running(now.result.loads);
        if (reached.join() !== [...on].sort().join())
          violations.push(
            `${where}: the second checker has ${reached.join(', ') || 'nothing'}, the circuit ${on.join(', ') || 'nothing'}`
          );
      }
    }
  }
  return { cases, compared, violations };
}

function everyCall(world: World, wiring: Wiring): Call[] {
  return [...callsOf(world, wiring), ...combinedCallsOf(world, wiring)];
}

/** What no option on offer may do in any call. */
function wrongOf(world: World, was: CallResult, now: CallResult, { needs, declared }: Expected): string[] {
  const on = running(now.loads);
  const wrongly = uncalledIn(running(was.loads), now.call, world);
  const lost = running(was.loads).filter((load) => !on.includes(load) && !wrongly.includes(load));
  const wrong: [boolean, string][] = [
    [needs && now.thermostatFed !== true, 'the thermostat is not fed'],
    [now.tied.length > 0, 'two supplies are tied'],
    [now.supplies.some((supply) => supply.fuseOpen), 'a fuse opens'],
    [now.supplies.some((supply) => supply.amps > supply.ratedAmps), 'a transformer is overloaded'],
    [
      !on.includes('blower') && (on.includes('compressor') || on.includes('strips')),
      'runs without the blower'
    ],
    [
      lost.length > 0 && !requestsOf(now.call).some((request) => declared.includes(request)),
      `${lost.join(', ')} lost and not said`
    ]
  ];
  return wrong.filter(([is]) => is).map(([, what]) => what);
}

/** What fails in the worst case is no harm, but it has to be said. */
function unsaidAtLimits(
  after: Wiring,
  world: World,
  now: CallResult,
  mostToday: ReadonlyMap<string, number>,
  { needs, said }: Expected
): string[] {
  // Supplies that are apart have their corners to themselves; those that are tied are a violation already.
  if (now.supplyCase.bonded || now.supplyCase.turned > 0) return [];
  const at = (corner: CornerId) => simulate(after, world, now.call, { ...now.supplyCase, corner });
  const [weak, strong, loaded] = [at('weak'), at('strong'), at('loaded')];
  if (!weak.ok || !strong.ok || !loaded.ok) return ['not solved in the worst case'];
  const out =
    weak.result.feeds.some((feed) => feed.volts < feed.min) ||
    strong.result.feeds.some((feed) => feed.volts > feed.max + SLACK_VOLTS);
  const beyond = loaded.result.supplies.some((supply) => {
    const today = mostToday.get(supply.id) ?? 0;
    // One that is loaded beyond the smallest size today is not of that size.
    const least = today * supply.nominalVolts > supply.leastVa ? supply.ratedVa : supply.leastVa;
    return supply.amps * supply.nominalVolts > least;
  });
  const wrong: [boolean, string][] = [
    [needs && out && !said.has('volts-at-limits'), 'the thermostat may leave its window, and it is not said'],
    [
      beyond && !said.has('overloaded-at-limits') && !said.has('transformer-unread'),
      'a transformer may be overloaded, and it is not said'
    ]
  ];
  return wrong.filter(([is]) => is).map(([, what]) => what);
}

/** The most that each transformer gives today in any call, amps, by its id. */
function mostToday(before: Wiring, world: World): Map<string, number> {
  const most = new Map<string, number>();
  for (const call of everyCall(world, before)) {
    const made = simulate(before, world, call);
    for (const { id, amps } of made.ok ? made.result.supplies : [])
      most.set(id, Math.max(amps, most.get(id) ?? 0));
  }
  return most;
}

/** Where drops along the cable decide, reachability has no say. */
function isLong(wiring: Wiring): boolean {
  return wiring.strands.some((strand) => strand.ohms > 1);
}
