/** Edits of what comes once it is lit: settings made, readings, tests, what is private, and closing the job. Times are ISO and handed in. */
import type { SettingId } from '../trade/setting-ids';
import { SETTING_NAMES, settingValueName } from '../trade/settings';
import type { Call } from '../trade/calls';
import { callName } from '../trade/calls';
import type { OLD_ONE_WENT, PrivateFacts, TakenReading, TestDone, Testing } from './after-schema';
import { thermostatIn } from './edits';
import type { ThermostatId } from './ids';
import { LIMITS } from './limits';
import type { Job } from './schema';
import { batch, setStep, type Path, type Step } from './steps';

const at = (th: ThermostatId, field: string): Path => ['thermostats', { id: th }, field];

/** Writes a setting down as made; null takes it back. The one before it of the same id goes: a device has one value. */
export function makeSetting(
  job: Job,
  th: ThermostatId,
  setting: SettingId,
  value: string | null,
  time: string
): Step {
  const others = thermostatIn(job, th).settings.filter((made) => made.setting !== setting);
  const name = SETTING_NAMES[setting];
  return value === null
    ? setStep(job, at(th, 'settings'), others, `Not set after all: ${name}`)
    : setStep(
        job,
        at(th, 'settings'),
        [...others, { setting, value, at: time }],
        `Set: ${name}, ${settingValueName(setting, value)}`
      );
}

/** The oldest reading goes where there is no room for another. */
export function takeReading(job: Job, th: ThermostatId, reading: TakenReading): Step {
  const { readings } = thermostatIn(job, th);
  return setStep(
    job,
    at(th, 'readings'),
    [...readings, reading].slice(-LIMITS.readings.most),
    'Reading kept'
  );
}

/** Begins a test, ends its call, or lets it go. */
export function setTesting(job: Job, th: ThermostatId, testing: Testing | null): Step {
  const label =
    testing === null
      ? 'Test let go'
      : `${testing.ended === null ? 'Test begun' : 'Call ended'}: ${callName(testing.call)}`;
  return setStep(job, at(th, 'testing'), testing, label);
}

export interface TestOutcome extends Pick<TestDone, 'result' | 'why' | 'until' | 'outdoorC'> {
  readonly call: Call;
  readonly at: string;
}

/** Writes down what came of a test. If it was running, it ends with that. */
export function finishTest(job: Job, th: ThermostatId, outcome: TestOutcome): Step {
  const { tests, testing } = thermostatIn(job, th);
  const running = testing?.call === outcome.call ? testing : null;
  const done: TestDone = {
    ...outcome,
    began: running?.began ?? null,
    ended: running === null ? null : (running.ended ?? outcome.at)
  };
  const label = `Tested: ${callName(outcome.call)}`;
  const kept = setStep(job, at(th, 'tests'), [...tests, done].slice(-LIMITS['test results'].most), label);
  return running === null ? kept : batch(label, [kept, setStep(job, at(th, 'testing'), null, label)]);
}

export function setPrivate(job: Job, th: ThermostatId, facts: PrivateFacts): Step {
  return setStep(job, at(th, 'private'), facts, 'Private facts');
}

export function setOldOneWent(job: Job, th: ThermostatId, went: (typeof OLD_ONE_WENT)[number]): Step {
  return setStep(job, at(th, 'oldOneWent'), went, 'Old thermostat');
}

export function closeJob(job: Job, by: string, time: string): Step {
  return setStep(job, ['closed'], { at: time, by }, 'Job closed');
}

export function openAgain(job: Job): Step {
  return setStep(job, ['closed'], null, 'Job opened again');
}
