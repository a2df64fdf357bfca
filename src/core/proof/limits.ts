/**
 * What holds with nominal values, looked at once more in the corners of all tolerances: mains, transformers, coils, electronics, copper and
 * joints each at the end that is worst. The lowest and the highest voltage that the thermostat may see, coils that no longer pull in though
 * they do today, and the most that a transformer may have to give. What fails only there is a condition to be measured, not a stop.
 */
import { running } from '../circuit/expected';
import { simulate, type CallResult, type SupplyResult } from '../circuit/simulate';
import { PLAIN_CASE, type CornerId, type SupplyCase, type World } from '../devices/world';
import type { PartRef } from '../findings/refs';
import type { Call } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';
import type { Wiring } from '../wiring/graph';

/** No-load voltages of transformers scatter by about so much: less above a window is not called too much. */
export const SLACK_VOLTS = 0.6;

/** A transformer that gives more than its rating in the loaded corner. */
export interface Excess {
  readonly supply: SupplyResult;
  /** What it gives there today; null where it is not there today, or where neighbours hang on it: how those are today is not known here. */
  readonly ampsToday: number | null;
}

export interface AtLimits {
  readonly call: Call;
  /** Volts at the thermostat, the least and the most; null where none is fed. */
  readonly low: number | null;
  readonly high: number | null;
  readonly tooLow: boolean;
  readonly tooHigh: boolean;
  /** The most that any one transformer gives, amps. */
  readonly amps: number;
  /** Loads that run in the weak corner today, and will not. */
  readonly lost: readonly LoadId[];
  /** Coils that would not move while all pull in at once in the weak corner, though they do today. */
  readonly weakAtPullIn: readonly PartRef[];
  /** Loads that run in some corner and neither with nominal values nor today. */
  readonly uncalled: readonly LoadId[];
  /** Beyond the rating, or beyond the least that an unread plate may say. */
  readonly excess: readonly Excess[];
  /** What each transformer gives today with nominal values, amps, by its id. */
  readonly today: ReadonlyMap<string, number>;
  readonly solves: number;
}

/** One call of a proof, solved with nominal values. */
export interface NominalCall {
  readonly world: World;
  readonly call: Call;
  readonly was: CallResult;
  /** One for each case of polarity and bonding; at least one. */
  readonly cases: readonly CallResult[];
  /** With the neighbours calling at once; null where there are none. */
  readonly crowd: CallResult | null;
}

export interface Wirings {
  /** The thermostat's own, as it is. */
  readonly before: Wiring;
  /** As it will be, with its neighbours where there are any. */
  readonly allAfter: Wiring;
  /** Neighbours are in it. */
  readonly shared: boolean;
}

/** Null where a corner has no solution. */
export function atLimits(wirings: Wirings, nominal: NominalCall): AtLimits | null {
  const corners = new Corners(wirings, nominal);
  const [weak, strong, loaded] = [corners.after('weak'), corners.after('strong'), corners.after('loaded')];
  if (!weak || !strong || !loaded) return null;
  const limits = limitsFrom(nominal, {
    weak,
    strong,
    loaded,
    shared: wirings.shared,
    today: (corner) => corners.before(corner)
  });
  return { ...limits, solves: corners.solves };
}

/** Every corner solved: one result for each case of polarity and bonding that makes a difference. */
export interface SolvedCorners {
  readonly weak: readonly CallResult[];
  readonly strong: readonly CallResult[];
  readonly loaded: readonly CallResult[];
  /** Neighbours are in them. */
  readonly shared: boolean;
  /** The thermostat's own wiring as it is, in a corner; null where that has no solution. */
  today(corner: CornerId): CallResult | null;
}

/** What the corners show, against what holds with nominal values. */
export function limitsFrom(
  nominal: NominalCall,
  { weak, strong, loaded, shared, today }: SolvedCorners
): Omit<AtLimits, 'solves'> {
  const own = new Set(nominal.cases.flatMap((result) => result.feeds.map((feed) => feed.device)));
  const feeds = (results: readonly CallResult[]) =>
    results.flatMap((result) => result.feeds.filter((feed) => own.has(feed.device)));
  const [lows, highs] = [feeds(weak), feeds(strong)];
  const always = inAll(nominal.cases.map((result) => running(result.loads)));
  const stillOn = inAll(weak.map((result) => running(result.loads)));
  const dead = always.filter((load) => !stillOn.includes(load));
  const crowd = nominal.crowd ? [nominal.crowd] : [];
  const expected = new Set(
    [nominal.was, ...nominal.cases, ...crowd].flatMap((result) => running(result.loads))
  );
  const ever = [...weak, ...strong, ...loaded].flatMap((result) => running(result.loads));
  const humming = new Map(weak.flatMap((result) => result.inrush.weak).map((coil) => [coil.id, coil]));
  const runsToday = (load: LoadId) => running(today('weak')?.loads ?? []).includes(load);
  const humsToday = (id: string) => today('weak')?.inrush.weak.some((coil) => coil.id === id) === true;
  return {
    call: nominal.call,
    low: lows.length === 0 ? null : Math.min(...lows.map((low) => low.volts)),
    high: highs.length === 0 ? null : Math.max(...highs.map((high) => high.volts)),
    tooLow: lows.some((low) => low.volts < low.min),
    tooHigh: highs.some((high) => high.volts > high.max + SLACK_VOLTS),
    amps: Math.max(0, ...loaded.flatMap((result) => result.supplies.map((supply) => supply.amps))),
    lost: dead.filter(runsToday),
    weakAtPullIn: [...humming.values()].filter((coil) => !humsToday(coil.id)),
    uncalled: [...new Set(ever)].filter((load) => !expected.has(load)),
    excess: excessOf(loaded, shared ? null : () => today('loaded')),
    today: new Map(nominal.was.supplies.map((supply) => [supply.id, supply.amps]))
  };
}

/** Solves a corner when it is asked for, in every case of polarity and bonding that makes a difference. */
class Corners {
  private readonly cases: readonly SupplyCase[];
  private readonly today = new Map<CornerId, CallResult | null>();
  solves = 0;

  constructor(
    private readonly wirings: Wirings,
    private readonly nominal: NominalCall
  ) {
    const { cases } = nominal;
    const [first] = cases;
    const decoupled = first !== undefined && cases.every((result) => sameReading(result, first));
    this.cases = (decoupled ? [first] : cases).map((result) => result.supplyCase);
  }

  after(corner: CornerId): readonly CallResult[] | null {
    const found = this.cases.map((supplyCase) =>
      this.solve(this.wirings.allAfter, { ...supplyCase, corner })
    );
    return found.every((callResult) => callResult !== null) ? found : null;
  }

  /** The thermostat's own wiring as it is. */
  before(corner: CornerId): CallResult | null {
    const known = this.today.get(corner);
    if (known !== undefined) return known;
    const found = this.solve(this.wirings.before, { ...PLAIN_CASE, corner });
    this.today.set(corner, found);
    return found;
  }

  private solve(wiring: Wiring, supplyCase: SupplyCase): CallResult | null {
    const made = simulate(wiring, this.nominal.world, this.nominal.call, supplyCase);
    if (!made.ok) return null;
    this.solves += made.result.solves;
    return made.result;
  }
}

/** Where all cases read the same, no current flows between the supplies, and none will with other values. */
export function sameReading(result: CallResult, other: CallResult): boolean {
  const same = (a: number, b: number) => Math.abs(a - b) <= 1e-6 * Math.max(1, Math.abs(a));
  return (
    result.feeds.every((feed, at) => same(feed.volts, other.feeds[at]?.volts ?? NaN)) &&
    result.supplies.every((supply, at) => same(supply.amps, other.supplies[at]?.amps ?? NaN)) &&
    result.loads.every((load, at) => same(load.volts, other.loads[at]?.volts ?? NaN))
  );
}

function inAll(lists: readonly (readonly LoadId[])[]): readonly LoadId[] {
  return lists.reduce((common, list) => common.filter((load) => list.includes(load)));
}

/** `today`: the loaded corner of what is there today; null where neighbours hang on it and nobody knows. */
function excessOf(loaded: readonly CallResult[], today: (() => CallResult | null) | null): Excess[] {
  const worst = new Map<string, SupplyResult>();
  for (const supply of loaded.flatMap((result) => result.supplies)) {
    const known = worst.get(supply.id);
    const over = supply.fuseOpen || supply.amps * supply.nominalVolts > supply.leastVa;
    if (over && !(known && known.amps >= supply.amps)) worst.set(supply.id, supply);
  }
  return [...worst.values()].map((supply) => ({
    supply,
    ampsToday: today === null ? null : ampsOf(today(), supply.id)
  }));
}

function ampsOf(result: CallResult | null, supply: string): number | null {
  return result?.supplies.find((supplyResult) => supplyResult.id === supply)?.amps ?? null;
}
