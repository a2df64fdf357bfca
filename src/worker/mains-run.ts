/** Everything that the pages of mains heating controls show, worked out in the thread: a few thousand solves. */
import { oneStep, type LongRun } from '$core/circuit/long-run';
import type { SimulateFailure } from '$core/circuit/simulate';
import { mainsView, type MainsView } from '$core/handover/mains/view';
import type { Thermostat } from '$core/job/schema';

export function mainsRun({ id, mains }: Thermostat): LongRun<MainsView> | SimulateFailure {
  if (mains === null)
    return { ok: false, reason: 'not-solvable', at: id, why: 'no mains controls are recorded here' };
  return oneStep(() => mainsView(mains));
}
