/** Transformers that more than one thermostat hangs on: what all of them draw together, and what size would be enough. */
import { simulate, type CallResult } from '../circuit/simulate';
import { callsOf, combinedCallsOf } from '../devices/calls';
import { worldsOf } from '../identify/worlds';
import { PLAIN_CASE, withNeighbourWorlds, type MachineWorld, type SupplyCase } from '../devices/world';
import type { EquipmentId } from '../job/ids';
import type { Job } from '../job/schema';
import { TRANSFORMER_SIZES } from '../supply/exchange';
import type { Call } from '../trade/calls';
import { USUAL_TRANSFORMER_VA } from '../trade/loads';
import type { Board, Wiring } from '../wiring/graph';
import { jointWiring } from '../wiring/joint';
import { asNeighbour } from './neighbours';
import { endOf, todayOf, type Place } from './place';

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
  readonly machine: EquipmentId;
  readonly name: string;
  readonly thermostats: readonly string[];
  readonly ratedVa: number;
  /** Nobody has read the size. */
  readonly assumed: boolean;
  /** The size it is to get, where that is planned; it counts for what comes afterwards. */
  readonly plannedVa: number | null;
  readonly rows: readonly SharedRow[];
  readonly overloaded: boolean;
  /** It would not carry all of them in the way that is best for each by itself: then some have a supply of their own, or a chosen way is closed. */
  readonly tooSmallForAll: boolean;
  /**
   * The least size that would, VA, in the worst case where one in Class 2 does that; null where it is enough as it is, or none
   * would do.
   */
  readonly enough: number | null;
  /**
   * What one of that size would save against the ways that are taken because it is too small: minutes and dollars, its own price and work taken
   * off; below 0 where it costs more. Null where nothing is given up.
   */
  readonly exchangeSaves: { readonly minutes: number; readonly dollars: number } | null;
}

/**
 * `places`: with the ways taken; `alone`: with the way that each would take by itself. What the user chose counts even where the load closes
 * it: that is what the answer is about.
 */
export function sharedSupplies(job: Job, places: readonly Place[], alone: readonly Place[]): SharedSupply[] {
  const taken = (place: Place): Wiring => {
    const own = alone.find((candidate) => candidate.thermostat.id === place.thermostat.id) ?? place;
    return endOf(!place.works && place.option.method === own.option.method ? own : place);
  };
  return job.equipment.flatMap((machine): SharedSupply[] => {
    const on = places.filter((place) => place.thermostat.equipment.includes(machine.id));
    if (on.length < 2) return [];
    const rated = machine.transformerVa ?? USUAL_TRANSFORMER_VA;
    const size = machine.plannedVa ?? rated;
    const rows = rowsOf(job, { machine: machine.id, va: size }, on, taken);
    if (rows.length === 0) return [];
    const wired = alone.filter((place) => place.thermostat.equipment.includes(machine.id));
    const carries = (va: number, supplyCase = PLAIN_CASE) =>
      rowsOf(job, { machine: machine.id, va }, wired, endOf, supplyCase).every(
        (sharedRow) => sharedRow.share <= 1
      );
    const least = (supplyCase: SupplyCase) =>
      TRANSFORMER_SIZES.find(({ va }) => va > size && carries(va, supplyCase))?.va ?? null;
    // Where none is enough in the worst case, the largest that does as a rule.
    const largest = () => TRANSFORMER_SIZES.filter(({ va }) => va > size && carries(va)).at(-1)?.va ?? null;
    const enough = carries(size) ? null : (least({ ...PLAIN_CASE, corner: 'loaded' }) ?? largest());
    return [
      {
        machine: machine.id,
        name: machine.name,
        thermostats: on.map((place) => place.thermostat.id),
        ratedVa: rated,
        assumed: machine.transformerVa === null,
        plannedVa: machine.plannedVa,
        rows,
        overloaded: rows.some((row) => row.share > 1),
        tooSmallForAll: !carries(size),
        enough,
        exchangeSaves: enough === null ? null : savedBy(enough, on, wired)
      }
    ];
  });
}

/** A licensed person's visit for the exchange, minutes, besides the price of the transformer: an estimate. */
const EXCHANGE_MINUTES = 60;

function savedBy(
  va: number,
  taken: readonly Place[],
  alone: readonly Place[]
): SharedSupply['exchangeSaves'] {
  const sum = (places: readonly Place[], of: 'minutes' | 'cost') =>
    places.reduce((total, { option }) => total + option[of], 0);
  const differs = taken.some(
    (place) =>
      alone.find(({ thermostat }) => thermostat.id === place.thermostat.id)?.option.method !==
      place.option.method
  );
  if (!differs) return null;
  const price = TRANSFORMER_SIZES.find((size) => size.va === va)?.cost ?? 0;
  return {
    minutes: sum(taken, 'minutes') - sum(alone, 'minutes') - EXCHANGE_MINUTES,
    dollars: sum(taken, 'cost') - sum(alone, 'cost') - price
  };
}

/** Machines whose transformer does not carry all that hang on it with these wirings. */
export function overloadedMachines(
  job: Job,
  places: readonly Place[],
  wiringOf: (place: Place) => Wiring
): string[] {
  return job.equipment
    .filter((machine) => {
      const on = places.filter((place) => place.thermostat.equipment.includes(machine.id));
      const size = machine.plannedVa ?? machine.transformerVa ?? USUAL_TRANSFORMER_VA;
      return (
        on.length > 1 &&
        rowsOf(job, { machine: machine.id, va: size }, on, wiringOf).some((sharedRow) => sharedRow.share > 1)
      );
    })
    .map((machine) => machine.id);
}

function rowsOf(
  job: Job,
  { machine, va }: { readonly machine: string; readonly va: number },
  on: readonly Place[],
  wiringOf: (place: Place) => Wiring,
  supplyCase = PLAIN_CASE
): SharedRow[] {
  const [first, ...others] = on;
  if (!first) return [];
  const join = (of: (place: Place) => Wiring) =>
    jointWiring(
      of(first),
      others.map((other) => ({ thermostat: other.thermostat.id, wiring: of(other) }))
    );
  const neighbourWorlds = Object.assign(
    {},
    ...others.map((other) => asNeighbour(job, other.thermostat, todayOf(other)).worlds)
  ) as Record<string, MachineWorld>;
  const wirings = { today: join(todayOf), then: withSize(join(wiringOf), machine, va) };
  return loadRows(first, machine, wirings, { supplyCase, neighbourWorlds });
}

function withSize(wiring: Wiring, machine: string, va: number): Wiring {
  const sized = (board: Board) => ({ ...board, transformerVa: va });
  return {
    ...wiring,
    devices: wiring.devices.map((device) =>
      device.kind === 'board' && device.id === machine ? sized(device) : device
    )
  };
}

/** What the machine's transformer gives when all its thermostats call at once, in the worst of the worlds that are believable. */
function loadRows(
  first: Place,
  machine: string,
  { today, then }: { readonly today: Wiring; readonly then: Wiring },
  {
    supplyCase,
    neighbourWorlds
  }: { readonly supplyCase: SupplyCase; readonly neighbourWorlds: Readonly<Record<string, MachineWorld>> }
): SharedRow[] {
  const worlds = worldsOf(first.plan.identification, today).map((world) =>
    withNeighbourWorlds(world.world, neighbourWorlds)
  );
  const rows = new Map<Call, SharedRow>();
  for (const world of worlds) {
    for (const call of [...callsOf(world, today), ...combinedCallsOf(world, today)]) {
      const [was, now] = [today, then].map((wiring) => {
        const made = simulate(wiring, world, call, supplyCase);
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
  const supply = result.supplies.find((supplyResult) => supplyResult.device === machine);
  if (!supply) return null;
  // A transformer is rated by the current that it may give at 24 V.
  return { va: supply.va, share: supply.amps / supply.ratedAmps };
}
