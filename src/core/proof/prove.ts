/**
 * The proof of an option: both wirings are powered up for every call, in every believable world and in every case of polarity and
 * bonding, and compared function by function. What is said here comes out of the circuit; nothing is asserted.
 */
import { running } from '../circuit/expected';
import { simulate, type CallResult, type SimulateFailure } from '../circuit/simulate';
import { casesIn } from '../circuit/supply-cases';
import { callsOf, combinedCallsOf } from '../devices/calls';
import { isHeatPump } from '../devices/roles';
import { withBlowerInCool, withNeighbourWorlds, type MachineWorld, type World } from '../devices/world';
import { hasStop, sortFindings, type Finding, factKey } from '../findings/finding';
import { isCombined, type Call } from '../trade/calls';

import type { Wiring } from '../wiring/graph';
import { jointWiring } from '../wiring/joint';
import { acrossWorlds, type FoundIn } from './across-worlds';
import { complaintFindings } from './complaint';
import { heldAtLimits, heldFindings } from './held';
import { CIRCUIT_LIMITS, limitFindings } from './limit-findings';
import { crowdFindings, foldSupply, rowFindings, unsolvable, worstHarm } from './proof-findings';
import { atLimits, type AtLimits } from './limits';
import { holdsNominally, newWith, nominalRow, type SolvedCall } from './rows';
import type { Proof, ProofInput, ProofRow, WorldProof } from './types';

export function prove(input: ProofInput): Proof {
  const outcomes = input.worlds.map(({ world, weight }) => proveWorld(input, world, weight));
  const findings = sortFindings(acrossWorlds(outcomes));
  const [likeliest] = input.worlds;
  return {
    worlds: outcomes.flatMap((outcome) => outcome.proof ?? []),
    findings,
    complaints: hasStop(findings) || !likeliest ? [] : complaintFindings(input.after, likeliest.world),
    solves: outcomes.reduce((sum, outcome) => sum + outcome.solves, 0)
  };
}

interface WorldOutcome extends FoundIn {
  /** Null where the world has no circuit. */
  readonly proof: WorldProof | null;
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
  const calls = input.calls ?? [...callsOf(first, input.before), ...combinedCallsOf(first, input.before)];
  const printed = proveBehaviour(input, first, world, weight, calls);
  const said = new Set(printed.findings.map(factKey));
  const more = others
    .map((other) => proveBehaviour(input, other, world, weight, printed.cooled))
    // The circuit is the same: volts, amps and fuses have been said, what the coils bring on may be new.
    .map(({ findings, solves }) => ({
      solves,
      findings: notOpenAlready(findings, printed.findings).filter(
        (finding) => !said.has(factKey(finding)) && !CIRCUIT_LIMITS.has(finding.code)
      )
    }));
  return {
    ...printed,
    findings: foldSupply([...printed.findings, ...more.flatMap((entry) => entry.findings)]),
    solves: [printed, ...more].reduce((sum, entry) => sum + entry.solves, 0)
  };
}

interface BehaviourOutcome extends WorldOutcome {
  /** Calls in which a compressor runs: in the others it makes no difference how the board starts the blower in cooling. */
  readonly cooled: readonly Call[];
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
    Object.assign({}, ...neighbours.map((neighbour) => neighbour.worlds)) as Record<string, MachineWorld>
  );
  const allAfter = shared ? jointWiring(input.after, neighbours) : input.after;
  const wirings = { before: input.before, allAfter, shared };
  const solved: SolvedCall[] = [];
  const findings: Finding[] = [];
  for (const call of calls) {
    const entry = solveCall(input, allAfter, { own: behaviour, joint: jointWorld }, call);
    if ('ok' in entry)
      return { world, proof: null, findings: [unsolvable(entry, world)], solves: 0, cooled: [] };
    solved.push(entry);
    const own = [
      ...crowdFindings(entry, neighbours.length + 1),
      ...rowFindings(entry.row, behaviour, input.needsSupply),
      ...worstHarm(entry.cases)
    ];
    const fresh = notOpenAlready(own, findings);
    findings.push(...(isCombined(call) ? newWith(fresh, findings) : fresh));
  }
  findings.push(...heldFindings(allAfter, jointWorld, calls));
  // What fails with nominal values is refused already: how far off it may be as well is of no use to anybody.
  const limits = hasStop(findings) ? [] : solved.map((solvedCall) => atLimits(wirings, solvedCall));
  const solvable = limits.filter((limit) => limit !== null);
  if (!hasStop(findings)) findings.push(...heldAtLimits(allAfter, jointWorld, calls));
  findings.push(...limitFindings(solvable, holdsNominally(solved, input.needsSupply), neighbours.length + 1));
  const proof: WorldProof = {
    world,
    weight,
    rows: solved.map((solvedCall, at) => ({ ...solvedCall.row, ...limitsOf(limits[at]) })),
    before: solved.map((solvedCall) => solvedCall.was),
    after: solved.flatMap((solvedCall) => solvedCall.cases.slice(0, 1))
  };
  const solves = [...solved, ...limits].reduce((sum, entry) => sum + (entry?.solves ?? 0), 0);
  return { world, proof, findings, solves, cooled: cooledCalls(solved, limits) };
}

/** A fuse that opens with nothing called opens in every call: it is said once. */
function notOpenAlready(own: readonly Finding[], said: readonly Finding[]): Finding[] {
  const open = new Set(
    said.flatMap((finding) =>
      finding.code === 'fuse-opens' && finding.params.call === 'idle' ? [finding.params.supply] : []
    )
  );
  return own.filter((finding) => finding.code !== 'fuse-opens' || !open.has(finding.params.supply));
}

function cooledCalls(solved: readonly SolvedCall[], limits: readonly (AtLimits | null)[]): Call[] {
  const runsCompressor = ({ was, cases, crowd }: SolvedCall) =>
    [was, ...cases, ...(crowd ? [crowd] : [])].some((result) => running(result.loads).includes('compressor'));
  return solved
    .filter((solvedCall, at) => runsCompressor(solvedCall) || limits[at]?.uncalled.includes('compressor'))
    .map((solvedCall) => solvedCall.call);
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
  for (const supplyCase of casesIn(input.after, world)) {
    const now = simulate(input.after, world, call, supplyCase);
    if (!now.ok) return now;
    cases.push(now.result);
  }
  // Polarity and bonding are each thermostat's own matter, and solved above; what all draw together is solved once.
  const together = allAfter === input.after ? null : simulate(allAfter, joint, call);
  if (together && !together.ok) return together;
  const crowd = together?.result ?? null;
  const all = [was.result, ...cases, ...(crowd ? [crowd] : [])];
  const solves = all.reduce((sum, result) => sum + result.solves, 0);
  const nominal = { world: joint, call, was: was.result, cases, crowd };
  return { ...nominal, row: nominalRow(nominal), solves };
}

function limitsOf(limit: AtLimits | null | undefined): Pick<ProofRow, 'voltsLow' | 'voltsHigh' | 'ampsMost'> {
  return { voltsLow: limit?.low ?? null, voltsHigh: limit?.high ?? null, ampsMost: limit?.amps ?? null };
}
