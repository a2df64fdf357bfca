/**
 * A plan held against the house as it really is. The plan knows the record; this checker knows the true house behind it. It carries the moves
 * out there, by the screws that they name, and powers the house up: nothing may be shorted, tied or run without air, no wire that does
 * something unknown may be moved, and nothing may be left dead without a word.
 */
import { running } from '../circuit/expected';
import { simulate, type CallResult } from '../circuit/simulate';
import { callsOf } from '../devices/calls';
import { supplyCases, type World } from '../devices/world';
import { trueHouse, type TrueHouse } from '../houses/true-houses';
import { BELIEVABLE } from '../identify/worlds';
import { findDevice } from '../match/catalogue';
import { planFor, type Plan, type PlannedOption } from '../plan/plan';
import type { Prover } from '../proof/types';
import type { Request } from '../trade/vocabulary';
import { reachedLoads } from './reach-checker';
import { applyChange, type Change } from '../wiring/difference';
import { isSupply, landedTerminal, terminalAt, wallThermostat, type Wiring } from '../wiring/graph';

export interface OddViolation {
  readonly house: number;
  readonly device: string;
  readonly option: string;
  readonly what: string;
}

export interface OddChecked {
  readonly options: number;
  readonly offered: number;
  readonly violations: readonly OddViolation[];
}

/** Plans the record of an odd house and carries out, in the true one, every option that may be done. */
export function checkOddHouse(number: number, device: string, prover?: Prover): OddChecked {
  const house = trueHouse(number);
  const { job, thermostat } = house.record;
  const facts = findDevice(job, device);
  if (!facts) throw new Error(`No model ${device}`);
  const plan = planFor(job, thermostat, { device: facts, prover });
  const offered = plan.options.filter((option) => option.verdict === 'go' || option.verdict === 'care');
  const violations = offered.flatMap((option) =>
    wrongIn(house, plan, option).map((what) => ({
      house: number,
      device,
      option: `${option.method} ${option.variant?.id ?? ''}`.trim(),
      what
    }))
  );
  return { options: plan.options.length, offered: offered.length, violations };
}

function wrongIn(house: TrueHouse, plan: Plan, option: PlannedOption): string[] {
  const moved = house.untouchable.filter(
    (id) =>
      house.truth.strands.some(
        (strand) => strand.id === id && strand.near.state === 'landed' && strand.far.state === 'landed'
      ) && option.moves.some((move) => move.what === id && move.change !== null)
  );
  if (moved.length > 0 && (asksFirst(house, option) || !believes(plan, house.world))) return [];
  if (moved.length > 0) return [`${moved.join()} is moved, and nobody knows what it does`];
  const harmsAfter = (wiring: Wiring) => harmsIn(wiring, house.world);
  if (option.method === 'none' && option.variant?.id !== 'repair')
    return saysOfToday(house, plan, option) ? [] : harmsAfter(house.truth);
  if (asksFirst(house, option)) return [];
  const after = carriedOut(house.truth, option);
  // A repair alone beside a wire that nobody can explain leaves what that wire does as it is, and says so.
  const leaves =
    option.method === 'none' && option.findings.some(({ code }) => code === 'wire-not-explained');
  const already = leaves ? harmsAfter(house.truth) : [];
  const unread = option.findings.some(
    (finding) => finding.code === 'transformer-unread' || finding.code === 'overloaded-at-limits'
  );
  return [
    ...harmsAfter(after).filter(
      (harm) => !(unread && harm.startsWith('a transformer is overloaded')) && !already.includes(harm)
    ),
    ...deadIn(house.truth, after, house.world, option),
    ...starvedIn(after, house.world, option)
  ];
}

/** Whether the plan says that something is wrong with the house as it is, or asks for what it would have to know to say so. */
function saysOfToday({ record, world }: TrueHouse, plan: Plan, option: PlannedOption): boolean {
  const unread = record.thermostat.conductors.some((conductor) => conductor.far.state === 'unseen');
  const closed = plan.options.every(
    (plannedOption) => plannedOption.verdict === 'no' || plannedOption.method === 'none'
  );
  return (
    unread ||
    closed ||
    plan.today.some((finding) => finding.level === 'stop') ||
    option.findings.some((finding) => finding.code === 'wire-not-explained') ||
    !believes(plan, world)
  );
}

/** Whether the true family is among those that the plan was proven for; where it is not, it has to have said that the system is open. */
function believes(plan: Plan, world: World): boolean {
  const found = plan.identification;
  return found.family === world.family || found.beliefs[world.family] >= BELIEVABLE;
}

/**
 * What a plan says has to be known before anything is moved: an end that nobody saw and that is not where the plan takes it to be, or a system
 * that is not settled and may be none of those that it was proven for. Whoever does as it says finds out, and plans anew.
 */
function asksFirst({ truth, record, world }: TrueHouse, option: PlannedOption): boolean {
  const unread = record.thermostat.conductors.filter((conductor) => conductor.far.state === 'unseen');
  const differs = unread.some((conductor) => {
    const is = truth.strands.find((strand) => strand.id === conductor.id);
    const taken = option.before.strands.find((strand) => strand.id === conductor.id);
    const [there, assumed] = [is && landedTerminal(is.far), taken && landedTerminal(taken.far)];
    return there !== assumed;
  });
  return option.findings.some((finding) => {
    if (finding.code === 'end-not-read') return differs;
    return (
      finding.code === 'system-unsettled' &&
      finding.params.what === 'solved-for' &&
      !finding.params.families.includes(world.family)
    );
  });
}

/** The true house with the moves made, each by the screws that it names, whatever was there before. */
function carriedOut(truth: Wiring, option: PlannedOption): Wiring {
  return option.moves.reduce((wiring, { change }) => (change ? forced(wiring, change) : wiring), truth);
}

function forced(wiring: Wiring, change: Change): Wiring {
  if (change.kind === 'end') {
    return {
      ...wiring,
      strands: wiring.strands.map((strand) =>
        strand.id === change.strand ? { ...strand, [change.side]: change.to } : strand
      )
    };
  }
  if (change.kind === 'transformer')
    return {
      ...wiring,
      devices: wiring.devices.map((device) =>
        device.id === change.device && device.kind === 'board'
          ? { ...device, transformerVa: change.to }
          : device
      )
    };
  try {
    return applyChange(wiring, change);
  } catch {
    return wiring;
  }
}

/** What runs by reachability alone; null where that cannot tell: marks that it does not know, earth, two machines of two kinds. */
function secondOpinion(wiring: Wiring, world: World, { call, supplyCase, supplies }: CallResult) {
  // It goes by the letters, each of which has to be there once.
  const stated = wiring.devices.some(
    ({ screws }) =>
      screws.some((screw) => screw.role !== null) ||
      new Set(screws.map((screw) => screw.mark)).size < screws.length
  );
  const plain = !supplyCase.bonded && supplyCase.turned === 0;
  const weak = supplies.some((supply) => supply.amps > supply.ratedAmps);
  return stated || !plain || weak || world.of !== undefined ? null : reachedLoads(wiring, world, call);
}

const AIR_NEEDED = ['compressor', 'strips'] as const;

function harmsIn(wiring: Wiring, world: World): string[] {
  const found = new Set<string>();
  each(wiring, world, (result) => {
    const on = running(result.loads);
    if (result.tied.length > 0) found.add('supplies are tied');
    if (result.supplies.some((supply) => supply.fuseOpen)) found.add(`a fuse opens in ${result.call}`);
    if (result.supplies.some((supply) => supply.amps > supply.ratedAmps * 1.001))
      found.add(`a transformer is overloaded in ${result.call}`);
    if (!on.includes('blower') && AIR_NEEDED.some((load) => on.includes(load)))
      found.add(`runs without air in ${result.call}`);
    const wrong = UNCALLED[result.call as Request | 'idle'] ?? [];
    const uncalled = on.filter((load) => wrong.includes(load));
    if (uncalled.length > 0) found.add(`${uncalled.join()} runs in ${result.call}`);
    if (result.feeds.some((feed) => feed.volts > feed.max + 0.6)) found.add(`overfed in ${result.call}`);
    const reached = secondOpinion(wiring, world, result);
    if (reached !== null && reached.join() !== [...on].sort().join())
      found.add(
        `the second checker has ${reached.join(', ') || 'nothing'} in ${result.call}, the circuit ${on.join(', ') || 'nothing'}`
      );
  });
  return [...found];
}

/** What must not run in a call, whatever the house: written down here, apart from what the proof expects. */
const UNCALLED: Partial<Readonly<Record<Request | 'idle', readonly string[]>>> = {
  idle: ['burner', 'boiler', 'compressor', 'strips'],
  fan: ['burner', 'boiler', 'compressor', 'strips'],
  cool1: ['burner', 'boiler', 'strips']
};

function each(wiring: Wiring, world: World, look: (result: CallResult) => void): void {
  const cases = supplyCases(wiring.devices.filter(isSupply).length);
  for (const call of callsOf(world, wiring))
    for (const supplyCase of cases) {
      const solved = simulate(wiring, world, call, supplyCase);
      if (solved.ok) look(solved.result);
    }
}

/** What a call should start in such a house: a table of its own. */
const STARTS: Readonly<Record<string, Partial<Readonly<Record<Request, readonly string[]>>>>> = {
  furnace: { heat1: ['burner'], fan: ['blower'] },
  'furnace-ac': { heat1: ['burner'], cool1: ['compressor', 'blower'], fan: ['blower'] },
  'electric-furnace': { heat1: ['strips', 'blower'], fan: ['blower'] },
  'heat-pump': { heat1: ['compressor', 'blower'], cool1: ['compressor', 'blower'], fan: ['blower'] },
  boiler: { heat1: ['boiler'] },
  'boiler-plus-ac': { heat1: ['boiler'], cool1: ['compressor', 'blower'], fan: ['blower'] },
  'cooling-only': { cool1: ['compressor', 'blower'], fan: ['blower'] }
};

/** Functions that work today, or that a wire at the wall stands for, and that do not work afterwards though nobody said so. */
function deadIn(truth: Wiring, after: Wiring, world: World, option: PlannedOption): string[] {
  const said = option.findings.flatMap((finding) =>
    finding.code === 'function-lost' || finding.code === 'dead-before' || finding.code === 'load-at-limits'
      ? 'call' in finding.params
        ? [finding.params.call]
        : []
      : []
  );
  const saidLoads: readonly string[] = option.findings.flatMap((finding) =>
    finding.code === 'function-lost' ? finding.params.loads : []
  );
  // A wire that leads nowhere is told to be left off: what it once called for is said with it.
  const off = option.findings.some(
    (finding) => finding.code === 'terminal-moved' && finding.params.what === 'nothing-behind'
  );
  return callsOf(world, truth).flatMap((call) => {
    const wanted = STARTS[world.family]?.[call as Request] ?? [];
    const now = simulate(after, world, call);
    if (!now.ok || said.some((candidate) => candidate === call || candidate.startsWith(`${call}+`)))
      return [];
    const on: readonly string[] = running(now.result.loads);
    const dead = wanted.filter((load) => !on.includes(load));
    const was = simulate(truth, world, call);
    const ran: readonly string[] = was.ok ? running(was.result.loads) : [];
    const lost = dead.filter((load) => ran.includes(load) && !saidLoads.includes(load));
    if ((off || option.method === 'none') && lost.length === 0) return [];
    return dead.length > 0 ? [`${dead.join()} does not start in ${call}, and nobody said so`] : [];
  });
}

/** A thermostat that needs a supply and gets none where it was promised one. */
function starvedIn(after: Wiring, world: World, option: PlannedOption): string[] {
  if (option.method === 'none' || option.method === 'no-c-needed') return [];
  const device = after.devices.find((candidate) => candidate.kind === 'new-thermostat');
  if (device?.kind !== 'new-thermostat' || device.facts.supply !== 'common-required') return [];
  if (!terminalAt(after, wallThermostat(after).screws[0]?.id ?? '')) return [];
  const found = new Set<string>();
  each(after, world, (result) => {
    const own = result.feeds.find((feed) => feed.device === device.id);
    if (own && own.volts < own.min - 0.05)
      found.add(`the thermostat gets ${own.volts.toFixed(1)} V in ${result.call}`);
  });
  const said = option.findings.some(
    (finding) => finding.code === 'volts-at-limits' || finding.code === 'transformer-unread'
  );
  return said ? [] : [...found];
}
