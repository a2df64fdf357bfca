/** What a wiring does in a call: which loads run, at what voltage; what the thermostat gets; what each supply gives. */
import type { Coil, Element, Source } from '../devices/elements';
import { PLAIN_CASE, type SupplyCase, type World } from '../devices/world';
import type { Call, LoadId } from '../trade/vocabulary';
import type { Wiring } from '../wiring/graph';
import { EARTH_PREFIX, netlistOf, type Netlist } from './netlist';
import { settle, type Settled } from './settle';
import { isClosed } from './stamps';

export interface LoadResult {
  readonly id: LoadId;
  readonly energised: boolean;
  /** The best voltage across any of its coils, RMS. */
  readonly volts: number;
}

export interface SupplyResult {
  readonly id: string;
  readonly name: string;
  readonly va: number;
  readonly amps: number;
  readonly ratedVa: number;
  /** A fuse behind it has opened; `fuseAmps` is what it saw. */
  readonly fuseOpen: boolean;
  readonly fuseAmps: number | null;
}

export interface CallResult {
  readonly call: Call;
  readonly loads: readonly LoadResult[];
  /** Volts at the thermostat's electronics; null when it has none that a common would feed. */
  readonly thermostatVolts: number | null;
  /** Whether that voltage is inside its window; null as above. */
  readonly thermostatFed: boolean | null;
  readonly supplies: readonly SupplyResult[];
  /** Pairs of supplies that copper joins. */
  readonly tied: readonly (readonly [string, string])[];
  readonly chattering: readonly string[];
  /** Coils that get some voltage while called but too little to pull in. */
  readonly starved: readonly string[];
  readonly solves: number;
}

export type SimulateResult =
  | { readonly ok: true; readonly result: CallResult }
  | {
      readonly ok: false;
      readonly reason: 'no-model' | 'not-solvable';
      readonly at: string;
      readonly why: string;
    };

export function simulate(
  wiring: Wiring,
  world: World,
  call: Call,
  supplyCase: SupplyCase = PLAIN_CASE
): SimulateResult {
  const netlist = netlistOf(wiring, world, call, supplyCase);
  if (netlist === null) {
    return { ok: false, reason: 'no-model', at: world.family, why: `no circuit is known for ${world.says}` };
  }
  const settled = settle(netlist);
  if (!settled.ok) return { ok: false, reason: 'not-solvable', at: settled.at, why: settled.why };
  return { ok: true, result: readOut(netlist, settled, call) };
}

function readOut(netlist: Netlist, settled: Settled, call: Call): CallResult {
  const coils = new Map(
    netlist.elements.flatMap((one) => (one.kind === 'coil' ? [[one.id, one] as const] : []))
  );
  const voltsOf = (coil: Coil) => Math.abs(settled.point.voltage(coil.a, coil.b) ?? 0);
  const fed = fedVolts(netlist, settled);
  return {
    call,
    loads: mergeLoads(netlist, coils, voltsOf, settled),
    thermostatVolts: fed,
    thermostatFed: fed === null || !netlist.fed ? null : fed >= netlist.fed.min && fed <= netlist.fed.max,
    supplies: suppliesOf(netlist, settled),
    tied: tiedSupplies(netlist, settled),
    chattering: settled.chattering,
    starved: [...coils.values()]
      .filter((coil) => voltsOf(coil) > 0.25 * coil.pullIn && !settled.state.energised.has(coil.id))
      .map((coil) => coil.id),
    solves: settled.solves
  };
}

/** One row per load: two machines that both have a blower make one row that runs when either does. */
function mergeLoads(
  netlist: Netlist,
  coils: ReadonlyMap<string, Coil>,
  voltsOf: (coil: Coil) => number,
  settled: Settled
): LoadResult[] {
  const rows = new Map<LoadId, LoadResult>();
  for (const rule of netlist.loads) {
    const own = rule.coils.flatMap((id) => coils.get(id) ?? []);
    if (own.length === 0) continue;
    const before = rows.get(rule.load);
    rows.set(rule.load, {
      id: rule.load,
      energised: (before?.energised ?? false) || own.some((coil) => settled.state.energised.has(coil.id)),
      volts: Math.max(before?.volts ?? 0, ...own.map(voltsOf))
    });
  }
  return [...rows.values()];
}

function fedVolts(netlist: Netlist, settled: Settled): number | null {
  if (!netlist.fed) return null;
  const id = netlist.fed.element;
  const element = netlist.elements.find((one) => one.id === id);
  return element ? Math.abs(settled.point.voltage(element.a, element.b) ?? 0) : null;
}

function suppliesOf(netlist: Netlist, settled: Settled): SupplyResult[] {
  return sourcesOf(netlist).map((source) => {
    const amps = Math.abs(settled.point.current(source));
    const volts = Math.abs(settled.point.voltage(source.a, source.b) ?? 0);
    const opened = netlist.elements.filter(
      (one) =>
        one.kind === 'fuse' &&
        (one.a === source.a || one.b === source.a) &&
        settled.state.openFuses.has(one.id)
    );
    return {
      id: source.id,
      name: source.name,
      va: volts * amps,
      amps,
      ratedVa: source.ratedVa,
      fuseOpen: opened.length > 0,
      fuseAmps: opened.length > 0 ? Math.max(...opened.map((one) => settled.fuseAmps.get(one.id) ?? 0)) : null
    };
  });
}

/** The most that a joint of copper can have: a long thin strand. Every coil and every thermostat has more. */
const COPPER_OHMS = 10;

/** Pairs of supplies that strands, links or closed contacts join, earth left aside: a tie that needs no fault to be there. */
function tiedSupplies(netlist: Netlist, settled: Settled): [string, string][] {
  const groups = new Map<string, string>();
  const find = (node: string): string => {
    const next = groups.get(node) ?? node;
    return next === node ? node : find(next);
  };
  for (const element of netlist.elements) {
    if (isCopper(element, settled)) groups.set(find(element.a), find(element.b));
  }
  const sources = sourcesOf(netlist);
  const joined = (one: Source, other: Source) =>
    [one.a, one.b].some((node) => [other.a, other.b].some((far) => find(node) === find(far)));
  return sources.flatMap((one, index) =>
    sources
      .slice(index + 1)
      .filter((other) => joined(one, other))
      .map((other): [string, string] => [one.id, other.id])
  );
}

function isCopper(element: Element, settled: Settled): boolean {
  if (element.kind === 'resistor') return element.ohms < COPPER_OHMS && !element.id.startsWith(EARTH_PREFIX);
  if (element.kind === 'contact') return isClosed(element, settled.state);
  return element.kind === 'fuse' && !settled.state.openFuses.has(element.id);
}

function sourcesOf(netlist: Netlist): Source[] {
  return netlist.elements.filter((one): one is Source => one.kind === 'source');
}
