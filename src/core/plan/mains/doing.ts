/** Moves of mains controls into the log and out of it, and whether hands may make one: the gate stands here, whatever shows the list. */
import type { LogEntry } from '../../job/log-schema';
import { isCompetent, isProvenDead, withMainsLog } from '../../job/mains-edits';
import type { MainsControls } from '../../job/mains-schema';
import type { Job, Thermostat } from '../../job/schema';
import type { Step } from '../../job/steps';
import { wiringFromMains } from '../../wiring/from-mains';
import { entriesFor, entriesTakingBack } from '../../wiring/now';
import type { Move } from '../move-types';

/** Somebody competent is named; and for what moves a wire, dead is proven on this day (`YYYY-MM-DD`). */
export function mayDo(mains: MainsControls, { change }: Pick<Move, 'change'>, today: string): boolean {
  return isCompetent(mains) && (change === null || isProvenDead(mains.dead, today));
}

/** `at`: ISO time. Null where hands may not make it now. */
export function doMainsMove(job: Job, { id, mains }: Thermostat, move: Move, at: string): Step | null {
  if (mains === null || !mayDo(mains, move, at.slice(0, 10))) return null;
  const { action, end, what, from, to, change, text } = move;
  const entries = entriesFor(mains.log, [{ act: { action, end, what, from, to }, change }], at);
  return withMainsLog(job, id, [...mains.log, ...entries], text);
}

/** Null where it does not stand. */
export function takeMainsBack(job: Job, { id, mains }: Thermostat, entry: LogEntry, at: string): Step | null {
  if (mains === null) return null;
  const back = entriesTakingBack(wiringFromMains(mains), mains.log, entry.id, at);
  return back.length === 0 ? null : withMainsLog(job, id, [...mains.log, ...back], 'Step taken back');
}
