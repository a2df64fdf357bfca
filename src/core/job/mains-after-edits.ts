/** Edits of what comes after the work on mains heating controls: tests, settings, what was seen. */
import type { ThermostatId } from './ids';
import { mainsIn, mainsPath } from './mains-edits';
import type { MainsTest } from './mains-schema';
import type { Job } from './schema';
import { setStep, type Step } from './steps';

/** A result takes the place of the one before it of the same row. */
export function recordMainsTest(job: Job, th: ThermostatId, test: MainsTest): Step {
  const others = mainsIn(job, th).tests.filter(({ row }) => row !== test.row);
  return setStep(job, mainsPath(th, 'tests'), [...others, test], `Test: ${test.result}`);
}

export function seeMains(job: Job, th: ThermostatId, look: string, answer: string | null): Step {
  return setStep(job, mainsPath(th, 'seen', look), answer ?? undefined, 'Seen');
}

export function clearSeen(job: Job, th: ThermostatId): Step {
  return setStep(job, mainsPath(th, 'seen'), {}, 'All answers taken back');
}

export function setMainsSetting(job: Job, th: ThermostatId, id: string, time: string | null): Step {
  return setStep(job, mainsPath(th, 'settings', id), time ?? undefined, `Setting: ${id}`);
}
