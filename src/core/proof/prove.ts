/**
 * The proof of an option: both wirings are powered up for every call, in every believable world and in every case of polarity and
 * bonding, and compared function by function. What is said here comes out of the circuit; nothing is asserted.
 */
import { running } from '../circuit/expected';
import { simulate, type CallResult, type SimulateFailure, type SupplyResult } from '../circuit/simulate';
import { callsOf, combinedCallsOf } from '../devices/calls';
import { isHeatPump } from '../devices/roles';
import {
  supplyCases,
  withBlowerInCool,
  withNeighbourWorlds,
  type MachineWorld,
  type World
} from '../devices/world';
import { hasStop, sortFindings, type Finding, factKey, subjectKey } from '../findings/finding';
import { isCombined, type Call } from '../trade/calls';

import type { Wiring } from '../wiring/graph';
import { isSupply } from '../wiring/graph';
import { jointWiring } from '../wiring/joint';
import { complaintFindings } from './complaint';
import { CIRCUIT_LIMITS, limitFindings, type HoldsNominally } from './limit-findings';
import {
  asksIn,
  crowdFindings,
  dipFindings,
  foldSupply,
  rowFindings,
  unsolvable,
  worstHarm
} from './proof-findings';
import { atLimits, type AtLimits, type NominalCall } from './limits';
import type { NominalRow, Proof, ProofInput, ProofRow, WorldProof } from './types';

export function prove(input: ProofInput): Proof {
  const outcomes = input.worlds.map(({ world, weight }) => proveWorld(input, world, weight));
  const findings = sortFindings(mergeAcrossWorlds(outcomes));
  const [likeliest] = input.worlds;
  return {
    worlds: outcomes.flatMap((one) => one.proof ?? []),
    findings,
    complaints: hasStop(findings) || !likeliest ? [] : complaintFindings(input.after, likeliest.world),
    solves: outcomes.reduce((sum, one) => sum + one.solves, 0)
  };
}

/** What holds in every world is said once; what holds in some names them. */
function mergeAcrossWorlds(outcomes: readonly WorldOutcome[]): Finding[] {
  const byFact = new Map<string, { finding: Finding; worlds: Set<World> }>();
  for (const { world, findings } of outcomes) {
    for (const one of findings) {
      const key = factKey(one);
      const entry = byFact.get(key) ?? { finding: one, worlds: new Set() };
      entry.worlds.add(world);
      byFact.set(key, entry);
    }
  }
  return [...byFact.values()].map(({ finding: one, worlds }) => {
    if (worlds.size === outcomes.length) return one;
    // Two worlds may go by one name: a family whose board may behave in two ways.
    return { ...one, worlds: [...new Set([...worlds].map((world) => world.says))] };
  });
}

interface WorldOutcome {
  readonly world: World;
  /** Null where the world has no circuit. */
  readonly proof: WorldProof | null;
  readonly findings: readonly Finding[];
  readonly solves: number;
}

/**
 * A world with each way its board may start the blower in cooling, where nobody knows: both are solved, and what either does wrong counts.
 * The first is the one that is printed.
 */
function behaviours(world: World): World[] {
  const knownByFamily = isHeatPump(world.family) || !world.compressor;
  return knownByFamily ? [world] : [withBlowerInCool(world, 'g'), withBlowerInCool(world, 'board')];
}

function proveWorld(input: ProofInput, world: World, weight: number): WorldOutcome {
  const [first = world, ...others] = behaviours(world);
  const calls = [...callsOf(first, input.before), ...combinedCallsOf(first, input.before)];
  const printed = proveBehaviour(input, first, world, weight, calls);
  const said = new Set(printed.findings.map(factKey));
  const more = others
    .map((one) => proveBehaviour(input, one, world, weight, printed.cooled))
    // The circuit is the same: volts and amps have been said, what the coils bring on may be new.
    .map(({ findings, solves }) => ({
      solves,
      findings: findings.filter((one) => !said.has(factKey(one)) && !CIRCUIT_LIMITS.has(one.code))
    }));
  return {
    ...printed,
    findings: foldSupply([...printed.findings, ...more.flatMap((one) => one.findings)]),
    solves: [printed, ...more].reduce((sum, one) => sum + one.solves, 0)
  };
}

interface BehaviourOutcome extends WorldOutcome {
  /** Calls in which a compressor runs: in the others it makes no difference how the board starts the blower in cooling. */
  readonly cooled: readonly Call[];
}

/** One call with nominal values: as it is, in every case of supplies, and with all neighbours calling at once. */
interface SolvedCall extends NominalCall {
  readonly row: NominalRow;
  readonly solves: number;
}

function proveBehaviour(
  input: ProofInput,
  behaviour: World,
  world: World,
  weight: number,
  calls: readonly Call[]
): BehaviourOutcome {
  const neighbours = input.neighbours ?? [];
  const shared = neighbours.length > 0;
  const jointWorld = withNeighbourWorlds(
    behaviour,
    Object.assign({}, ...neighbours.map((one) => one.worlds)) as Record<string, MachineWorld>
  );
  const allAfter = shared ? jointWiring(input.after, neighbours) : input.after;
  const wirings = { before: input.before, allAfter, shared };
  const solved: SolvedCall[] = [];
  const findings: Finding[] = [];
  for (const call of calls) {
    const one = solveCall(input, allAfter, { own: behaviour, joint: jointWorld }, call);
    if ('ok' in one) return { world, proof: null, findings: [unsolvable(one, world)], solves: 0, cooled: [] };
    solved.push(one);
    const own = [
      ...crowdFindings(one, neighbours.length + 1),
      ...rowFindings(one.row, behaviour, input.needsSupply),
      ...worstHarm(one.cases),
      ...dipFindings(one.was, one.cases)
    ];
    findings.push(...(isCombined(call) ? newWith(own, findings) : own));
  }
  // What fails with nominal values is refused already: how far off it may be as well is of no use to anybody.
  const limits = hasStop(findings) ? [] : solved.map((one) => atLimits(wirings, one));
  const solvable = limits.filter((one) => one !== null);
  findings.push(...limitFindings(solvable, holdsNominally(solved, input.needsSupply), neighbours.length + 1));
  const proof: WorldProof = {
    world,
    weight,
    rows: solved.map((one, at) => ({ ...one.row, ...limitsOf(limits[at]) })),
    before: solved.map((one) => one.was),
    after: solved.flatMap((one) => one.cases.slice(0, 1))
  };
  const solves = [...solved, ...limits].reduce((sum, one) => sum + (one?.solves ?? 0), 0);
  return { world, proof, findings, solves, cooled: cooledCalls(solved, limits) };
}

/** Of a call that asks for several things at once: what none of them did by itself. */
function newWith(own: readonly Finding[], said: readonly Finding[]): Finding[] {
  const known = new Set(said.map(subjectKey));
  return own.filter((one) => {
    if (one.code === 'thermostat-unfed') return true;
    if (!('loads' in one.params)) return !known.has(subjectKey(one));
    const before = said.flatMap((other) =>
      other.code === one.code && 'loads' in other.params ? other.params.loads : []
    );
    return one.params.loads.some((load) => !before.includes(load));
  });
}

function cooledCalls(solved: readonly SolvedCall[], limits: readonly (AtLimits | null)[]): Call[] {
  const runsCompressor = ({ was, cases, crowd }: SolvedCall) =>
    [was, ...cases, ...(crowd ? [crowd] : [])].some((one) => running(one.loads).includes('compressor'));
  return solved
    .filter((one, at) => runsCompressor(one) || limits[at]?.uncalled.includes('compressor'))
    .map((one) => one.call);
}

function solveCall(
  input: ProofInput,
  allAfter: Wiring,
  { own: world, joint }: { readonly own: World; readonly joint: World },
  call: Call
): SolvedCall | SimulateFailure {
  const was = simulate(input.before, world, call);
  if (!was.ok) return was;
  const cases: CallResult[] = [];
  for (const supplyCase of supplyCases(suppliesIn(input.after))) {
    const now = simulate(input.after, world, call, supplyCase);
    if (!now.ok) return now;
    cases.push(now.result);
  }
  // Polarity and bonding are each thermostat's own matter, and solved above; what all draw together is solved once.
  const together = allAfter === input.after ? null : simulate(allAfter, joint, call);
  if (together && !together.ok) return together;
  const crowd = together?.result ?? null;
  const all = [was.result, ...cases, ...(crowd ? [crowd] : [])];
  const solves = all.reduce((sum, one) => sum + one.solves, 0);
  const nominal = { world: joint, call, was: was.result, cases, crowd };
  return { ...nominal, row: nominalRow(nominal), solves };
}

function limitsOf(limit: AtLimits | null | undefined): Pick<ProofRow, 'voltsLow' | 'voltsHigh' | 'ampsMost'> {
  return { voltsLow: limit?.low ?? null, voltsHigh: limit?.high ?? null, ampsMost: limit?.amps ?? null };
}

/** What a corner may take away: what does not hold with nominal values has been said already. */
function holdsNominally(
  calls: readonly SolvedCall[],
  needsSupply: ProofInput['needsSupply']
): HoldsNominally {
  const of = (call: Call) => calls.find((one) => one.call === call);
  return {
    fed: (call) => needsSupply !== 'dozes' && asksIn(needsSupply, call) && of(call)?.row.fedAfter === true,
    runs: (call, load) => of(call)?.row.after.includes(load) === true,
    carried: (call, supply) => {
      const solved = of(call);
      const results = solved ? [...solved.cases, ...(solved.crowd ? [solved.crowd] : [])] : [];
      const own = results.flatMap((one) => one.supplies.filter((it) => it.id === supply));
      return own.every((one) => !one.fuseOpen && one.amps <= one.ratedAmps);
    }
  };
}

function suppliesIn(wiring: Wiring): number {
  return wiring.devices.filter(isSupply).length;
}

function nominalRow({ call, was, cases, crowd }: Omit<SolvedCall, 'row' | 'solves'>): NominalRow {
  const before = running(was.loads);
  const always = cases
    .map((one) => running(one.loads))
    .reduce((common, one) => common.filter((load) => one.includes(load)));
  const ever = new Set(cases.flatMap((one) => running(one.loads)));
  const all = [...cases, ...(crowd ? [crowd] : [])];
  const own = new Set(cases.flatMap((one) => one.feeds.map((feed) => feed.device)));
  const crowded = crowd?.feeds.filter((one) => own.has(one.device)) ?? [];
  const volts = [...cases.map((one) => one.thermostatVolts), ...crowded.map((one) => one.volts)].filter(
    (one): one is number => one !== null
  );
  const fed = [...cases.map((one) => one.thermostatFed), ...crowded.map((one) => one.fed)];
  const over = [...cases.flatMap((one) => one.feeds), ...crowded].flatMap((feed) =>
    feed.volts > feed.max ? [feed.volts] : []
  );
  const supplies = all.flatMap((one) => one.supplies);
  return {
    call,
    before,
    after: always,
    lost: before.filter((load) => !always.includes(load)),
    gained: [...ever].filter((load) => !before.includes(load)),
    voltsBefore: was.thermostatVolts,
    voltsAfter: volts.length > 0 ? Math.min(...volts) : null,
    fedAfter: fed.includes(false) ? false : (fed[0] ?? null),
    voltsOver: over.length > 0 ? Math.max(...over) : null,
    vaBefore: mostVa([was]),
    vaAfter: mostVa(all),
    loadShare: Math.max(0, ...supplies.map((one) => one.amps / one.ratedAmps)),
    fuse: nearestFuse(supplies)
  };
}

function nearestFuse(supplies: readonly SupplyResult[]): ProofRow['fuse'] {
  const fuses = supplies.flatMap((one) =>
    one.fuseRating === null
      ? []
      : [{ amps: one.fuseAmps ?? one.amps, rating: one.fuseRating, open: one.fuseOpen }]
  );
  return fuses.reduce<ProofRow['fuse']>(
    (worst, one) => (worst && worst.amps / worst.rating >= one.amps / one.rating ? worst : one),
    null
  );
}

function mostVa(results: readonly CallResult[]): number {
  return Math.max(0, ...results.flatMap((one) => one.supplies.map((supply) => supply.va)));
}
