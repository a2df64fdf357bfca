/** Moves of mains controls into the log, and out of it. */
import { nextId } from '$core/job/ids';
import type { LogEntry } from '$core/job/log-schema';
import { withMainsLog } from '$core/job/mains-edits';
import type { MainsControls } from '$core/job/mains-schema';
import type { Job, Thermostat } from '$core/job/schema';
import type { Step } from '$core/job/steps';
import type { Move } from '$core/plan/move-types';
import { wiringFromMains } from '$core/wiring/from-mains';
import { entriesTakingBack } from '$core/wiring/now';

/** `at`: ISO time. */
export function doMainsMove(
  job: Job,
  thermostat: Thermostat,
  mains: MainsControls,
  { action, end, what, from, to, change, text }: Move,
  at: string
): Step {
  const entry: LogEntry = {
    id: nextId(
      'log',
      mains.log.map(({ id }) => id)
    ),
    at,
    act: { action, end, what, from, to },
    change,
    undoes: null
  };
  return withMainsLog(job, thermostat.id, [...mains.log, entry], text);
}

/** Null where it does not stand. */
export function takeMainsBack(
  job: Job,
  thermostat: Thermostat,
  mains: MainsControls,
  entry: LogEntry,
  at: string
): Step | null {
  const back = entriesTakingBack(wiringFromMains(mains), mains.log, entry.id, at);
  return back.length === 0
    ? null
    : withMainsLog(job, thermostat.id, [...mains.log, ...back], 'Step taken back');
}
