/** Transformers that more than one thermostat hangs on: what all of them draw together, and what size would be enough. */
import { simulate, type CallResult } from '../circuit/simulate';
import { callsOf } from '../devices/calls';
import { worldsOf } from '../identify/worlds';
import type { Job } from '../job/schema';
import { TRANSFORMER_SIZES } from '../supply/exchange';
import type { Prover } from '../supply/proof-memory';
import { USUAL_TRANSFORMER_VA } from '../trade/loads';
import type { Call } from '../trade/vocabulary';
import { assumeUnseenEnds } from '../wiring/from-job';
import type { Board, Wiring } from '../wiring/graph';
import { jointWiring } from '../wiring/joint';
import { wantedWiring } from './plan';
import type { Place } from './place';

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

export function sharedSupplies(job: Job, places: readonly Place[], prover?: Prover): SharedSupply[] {
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
      wantedWiring(job, first.thermostat, prover),
      others.map((one) => ({
        thermostat: one.thermostat.id,
        wiring: wantedWiring(job, one.thermostat, prover)
      }))
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
