/**
 * All thermostats of a job as one piece of work: what they draw together from a transformer that they share, one trip to each machine, one
 * list of parts, cable cut from common rolls.
 */
import { simulate, type CallResult } from '../circuit/simulate';
import { callsOf } from '../devices/calls';
import { worldsOf } from '../identify/worlds';
import type { Job, Thermostat } from '../job/schema';
import { OUTDOOR_ID } from '../safety/supplies';
import { TRANSFORMER_SIZES } from '../supply/exchange';
import type { Part } from '../supply/types';
import { USUAL_TRANSFORMER_VA } from '../trade/loads';
import type { Call } from '../trade/vocabulary';
import { assumeUnseenEnds } from '../wiring/from-job';
import type { Board, Wiring } from '../wiring/graph';
import { jointWiring } from '../wiring/joint';
import { cutsFor, type Cuts } from './cuts';
import {
  costOf,
  extraBand,
  handsOn,
  rounded,
  scaleBand,
  sumBands,
  visitsTo,
  WAY_TO_EQUIPMENT,
  type Band
} from './effort';
import type { Move } from './move-types';
import { planFor, wantedWiring, type Plan, type PlannedOption } from './plan';

/** One thermostat with the way that is taken for it. */
export interface Place {
  readonly thermostat: Thermostat;
  readonly plan: Plan;
  readonly option: PlannedOption;
  /** False where nothing is to be done: it is left alone, or every way is refused. */
  readonly works: boolean;
}

export interface SharedRow {
  readonly call: Call;
  /** VA that all draw together when all call at once, today and afterwards; null where the circuit cannot be solved. */
  readonly before: number | null;
  readonly after: number | null;
  /** Share of the rating, afterwards. */
  readonly share: number;
}

/** A transformer that more than one thermostat hangs on. */
export interface SharedSupply {
  readonly machine: string;
  readonly name: string;
  readonly thermostats: readonly string[];
  readonly ratedVa: number;
  /** Nobody has read the size. */
  readonly assumed: boolean;
  /** The size it is to get, where that is planned; it counts for what comes afterwards. */
  readonly plannedVa: number | null;
  readonly rows: readonly SharedRow[];
  readonly overloaded: boolean;
  /** The least size that carries them all, VA, where it is too small as planned; null where it is enough, or none in Class 2 would do. */
  readonly enough: number | null;
}

/** A move, with whose it is; power is cut once for all of them. */
export interface JointMove extends Move {
  readonly thermostats: readonly string[];
}

export interface Together {
  readonly places: readonly Place[];
  readonly shared: readonly SharedSupply[];
  readonly moves: readonly JointMove[];
  readonly parts: readonly Part[];
  readonly cuts: Cuts;
  readonly minutes: Band;
  /** One after the other, each with its own way to the machine. */
  readonly minutesApart: Band;
  readonly cost: Band;
}

export function planTogether(job: Job): Together {
  const places = job.thermostats.map((thermostat) => placeOf(job, thermostat));
  const working = places.filter((one) => one.works);
  const moves = jointMoves(working, new Set([...job.equipment.map((one) => one.id), OUTDOOR_ID]));
  const parts = mergeParts(working.flatMap((one) => one.option.parts));
  const cuts = cutsFor(
    working.flatMap(({ thermostat, option }) =>
      option.parts.flatMap((part) => (part.run ? [{ ...part.run, for: thermostat.name }] : []))
    ),
    moves.filter((one) => one.action === 'link' && one.tools.includes('short piece of 18 AWG')).length
  );
  return {
    places,
    shared: sharedSupplies(job, places),
    moves,
    parts,
    cuts,
    minutes: minutesTogether(working, moves),
    minutesApart: sumBands(working.map((one) => one.option.minutesBand)),
    cost: costWithRolls(parts, cuts)
  };
}

function placeOf(job: Job, thermostat: Thermostat): Place {
  const plan = planFor(job, thermostat);
  const option = plan.options.find((one) => one.method === plan.taken);
  if (!option) throw new Error('A plan takes one of its options');
  return { thermostat, plan, option, works: option.verdict !== 'no' && option.moves.length > 0 };
}

function sharedSupplies(job: Job, places: readonly Place[]): SharedSupply[] {
  return job.equipment.flatMap((machine): SharedSupply[] => {
    const on = places.filter((one) => one.thermostat.equipment.includes(machine.id));
    const [first, ...others] = on;
    if (!first || others.length === 0) return [];
    const today = jointWiring(
      assumeUnseenEnds(first.plan.wiringBefore).wiring,
      others.map((one) => ({
        thermostat: one.thermostat.id,
        wiring: assumeUnseenEnds(one.plan.wiringBefore).wiring
      }))
    );
    const then = jointWiring(
      wantedWiring(job, first.thermostat),
      others.map((one) => ({ thermostat: one.thermostat.id, wiring: wantedWiring(job, one.thermostat) }))
    );
    const rated = machine.transformerVa ?? USUAL_TRANSFORMER_VA;
    const sized = (va: number) => withSize(then, machine.id, va);
    const planned = sized(machine.plannedVa ?? rated);
    const rows = loadRows(first, machine.id, today, planned);
    if (rows.length === 0) return [];
    const overloaded = rows.some((one) => one.share > 1);
    const enough = overloaded
      ? (TRANSFORMER_SIZES.find(
          ({ va }) =>
            va > rated && loadRows(first, machine.id, today, sized(va)).every((one) => one.share <= 1)
        )?.va ?? null)
      : null;
    return [
      {
        machine: machine.id,
        name: machine.name,
        thermostats: on.map((one) => one.thermostat.id),
        ratedVa: rated,
        assumed: machine.transformerVa === null,
        plannedVa: machine.plannedVa,
        rows,
        overloaded,
        enough
      }
    ];
  });
}

function withSize(wiring: Wiring, machine: string, va: number): Wiring {
  const sized = (one: Board) => ({ ...one, transformerVa: va });
  return {
    ...wiring,
    devices: wiring.devices.map((one) => (one.kind === 'board' && one.id === machine ? sized(one) : one))
  };
}

/** What the machine's transformer gives when all its thermostats call at once, in the worst of the worlds that are believable. */
function loadRows(first: Place, machine: string, today: Wiring, then: Wiring): SharedRow[] {
  const worlds = worldsOf(first.plan.identification, today).map((one) => one.world);
  const rows = new Map<Call, SharedRow>();
  for (const world of worlds) {
    for (const call of callsOf(world, today)) {
      const [was, now] = [today, then].map((wiring) => {
        const made = simulate(wiring, world, call);
        return made.ok ? given(made.result, machine) : null;
      });
      const known = rows.get(call);
      if (known && (known.after ?? 0) >= (now?.va ?? 0)) continue;
      rows.set(call, { call, before: was?.va ?? null, after: now?.va ?? null, share: now?.share ?? 0 });
    }
  }
  return [...rows.values()];
}

function given(result: CallResult, machine: string) {
  const supply = result.supplies.find((one) => one.id === `${machine}:secondary`);
  if (!supply) return null;
  // A transformer is rated by the current that it may give at 24 V.
  return { va: supply.va, share: (supply.amps * 24) / supply.ratedVa };
}

/**
 * Everything off; then by turns what all of them begin with at the machines, what comes next at their walls, what some then have to do at
 * the machines once more (a new cable that was pulled meanwhile), and so on; then everything on. Each keeps its own order.
 */
function jointMoves(places: readonly Place[], machines: ReadonlySet<string>): JointMove[] {
  const tagged = places.map(({ thermostat, option }) =>
    option.moves.map((move): JointMove => ({ ...move, thermostats: [thermostat.id] }))
  );
  const powered = (action: JointMove['action']) =>
    once(
      tagged.flat().filter((one) => one.action === action),
      machines
    );
  const turns = tagged.map((moves) => turnsOf(moves.filter((one) => !one.action.startsWith('power-'))));
  const most = Math.max(0, ...turns.map((one) => one.length));
  const work = Array.from({ length: most }, (_, turn) => {
    const all = turns.flatMap((one) => one[turn] ?? []);
    if (turn % 2 === 1) return all;
    // At the machines: one after the other, and at each what is for all.
    const stops = [...new Set(all.map((one) => one.place))];
    return once(
      stops.flatMap((stop) => all.filter((one) => one.place === stop)),
      machines
    );
  });
  const ordered = [...powered('power-off'), ...work.flat(), ...powered('power-on')];
  return ordered.map((one, index) => ({ ...one, id: `move-${index + 1}` }));
}

/** The moves by turns: at the machines, at the wall, at the machines again. The first is empty where all begins at the wall. */
function turnsOf(moves: readonly JointMove[]): JointMove[][] {
  const turns: JointMove[][] = [[]];
  for (const move of moves) {
    const atWall = (turns.length - 1) % 2 === 1;
    if ((move.end === 'wall') !== atWall) turns.push([]);
    turns[turns.length - 1]!.push(move);
  }
  return turns;
}

/** An act at a machine that several plans ask for: its power, the exchange of its transformer. What is one thermostat's own is never joined. */
function once(moves: readonly JointMove[], machines: ReadonlySet<string>): JointMove[] {
  const kept: JointMove[] = [];
  for (const move of moves) {
    const common = machines.has(move.what) && (move.change === null || move.change.kind === 'transformer');
    const same = common
      ? kept.findIndex((one) => one.action === move.action && one.what === move.what && one.to === move.to)
      : -1;
    const known = kept[same];
    if (!known) kept.push(move);
    else kept[same] = { ...known, thermostats: [...known.thermostats, ...move.thermostats] };
  }
  return kept;
}

function mergeParts(parts: readonly Part[]): Part[] {
  const merged = new Map<string, Part>();
  for (const part of parts) {
    const known = merged.get(part.id);
    if (!known) merged.set(part.id, part);
    // One exchange of a machine's transformer serves all that hang on it.
    else if (!part.id.startsWith('transformer-'))
      merged.set(part.id, {
        ...known,
        quantity: known.quantity + part.quantity,
        cost: known.cost + part.cost
      });
  }
  return [...merged.values()];
}

function minutesTogether(places: readonly Place[], moves: readonly JointMove[]): Band {
  if (moves.length === 0) return scaleBand(WAY_TO_EQUIPMENT, 0);
  const hands = places.map(({ thermostat, option }) =>
    handsOn(
      moves.filter((one) => one.thermostats[0] === thermostat.id),
      option.before
    )
  );
  return rounded(
    sumBands([
      ...hands,
      scaleBand(WAY_TO_EQUIPMENT, visitsTo(moves)),
      ...places.map((one) => extraBand(one.option.extraMinutes))
    ])
  );
}

/** Parts by the piece, and cable by the roll. */
function costWithRolls(parts: readonly Part[], cuts: Cuts): Band {
  const rest = parts.filter((one) => one.run === undefined);
  const rolls = cuts.rolls.map((one): Part => ({
    id: 'roll',
    name: '',
    quantity: 1,
    unit: 'roll',
    cost: one.cost
  }));
  const metre = parts.filter(
    (one) => one.run && cuts.byTheMetre.some((run) => run.lengthM === one.run?.lengthM)
  );
  return costOf([...rest, ...rolls, ...metre]);
}
