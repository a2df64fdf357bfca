/**
 * Ticks of a file of version 1, taken over into the log. A tick said which move was done by the words of its key; where the plan as it
 * stands has that move, the change that it makes goes into the log, in the order of the plan. A tick that fits no move is kept as a note.
 */
import { thermostatIn } from '../job/edits';
import type { ThermostatId } from '../job/ids';
import type { JobNote, OldTick } from '../job/log-schema';
import type { Job } from '../job/schema';
import { apply, batch, insertStep, setStep, type Path, type Step } from '../job/steps';
import { applyChange, fits } from '../wiring/difference';
import { entriesFor } from '../wiring/now';
import { moveKey } from './moves';
import { planFor } from './plan';

/** The step that takes all old ticks of a job over, or null where there are none. */
export function adoptTicks(job: Job): Step | null {
  const steps = job.thermostats.flatMap((thermostat) => adoptFor(job, thermostat.id));
  return steps.length === 0 ? null : batch('Moves that were ticked are in the log now', steps);
}

/** The job with its old ticks in the log: what every reader of a file goes on with. */
export function withTicksAdopted(job: Job): Job {
  const step = adoptTicks(job);
  return step === null ? job : apply(job, step);
}

function adoptFor(job: Job, th: ThermostatId): Step[] {
  const thermostat = thermostatIn(job, th);
  if (thermostat.oldTicks.length === 0) return [];
  const at: Path = ['thermostats', { id: th }];
  const plan = planFor(job, thermostat);
  const left = new Map(thermostat.oldTicks.map((tick) => [tick.key, tick]));
  let wiring = plan.wiringNow;
  let { log } = thermostat;
  for (const move of plan.moves) {
    const tick = left.get(moveKey(move));
    if (!tick || (move.change !== null && !fits(wiring, move.change))) continue;
    const { action, end, what, from, to } = move;
    log = [
      ...log,
      ...entriesFor(log, [{ act: { action, end, what, from, to }, change: move.change }], tick.at)
    ];
    if (move.change !== null) wiring = applyChange(wiring, move.change);
    left.delete(tick.key);
  }
  const label = 'Moves that were ticked';
  return [
    ...log
      .slice(thermostat.log.length)
      .map((entry) => insertStep(job, [...at, 'log'], entry, label, log.indexOf(entry))),
    setStep(job, [...at, 'oldTicks'], [], label),
    ...(left.size > 0
      ? [setStep(job, [...at, 'notes'], [...thermostat.notes, ...[...left.values()].map(noteOf)], label)]
      : [])
  ];
}

function noteOf({ key, at }: OldTick): JobNote {
  return { at, about: 'move that was ticked', text: key };
}
