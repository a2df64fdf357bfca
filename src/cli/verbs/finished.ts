import { finishedOf, type Finished } from '$core/handover/subject';
import { findingText } from '$core/words/findings/table';
import type { Arguments } from '../arguments';
import { isJob, loadJob, pickThermostat } from '../load';
import type { Outcome } from '../outcome';
import { isMains, type MainsPoint } from './mains/plan';
import { planFromArguments } from './plan';

/** The wiring that the work ends with, by --thermostat, --model and --method; or why there is none. */
export async function finishedFromArguments(args: Arguments): Promise<Finished | Outcome> {
  const job = await loadJob(args.file);
  if (!isJob(job)) return job;
  const made = planFromArguments(job, args);
  if ('kind' in made) return made;
  const finished = finishedOf(job, made.thermostat, made.plan);
  if ('code' in finished)
    return {
      kind: 'bad-file',
      faults: [
        {
          path: made.thermostat.id,
          expected: 'a wiring that can be set up and tested',
          found: findingText(finished)
        }
      ]
    };
  return finished;
}

/** The thermostat that the arguments name, where mains controls hang there; a file that is bad is told by who reads it next. */
export async function mainsFromArguments(args: Arguments): Promise<MainsPoint | null> {
  const job = await loadJob(args.file);
  if (!isJob(job)) return null;
  const point = pickThermostat(job, args);
  return !('kind' in point) && isMains(point) ? point : null;
}

export function isFinished(made: Finished | Outcome): made is Finished {
  return 'wiring' in made;
}
