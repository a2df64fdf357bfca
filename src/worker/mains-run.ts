/** Everything that the pages of mains heating controls show, worked out in the thread: a few thousand solves. */
import type { LongRun } from '$core/circuit/long-run';
import type { SimulateFailure } from '$core/circuit/simulate';
import { mainsView, type MainsView } from '$core/handover/mains/view';
import type { Thermostat } from '$core/job/schema';

export function mainsRun({ id, mains }: Thermostat): LongRun<MainsView> | SimulateFailure {
  if (mains === null)
    return { ok: false, reason: 'not-solvable', at: id, why: 'no mains controls are recorded here' };
  let made: MainsView | null = null;
  const make = () => (made ??= mainsView(mains));
  return { total: 1, done: () => (made === null ? 0 : 1), advance: () => void make(), result: make };
}
