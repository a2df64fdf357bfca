/**
 * The proof of an option: both wirings are powered up for every call, in every believable world and in every case of polarity and
 * bonding, and compared function by function. What is said here comes out of the circuit; nothing is asserted.
 */
import { expectedLoads, running } from '../circuit/expected';
import { simulate, type CallResult } from '../circuit/simulate';
import { callsOf } from '../devices/calls';
import { isHeatPump } from '../devices/roles';
import { caseName, supplyCases, type World } from '../devices/world';
import type { WeightedWorld } from '../identify/worlds';
import { LOAD_NAMES } from '../trade/loads';
import { finding, sortFindings, type Finding } from '../trade/findings';
import { CALL_NAMES, type Call, type LoadId } from '../trade/vocabulary';
import type { Wiring } from '../wiring/graph';
import { jointWiring, type Neighbour } from '../wiring/joint';
import { harmFindings } from './harm';
import { atLimits, limitFindings, type AtLimits } from './limits';

export interface ProofRow {
  readonly call: Call;
  readonly before: readonly LoadId[];
  /** Loads that run in every case solved. */
  readonly after: readonly LoadId[];
  readonly lost: readonly LoadId[];
  readonly gained: readonly LoadId[];
  readonly voltsBefore: number | null;
  /** The lowest over the cases solved. */
  readonly voltsAfter: number | null;
  readonly fedAfter: boolean | null;
  /** The lowest and the highest with the mains 10 % off either way. */
  readonly voltsLow: number | null;
  readonly voltsHigh: number | null;
  /** The most that any one transformer gives, VA, over the cases solved. */
  readonly vaBefore: number;
  readonly vaAfter: number;
  /** The highest share of its rating that any transformer carries. */
  readonly loadShare: number;
}

export interface WorldProof {
  readonly world: World;
  readonly weight: number;
  readonly rows: readonly ProofRow[];
  readonly before: readonly CallResult[];
  /** The plain case of each call, for the printed rows. */
  readonly after: readonly CallResult[];
}

export interface Proof {
  readonly worlds: readonly WorldProof[];
  readonly findings: readonly Finding[];
  /** Operating points solved. */
  readonly solves: number;
}

export interface ProofInput {
  readonly before: Wiring;
  readonly after: Wiring;
  readonly worlds: readonly WeightedWorld[];
  /** Whether the device dies or dozes without a common, charges itself while nothing is called, or does not care. */
  readonly needsSupply: 'always' | 'dozes' | 'idle' | 'never';
  /** Other thermostats on the same machines, as they are or will be: they draw from the same transformer. */
  readonly neighbours?: readonly Neighbour[];
}

export function prove(input: ProofInput): Proof {
  const outcomes = input.worlds.map(({ world, weight }) => proveWorld(input, world, weight));
  return {
    worlds: outcomes.flatMap((one) => one.proof ?? []),
    findings: sortFindings(mergeAcrossWorlds(outcomes)),
    solves: outcomes.reduce((sum, one) => sum + one.solves, 0)
  };
}

/** What holds in every world is said once; what holds in some names them. */
function mergeAcrossWorlds(outcomes: readonly WorldOutcome[]): Finding[] {
  const byText = new Map<string, { finding: Finding; says: string[] }>();
  for (const { world, findings } of outcomes) {
    for (const one of findings) {
      const key = `${one.code} ${one.text}`;
      const entry = byText.get(key) ?? { finding: one, says: [] };
      if (!entry.says.includes(world.says)) entry.says.push(world.says);
      byText.set(key, entry);
    }
  }
  return [...byText.values()].map(({ finding: one, says }) =>
    says.length === outcomes.length ? one : { ...one, text: `If it is ${says.join(' or ')}: ${one.text}` }
  );
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
  return knownByFamily
    ? [world]
    : [
        { ...world, blowerInCool: 'g' },
        { ...world, blowerInCool: 'board' }
      ];
}

function proveWorld(input: ProofInput, world: World, weight: number): WorldOutcome {
  const [printed, ...others] = behaviours(world).map((one) => proveBehaviour(input, one, world, weight));
  if (!printed) throw new Error('A world has at least one behaviour');
  const said = new Set(printed.findings.map((one) => `${one.code} ${one.text}`));
  const more = others.flatMap((one) => one.findings).filter((one) => !said.has(`${one.code} ${one.text}`));
  return {
    ...printed,
    findings: [...printed.findings, ...more],
    solves: [printed, ...others].reduce((sum, one) => sum + one.solves, 0)
  };
}

function proveBehaviour(input: ProofInput, behaviour: World, world: World, weight: number): WorldOutcome {
  const findings: Finding[] = [];
  const rows: ProofRow[] = [];
  const before: CallResult[] = [];
  const after: CallResult[] = [];
  const neighbours = input.neighbours ?? [];
  const joint = neighbours.length === 0 ? null : jointWiring(input.after, neighbours);
  const limits: AtLimits[] = [];
  let solves = 0;
  for (const call of callsOf(behaviour, input.before)) {
    const was = simulate(input.before, behaviour, call);
    if (!was.ok) return { world, proof: null, findings: [unsolvable(was, world)], solves };
    const cases: CallResult[] = [];
    for (const supplyCase of supplyCases(suppliesIn(input.after))) {
      const now = simulate(input.after, behaviour, call, supplyCase);
      if (!now.ok) return { world, proof: null, findings: [unsolvable(now, world)], solves };
      cases.push(now.result);
      solves += now.result.solves;
    }
    solves += was.result.solves;
    // Polarity and bonding are each thermostat's own matter, and solved above; what all draw together is solved once.
    const together = joint && simulate(joint, behaviour, call);
    if (together && !together.ok)
      return { world, proof: null, findings: [unsolvable(together, world)], solves };
    const crowd = together?.ok ? together.result : null;
    solves += crowd?.solves ?? 0;
    const own = new Set(cases.flatMap((one) => one.feeds.map((feed) => feed.device)));
    const limit = atLimits(input.before, joint ?? input.after, behaviour, call, own);
    if (limit) limits.push(limit);
    solves += limit?.solves ?? 0;
    const row = {
      ...compare(call, was.result, cases, crowd),
      voltsLow: limit?.low ?? null,
      voltsHigh: limit?.high ?? null
    };
    findings.push(...crowdFindings(crowd, cases, neighbours.length + 1));
    rows.push(row);
    before.push(was.result);
    after.push(...cases.slice(0, 1));
    findings.push(...rowFindings(row, behaviour, input.needsSupply));
    findings.push(...worstHarm(cases), ...dipFindings(was.result, cases));
  }
  const rowOf = (call: Call) => rows.find((one) => one.call === call);
  findings.push(
    ...limitFindings(
      limits,
      (call) => input.needsSupply === 'always' && rowOf(call)?.fedAfter === true,
      (call, load) => rowOf(call)?.after.includes(load) === true
    )
  );
  return { world, proof: { world, weight, rows, before, after }, findings: foldSupply(findings), solves };
}

function suppliesIn(wiring: Wiring): number {
  const kinds: ReadonlySet<string> = new Set(['board', 'plug-in-transformer', 'added-transformer']);
  return wiring.devices.filter((one) => kinds.has(one.kind)).length;
}

/** What harms in any case of polarity and bonding, said once for each kind of harm, of the case in which most current flows. */
function worstHarm(cases: readonly CallResult[]): Finding[] {
  const amps = (one: CallResult) =>
    Math.max(0, ...one.supplies.map((supply) => Math.max(supply.amps, supply.fuseAmps ?? 0)));
  const found = new Map<string, { finding: Finding; amps: number; count: number; says: string }>();
  for (const one of cases) {
    for (const harm of harmFindings(one)) {
      const key = `${harm.code} ${harm.because.join(' ')}`;
      const known = found.get(key);
      const count = (known?.count ?? 0) + 1;
      if (known && known.amps >= amps(one)) found.set(key, { ...known, count });
      else found.set(key, { finding: harm, amps: amps(one), count, says: caseName(one.supplyCase) });
    }
  }
  return [...found.values()].map(({ finding: harm, count, says }) =>
    count === cases.length ? harm : { ...harm, text: `${harm.text} (Worst case: ${says}.)` }
  );
}

/** A dip at pull-in is said only where it is new: a house that works today pulls its coils in today. */
function dipFindings(was: CallResult, cases: readonly CallResult[]): Finding[] {
  const weak = [...new Set(cases.flatMap((one) => one.inrush.weak))].filter(
    (id) => !was.inrush.weak.includes(id)
  );
  if (weak.length === 0) return [];
  const text = `With ${CALL_NAMES[was.call]}, all coils pull in at once and one of them gets less than it needs to move: it may hum instead.`;
  return [finding('warn', 'inrush-dip', text, [...weak, `call:${was.call}`])];
}

function unsolvable(
  failure: { readonly reason: string; readonly at: string; readonly why: string },
  world: World
): Finding {
  return failure.reason === 'no-model'
    ? finding(
        'stop',
        'no-circuit',
        `No circuit is known for ${world.says}: nothing can be proven for it.`,
        []
      )
    : finding('stop', 'circuit-not-solvable', `The circuit cannot be solved: ${failure.why}.`, [failure.at]);
}

/** What breaks only when all thermostats on a machine call at once. */
function crowdFindings(
  crowd: CallResult | null,
  cases: readonly CallResult[],
  thermostats: number
): Finding[] {
  if (crowd === null) return [];
  const key = (one: Finding) => `${one.code} ${one.because[0] ?? ''}`;
  const alone = new Set(cases.flatMap((one) => harmFindings(one)).map(key));
  return harmFindings(crowd)
    .filter((one) => one.code === 'fuse-opens' || one.code === 'transformer-overloaded')
    .filter((one) => !alone.has(key(one)))
    .map((one) => ({
      ...one,
      code: 'overloaded-together',
      text: `${one.text} (All ${thermostats} thermostats on it call at once.)`
    }));
}

function compare(
  call: Call,
  was: CallResult,
  cases: readonly CallResult[],
  crowd: CallResult | null
): Omit<ProofRow, 'voltsLow' | 'voltsHigh'> {
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
  return {
    call,
    before,
    after: always,
    lost: before.filter((load) => !always.includes(load)),
    gained: [...ever].filter((load) => !before.includes(load)),
    voltsBefore: was.thermostatVolts,
    voltsAfter: volts.length > 0 ? Math.min(...volts) : null,
    fedAfter: fed.includes(false) ? false : (fed[0] ?? null),
    vaBefore: mostVa([was]),
    vaAfter: mostVa(all),
    loadShare: Math.max(
      0,
      ...all.flatMap((one) => one.supplies.map((supply) => supply.amps / (supply.ratedVa / 24)))
    )
  };
}

function mostVa(results: readonly CallResult[]): number {
  return Math.max(0, ...results.flatMap((one) => one.supplies.map((supply) => supply.va)));
}

function names(loads: readonly LoadId[]): string {
  return loads.map((load) => LOAD_NAMES[load]).join(', ');
}

function rowFindings(row: ProofRow, world: World, needsSupply: ProofInput['needsSupply']): Finding[] {
  const found: Finding[] = [];
  const expected = expectedLoads(row.call, world);
  if (row.lost.length > 0) {
    const level = row.call === 'fan' ? 'warn' : 'stop';
    const text = `${capitalCall(row.call)} is lost: ${names(row.lost)} no longer ${row.lost.length > 1 ? 'run' : 'runs'}.`;
    found.push(finding(level, 'function-lost', text, [`call:${row.call}`]));
  }
  const dead = expected.filter((load) => !row.before.includes(load));
  if (dead.length > 0) {
    const text = `In the record as it is, ${CALL_NAMES[row.call]} does not start: ${names(dead)}. If it works in the house, an end was read wrongly.`;
    found.push(finding('warn', 'dead-before', text, [`call:${row.call}`]));
  }
  const uncalled = row.gained.filter((load) => !expected.includes(load));
  if (uncalled.length > 0) {
    found.push(
      finding(
        'stop',
        'load-runs-uncalled',
        `With ${CALL_NAMES[row.call]}, ${names(uncalled)} would run though nobody called for it.`,
        [`call:${row.call}`]
      )
    );
  }
  const asksNow = needsSupply === 'idle' ? row.call === 'idle' : needsSupply !== 'never';
  if (asksNow && row.fedAfter !== true) {
    const volts = row.voltsAfter === null ? 'nothing' : `${row.voltsAfter.toFixed(1)} V`;
    const high = row.voltsAfter !== null && row.voltsAfter > 30;
    const text = `With ${CALL_NAMES[row.call]}, the thermostat gets ${volts} at its own terminals: ${high ? 'more than it stands' : 'its display dies'}.`;
    found.push(
      finding(
        needsSupply === 'dozes' ? 'warn' : 'stop',
        high ? 'thermostat-overfed' : 'thermostat-unfed',
        text,
        [`call:${row.call}`]
      )
    );
  }
  return found;
}

function capitalCall(call: Call): string {
  const name = CALL_NAMES[call];
  return name.charAt(0).toUpperCase() + name.slice(1);
}

/** "Dead in every call" is one sentence, not one for each call. */
function foldSupply(findings: readonly Finding[]): Finding[] {
  const unfed = findings.filter((one) => one.code === 'thermostat-unfed');
  const [first] = unfed;
  if (!first || unfed.length < 2) return [...findings];
  const because = unfed.flatMap((one) => one.because);
  const text = `The thermostat gets too little at its own terminals in ${unfed.length} calls (${because.map((id) => CALL_NAMES[id.replace('call:', '') as Call]).join(', ')}): its display dies.`;
  return [{ ...first, text, because }, ...findings.filter((one) => one.code !== 'thermostat-unfed')];
}
