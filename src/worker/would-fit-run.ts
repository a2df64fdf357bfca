/** What would make one thermostat fit, worked out in the thread: all its ways of supply are proven. */
import { oneStep, type LongRun } from '$core/circuit/long-run';
import type { SimulateFailure } from '$core/circuit/simulate';
import type { Thermostat } from '$core/job/schema';
import { findDevice } from '$core/match/catalogue';
import { wouldFit, type WouldFit } from '$core/plan/would-fit';
import type { DeviceTask } from './protocol';

export function wouldFitRun(
  { job, device: id }: DeviceTask,
  thermostat: Thermostat
): LongRun<WouldFit> | SimulateFailure {
  const device = findDevice(job, id);
  if (!device) return { ok: false, reason: 'not-solvable', at: id, why: 'the job knows no such thermostat' };
  return oneStep(() => wouldFit(job, thermostat, device));
}
