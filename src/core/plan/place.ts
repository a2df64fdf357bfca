/** A thermostat's place in the plan of a whole job. */
import type { Job, Thermostat } from '../job/schema';
import type { Prover } from '../supply/proof-memory';
import { planFor, type Plan, type PlannedOption } from './plan';

/** One thermostat with the way that is taken for it. */
export interface Place {
  readonly thermostat: Thermostat;
  readonly plan: Plan;
  readonly option: PlannedOption;
  /** False where nothing is to be done: it is left alone, or every way is refused. */
  readonly works: boolean;
}

export function placeOf(job: Job, thermostat: Thermostat, prover: Prover): Place {
  const plan = planFor(job, thermostat, { prover });
  const option = plan.options.find((one) => one.method === plan.taken);
  if (!option) throw new Error('A plan takes one of its options');
  return { thermostat, plan, option, works: option.verdict !== 'no' && option.moves.length > 0 };
}
