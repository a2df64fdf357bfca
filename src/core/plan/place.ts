/** A thermostat's place in the plan of a whole job. */
import type { Job, Thermostat } from '../job/schema';
import type { ProofNeighbour } from '../proof/types';
import type { Wiring } from '../wiring/graph';
import { planFor, type Plan, type PlannedOption } from './plan';

/** One thermostat with the way that is taken for it. */
export interface Place {
  readonly thermostat: Thermostat;
  readonly plan: Plan;
  readonly option: PlannedOption;
  /** False where nothing is to be done: it is left alone, or every way is refused. */
  readonly works: boolean;
}

/** `like`: the way to take, where that is settled already. */
export function placeOf(
  job: Job,
  thermostat: Thermostat,
  { neighbours, like }: { neighbours: readonly ProofNeighbour[]; like?: PlannedOption }
): Place {
  const settled = like ? { method: like.method, variant: like.variant?.id ?? null } : {};
  const plan = planFor(job, thermostat, { neighbours, ...settled });
  const option = plan.options.find((plannedOption) => plannedOption.method === plan.taken);
  if (!option) throw new Error('A plan takes one of its options');
  return { thermostat, plan, option, works: option.verdict !== 'no' && option.moves.length > 0 };
}

/** As found, with unseen ends taken to be on the same mark. */
export function todayOf({ option }: Place): Wiring {
  return option.before;
}

/** The wiring that a place ends with: as planned where something is done, else as it is. */
export function endOf(place: Place): Wiring {
  return (place.works ? place.option.after : null) ?? todayOf(place);
}
