/**
 * The test plan: every call that the thermostat can make through the wires that it has, in the order that is safe, each with what must run and
 * what must not, the volts by the proof, and how long to wait. What runs is solved, in every believable world; figures of time and temperature
 * are the trade's.
 */
import { expectedLoads, running, uncalledIn } from '../circuit/expected';
import { isOnCommon, reachableCalls } from '../devices/reach';
import { isHydronic } from '../devices/roles';
import { remembered } from '../proof/proof-memory';
import type { ProofNeighbour, ProofRow, Prover } from '../proof/types';
import { jointWiring } from '../wiring/joint';
import { simulate } from '../circuit/simulate';
import { withNeighbourWorlds, type MachineWorld } from '../devices/world';
import { callOf, isCombined, requestsOf, type Call } from '../trade/calls';
import type { LoadId, Request } from '../trade/vocabulary';
import { boards } from '../wiring/graph';
import { callsIn, type Finished } from './subject';

/** When to stop at once. */
export type StopWhen =
  'gas' | 'flame' | 'limit' | 'no-air' | 'ice' | 'noise' | 'leak' | 'fuse' | 'hot-transformer';

export interface Band {
  readonly low: number;
  readonly high: number;
}

export interface TestStep {
  readonly call: Call;
  readonly kind: 'heat' | 'off' | 'cool' | 'fan' | 'stage' | 'accessory' | 'together' | 'zones';
  /** Seconds until the first sign, and until it can be judged. */
  readonly wait: { readonly first: number; readonly judged: number };
  /** Runs in every believable world and case. */
  readonly mustRun: readonly LoadId[];
  /** Runs in some of them. */
  readonly mayRun: readonly LoadId[];
  /** Loads of this house that run in none. */
  readonly mustNotRun: readonly LoadId[];
  /** Should run by the system and will not, with this wiring. */
  readonly lost: readonly LoadId[];
  /** Volts at the thermostat: as solved with nominal values, and the band of all tolerances; null where no C wire feeds it. */
  readonly volts: (Band & { readonly nominal: number }) | null;
  /** Air at the register against air at the return, kelvin; `pipe`: it gets warm. Null where no figure is usual. */
  readonly air: ({ readonly way: 'rise' | 'fall' } & Band) | { readonly way: 'warm' | 'pipe' } | null;
  readonly stopWhen: readonly StopWhen[];
  /** A compressor cools in it: it needs the season and a rest before. */
  readonly cools: boolean;
  /** A compressor runs in it. */
  readonly compressor: boolean;
  /** The most that a transformer gives in it, as a share of its rating. */
  readonly loadShare: number;
}

export interface TestPlan {
  readonly which: Finished['which'];
  /** At its own terminals, by its sheet, volts. */
  readonly window: { readonly min: number; readonly max: number };
  readonly steps: readonly TestStep[];
  /** Calls that the house had and that this wiring cannot make any longer. */
  readonly takenAway: readonly Call[];
}

/** Supply air over return air on a furnace, and under it in cooling, kelvin (usual nameplates and practice). */
const FURNACE_RISE: Band = { low: 17, high: 40 };
const COOLING_FALL: Band = { low: 8, high: 12 };
const MINUTE = 60;
/** Water takes its time to the pipes; a zone valve takes up to three minutes of it. */
const PIPES = { first: 3 * MINUTE, judged: 10 * MINUTE };

export interface TestMeans {
  readonly prover?: Prover | undefined;
  readonly neighbours?: readonly ProofNeighbour[];
}

export function testPlanOf(
  finished: Finished,
  { prover = remembered, neighbours = [] }: TestMeans = {}
): TestPlan {
  const { wiring, worlds, control, plan } = finished;
  const calls = inOrder(callsIn(finished));
  const proof = prover({
    before: wiring,
    after: wiring,
    worlds,
    needsSupply: 'never',
    calls,
    neighbours: []
  });
  const rows = proof.worlds.map((world) => new Map(world.rows.map((row) => [row.call, row])));
  const seen = new Set(calls);
  const loads = [...new Set(proof.worlds.flatMap((world) => world.rows.flatMap(({ ever }) => ever)))];
  const steps = calls.map((call) =>
    stepOf(
      finished,
      call,
      rows.flatMap((world) => world.get(call) ?? []),
      loads
    )
  );
  const { voltsMin: min, voltsMax: max } = control.facts;
  return {
    which: finished.which,
    window: { min, max },
    steps: [...steps, ...zoneSteps(finished, prover, neighbours, loads)],
    takenAway: takenAway(plan.wiringFound, finished, seen)
  };
}

function takenAway(found: Finished['wiring'], { worlds }: Finished, kept: ReadonlySet<Call>): Call[] {
  const before = worlds.flatMap(({ world }) => reachableCalls(found, world));
  return [...new Set(before)].filter((call) => !kept.has(call));
}

/** Heat, cooling, fan, then each further stage and the accessories. */
const ORDER: readonly Request[] = [
  'heat1',
  'cool1',
  'fan',
  'heat2',
  'cool2',
  'aux',
  'emergency',
  'humidify',
  'dehumidify',
  'ventilate'
];

/** After the first call everything is seen to stop before the next: a furnace cools down, a heat pump turns its valve. */
function inOrder(calls: readonly Call[]): Call[] {
  const [first, ...others] = ORDER.filter((request) => calls.includes(request));
  return [...(first ? [first] : []), 'idle', ...others, ...calls.filter(isCombined)];
}

function stepOf(
  finished: Finished,
  call: Call,
  rows: readonly ProofRow[],
  loads: readonly LoadId[]
): TestStep {
  const { worlds } = finished;
  // A world without a row has no circuit: what the others run is no promise.
  const everywhere = rows.length === worlds.length;
  const ever = real([...new Set(rows.flatMap((row) => row.ever))]);
  const should = worlds.map(({ world }) => expectedLoads(call, world));
  const must = real(everywhere ? inAll(rows.map(({ after }) => after)) : []).filter((load) =>
    should.some((wanted) => wanted.includes(load))
  );
  // What runs though nobody calls for it is no promise of a plan, it is what the test is to find.
  const uncalled = inAll(worlds.map(({ world }) => uncalledIn(ever, call, world)));
  // Whatever was solved: who asks for cooling may start a compressor.
  const cools = requestsOf(call).some((request) => request.startsWith('cool'));
  const compressor = cools || ever.includes('compressor');
  return {
    call,
    kind: kindOf(call),
    wait: waitOf(finished, call, ever),
    mustRun: must,
    mayRun: ever.filter((load) => !must.includes(load) && !uncalled.includes(load)),
    mustNotRun: [...real(loads).filter((load) => !ever.includes(load)), ...uncalled],
    lost: real(inAll(should)).filter((load) => !ever.includes(load)),
    volts: isOnCommon(finished.wiring, finished.control) ? voltsOf(rows) : null,
    air: airOf(finished, call, ever),
    stopWhen: stopsOf(finished, call, ever),
    cools,
    compressor,
    loadShare: Math.max(0, ...rows.map((row) => row.loadShare))
  };
}

const inAll = (list: readonly (readonly LoadId[])[]) =>
  (list[0] ?? []).filter((load) => list.every((other) => other.includes(load)));
const real = (loads: readonly LoadId[]) => loads.filter((load) => load !== 'thermostat');

function kindOf(call: Call): TestStep['kind'] {
  if (isCombined(call)) return 'together';
  switch (call) {
    case 'idle':
      return 'off';
    case 'heat1':
      return 'heat';
    case 'cool1':
      return 'cool';
    case 'fan':
      return 'fan';
    case 'humidify':
    case 'dehumidify':
    case 'ventilate':
      return 'accessory';
    default:
      return 'stage';
  }
}

function voltsOf(rows: readonly ProofRow[]): TestStep['volts'] {
  const nominal = rows.map((row) => row.voltsAfter).filter((volts) => volts !== null);
  if (nominal.length === 0 || nominal.length < rows.length) return null;
  const lows = rows.map(({ voltsLow, voltsAfter }) => voltsLow ?? voltsAfter!);
  const highs = rows.map(({ voltsHigh, voltsAfter }) => voltsHigh ?? voltsAfter!);
  return { nominal: Math.min(...nominal), low: Math.min(...lows), high: Math.max(...highs) };
}

function waitOf({ worlds }: Finished, call: Call, ever: readonly LoadId[]): TestStep['wait'] {
  const requests = requestsOf(call);
  if (call === 'idle') return { first: 30, judged: 3 * MINUTE };
  if (requests.some((request) => request.startsWith('cool'))) return { first: MINUTE, judged: 12 * MINUTE };
  if (ever.includes('boiler') || worlds.some(({ world }) => isHydronic(world.family))) return PIPES;
  if (ever.includes('burner')) return { first: 90, judged: 150 };
  if (ever.includes('compressor')) return { first: MINUTE, judged: 5 * MINUTE };
  if (ever.includes('strips')) return { first: MINUTE, judged: 3 * MINUTE };
  if (requests.includes('fan') && requests.length === 1) return { first: 5, judged: 30 };
  return { first: 10, judged: MINUTE };
}

function airOf({ worlds }: Finished, call: Call, ever: readonly LoadId[]): TestStep['air'] {
  if (call === 'idle') return null;
  const requests = requestsOf(call);
  if (requests.some((request) => request.startsWith('cool')))
    return ever.includes('compressor') ? { way: 'fall', ...COOLING_FALL } : null;
  if (ever.includes('boiler')) return { way: 'pipe' };
  const burns = ever.includes('burner') && worlds.every(({ world }) => !isHydronic(world.family));
  if (burns && !ever.includes('compressor')) return { way: 'rise', ...FURNACE_RISE };
  // Of a heat pump and of strips no figure is usual for every house: it is warmer than the air that goes in.
  return ever.includes('compressor') || ever.includes('strips') ? { way: 'warm' } : null;
}

function stopsOf({ worlds }: Finished, call: Call, ever: readonly LoadId[]): StopWhen[] {
  if (call === 'idle') return ['gas', 'hot-transformer'];
  const air =
    ever.includes('strips') ||
    ever.includes('compressor') ||
    (ever.includes('burner') && worlds.some(({ world }) => !isHydronic(world.family)));
  const cools = requestsOf(call).some((request) => request.startsWith('cool'));
  const burns = ever.includes('burner') || ever.includes('boiler');
  return [
    ...(burns ? (['gas', 'flame', 'limit'] as const) : []),
    ...(ever.includes('boiler') ? (['leak'] as const) : []),
    ...(air ? (['no-air'] as const) : []),
    ...(cools ? (['ice'] as const) : []),
    ...(ever.includes('compressor') ? (['noise'] as const) : []),
    'fuse',
    'hot-transformer'
  ];
}

/** Every zone of the same machine at once: what they run together in every believable world, and what this one gets meanwhile. */
function zoneSteps(
  finished: Finished,
  prover: Prover,
  neighbours: readonly ProofNeighbour[],
  loads: readonly LoadId[]
): TestStep[] {
  const { wiring, worlds, thermostat, control } = finished;
  const here = new Set(boards(wiring).map(({ id }) => id));
  const sharing = neighbours.filter((other) => boards(other.wiring).some(({ id }) => here.has(id)));
  const heats = worlds.every(({ world }) => reachableCalls(wiring, world).includes('heat1'));
  if (sharing.length === 0 || !heats) return [];
  const joint = jointWiring(wiring, sharing);
  const others = Object.assign({}, ...sharing.map((other) => other.worlds)) as Record<string, MachineWorld>;
  const solved = worlds.flatMap(({ world }) => {
    const run = simulate(joint, withNeighbourWorlds(world, others), 'heat1');
    return run.ok ? [run.result] : [];
  });
  if (solved.length < worlds.length) return [];
  const calls = ['heat1'] as const;
  const means = {
    before: wiring,
    after: wiring,
    worlds,
    needsSupply: 'never',
    calls,
    neighbours: sharing
  } as const;
  const rows = prover(means).worlds.flatMap((world) => world.rows);
  const runs = solved.map((result) => real(running(result.loads)));
  const ever = [...new Set(runs.flat())];
  const must = inAll(runs);
  const alone = stepOf(finished, 'heat1', rows, loads);
  // The bounds of the proof have the neighbours in them, its nominal volts have not.
  const volts = solved.flatMap(({ feeds }) =>
    feeds.filter(({ device }) => device === control.id).map((feed) => feed.volts)
  );
  return [
    {
      ...alone,
      volts: alone.volts && volts.length > 0 ? { ...alone.volts, nominal: Math.min(...volts) } : null,
      call: callOf(
        [thermostat.id, ...sharing.map((other) => other.thermostat)].map((control) => ({
          control,
          request: 'heat1'
        }))
      ),
      kind: 'zones',
      mustRun: must,
      mayRun: ever.filter((load) => !must.includes(load)),
      mustNotRun: real(loads).filter((load) => !ever.includes(load)),
      loadShare: Math.max(
        0,
        ...solved.flatMap(({ supplies }) => supplies.map(({ amps, ratedAmps }) => amps / ratedAmps))
      )
    }
  ];
}
