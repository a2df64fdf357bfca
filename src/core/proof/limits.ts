/**
 * What holds with nominal values, looked at once more in the corners of all tolerances: mains, transformers, coils, electronics, copper and
 * joints each at the end that is worst. The lowest and the highest voltage that the thermostat may see, coils that no longer pull in though
 * they do today, and the most that a transformer may have to give. What fails only there is a condition to be measured, not a stop.
 */
import { running } from '../circuit/expected';
import { simulate, type CallResult, type SupplyResult } from '../circuit/simulate';
import { PLAIN_CASE, type CornerAim, type CornerId, type SupplyCase, type World } from '../devices/world';
import type { Call } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';
import type { Wiring } from '../wiring/graph';

/**
 * What a window of 30 V is meant to stand: any transformer of the 24 V class, which without load gives up to 28 V, and 30.8 with mains 10 % high.
 * As much above a window, and a little for rounding, is not called too much.
 */
export const SLACK_VOLTS = 0.9;

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
  /** Loads that run in some corner and neither with nominal values nor today. */
  readonly uncalled: readonly LoadId[];
  /** Beyond the rating, or beyond the least that an unread plate may say. */
  readonly excess: readonly Excess[];
  /** What each transformer gives today with nominal values, amps, by its id. */
  readonly today: ReadonlyMap<string, number>;
  /** Whether the figures are bounds: with diodes in the circuit they are not. */
  readonly bounded: boolean;
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
  /** The thermostat's own wiring as it is, in the same corner with the same aims; empty where that has no solution. */
  today(corner: CornerId): readonly CallResult[];
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
  const runsToday = (load: LoadId) => {
    const results = today('weak');
    return results.length > 0 && results.every((result) => running(result.loads).includes(load));
  };
  return {
    call: nominal.call,
    low: lows.length === 0 ? null : Math.min(...lows.map((low) => low.volts)),
    high: highs.length === 0 ? null : Math.max(...highs.map((high) => high.volts)),
    tooLow: lows.some((low) => low.volts < low.min),
    tooHigh: highs.some((high) => high.volts > high.max + SLACK_VOLTS),
    amps: Math.max(0, ...loaded.flatMap((result) => result.supplies.map((supply) => supply.amps))),
    lost: dead.filter(runsToday),
    uncalled: [...new Set(ever)].filter((load) => !expected.has(load)),
    excess: excessOf(loaded, shared ? null : () => today('loaded')),
    bounded: [...weak, ...strong, ...loaded].every((result) => result.bounded),
    today: new Map(nominal.was.supplies.map((supply) => [supply.id, supply.amps]))
  };
}

/** A coil that gets this much more than it pulls in at is not looked at by itself: no value of its own wires makes up for that. */
const CLEAR_VOLTS = 4;

/** Solves a corner when it is asked for, in every case of polarity and bonding that makes a difference and for everything that it is about. */
class Corners {
  private readonly cases: readonly SupplyCase[];
  private readonly aims = new Map<CornerId, readonly (CornerAim | undefined)[]>();
  private readonly today = new Map<CornerId, readonly CallResult[]>();
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
    const usual = this.allCases(corner, undefined);
    if (!usual) return null;
    const more = corner === 'weak' ? this.coilAims(usual) : corner === 'loaded' ? furtherSupplies(usual) : [];
    this.aims.set(corner, [undefined, ...more]);
    const found = more.map((aim) => this.allCases(corner, aim));
    return found.some((results) => results === null)
      ? null
      : [...usual, ...found.flatMap((results) => results ?? [])];
  }

  /** The thermostat's own wiring as it is. */
  before(corner: CornerId): readonly CallResult[] {
    const known = this.today.get(corner);
    if (known !== undefined) return known;
    const aims = this.aims.get(corner) ?? [undefined];
    const found = aims.flatMap(
      (aim) => this.solve(this.wirings.before, { ...PLAIN_CASE, ...cornerAt(corner, aim) }) ?? []
    );
    this.today.set(corner, found);
    return found;
  }

  private allCases(corner: CornerId, aim: CornerAim | undefined): readonly CallResult[] | null {
    const found = this.cases.map((supplyCase) =>
      this.solve(this.wirings.allAfter, { ...supplyCase, ...cornerAt(corner, aim) })
    );
    return found.every((callResult) => callResult !== null) ? found : null;
  }

  /** Coils that run with nominal values, and come near to what they pull in at in the usual weak corner. */
  private coilAims(weak: readonly CallResult[]): CornerAim[] {
    const clear = (id: string) =>
      weak.every((result) =>
        result.coils.some(
          ({ part, energised, volts, pullIn }) => part.id === id && energised && volts > pullIn + CLEAR_VOLTS
        )
      );
    const run = this.nominal.cases.flatMap((result) =>
      result.coils.flatMap(({ part, energised }) => (energised ? [part.id] : []))
    );
    return [...new Set(run)].filter((id) => !clear(id)).map((element) => ({ element, pulling: true }));
  }

  private solve(wiring: Wiring, supplyCase: SupplyCase): CallResult | null {
    const made = simulate(wiring, this.nominal.world, this.nominal.call, supplyCase);
    if (!made.ok) return null;
    this.solves += made.result.solves;
    return made.result;
  }
}

function cornerAt(corner: CornerId, aim: CornerAim | undefined) {
  return aim ? { corner, aim } : { corner };
}

/** The usual loaded corner is that of the first supply; each other has one of its own. */
function furtherSupplies([first]: readonly CallResult[]): CornerAim[] {
  return (first?.supplies.slice(1) ?? []).map(({ id }) => ({ element: id }));
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
function excessOf(loaded: readonly CallResult[], today: (() => readonly CallResult[]) | null): Excess[] {
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

/** The most that a supply gives in any of these; null where it is in none. */
function ampsOf(results: readonly CallResult[], supply: string): number | null {
  const given = results.flatMap((result) => result.supplies.filter(({ id }) => id === supply));
  return given.length === 0 ? null : Math.max(...given.map(({ amps }) => amps));
}
