/** What the hands do, written down: a move that is done, and one that is taken back, as edits of the log. */
import { logEntries } from '../job/choices';
import { thermostatIn } from '../job/edits';
import type { LogId, ThermostatId } from '../job/ids';
import type { Job } from '../job/schema';
import type { Step } from '../job/steps';
import { entriesFor, entriesTakingBack } from '../wiring/now';
import type { Move } from './move-types';
import { withThoseBefore } from './moves';
import type { Plan } from './plan';

/** Writes a move of the plan down as done at `at` (ISO time), with those before it that have to be done for it. */
export function doMove(
  job: Job,
  th: ThermostatId,
  plan: Pick<Plan, 'wiringNow' | 'moves'>,
  move: Pick<Move, 'id'>,
  at: string
): Step {
  const { log } = thermostatIn(job, th);
  const moves = withThoseBefore(plan.wiringNow, plan.moves, move.id);
  const doings = moves.map(({ action, end, what, from, to, change }) => ({
    act: { action, end, what, from, to },
    change
  }));
  const label = moves.length > 1 ? `${moves.length} moves done` : 'Move done';
  return logEntries(job, th, entriesFor(log, doings, at), label);
}

/** Takes an entry of the log back, with those that hang on it; no step where it does not stand. */
export function takeBack(
  job: Job,
  th: ThermostatId,
  plan: Pick<Plan, 'wiringFound'>,
  entry: LogId,
  at: string
): Step | null {
  const { log } = thermostatIn(job, th);
  const entries = entriesTakingBack(plan.wiringFound, log, entry, at);
  if (entries.length === 0) return null;
  const label = entries.length > 1 ? `${entries.length} moves taken back` : 'Move not done after all';
  return logEntries(job, th, entries, label);
}
