/** Edits of what was answered, stated and chosen for a thermostat's place, and of what has been done there. */
import type { Family, MethodId } from '../trade/vocabulary';
import type { DeviceFacts } from './device-facts';
import { thermostatIn } from './edits';
import type { DeviceId, ThermostatId } from './ids';
import type { LogEntry } from './log-schema';
import type { Job } from './schema';
import { batch, insertStep, setStep, type Path, type Step } from './steps';

const at = (th: ThermostatId, ...rest: Path): Path => ['thermostats', { id: th }, ...rest];

/** Records the answer to an observation; null takes it back. */
export function observe(job: Job, th: ThermostatId, id: string, answer: string | number | null): Step {
  const label = answer === null ? `Observation taken back: ${id}` : `Observed: ${id}`;
  return setStep(job, at(th, 'observed', id), answer ?? undefined, label);
}

export function stateFamily(job: Job, th: ThermostatId, family: Family | null): Step {
  const label = family ? `System stated: ${family}` : 'System not stated';
  return setStep(job, at(th, 'statedFamily'), family, label);
}

export function chooseDevice(job: Job, th: ThermostatId, device: DeviceId | null): Step {
  return setStep(job, at(th, 'choice'), { device, method: null, variant: null }, 'Thermostat chosen');
}

/** `variant` null: whichever of the method's variants is best. */
export function chooseMethod(
  job: Job,
  th: ThermostatId,
  method: MethodId | null,
  variant: string | null = null
): Step {
  const { device } = thermostatIn(job, th).choice;
  return setStep(job, at(th, 'choice'), { device, method, variant }, 'C wire chosen');
}

export interface WayTaken {
  readonly thermostat: string;
  readonly method: MethodId;
  readonly variant: string | null;
}

/** The way to take for each of several thermostats, in one step. */
export function takeWays(job: Job, ways: readonly WayTaken[]): Step {
  const steps = ways.flatMap(({ thermostat, method, variant }) => {
    const place = job.thermostats.find((candidate) => candidate.id === thermostat);
    return place ? [chooseMethod(job, place.id, method, variant)] : [];
  });
  return batch('Ways taken for all', steps);
}

export function saveDevice(job: Job, device: DeviceFacts): Step {
  const label = `Facts of ${device.maker} ${device.model}`;
  return job.devices.some((candidate) => candidate.id === device.id)
    ? setStep(job, ['devices', { id: device.id }], device, label)
    : insertStep(job, ['devices'], device, label);
}

/** Writes down what was done: entries are only ever added to the log, and what is taken back is an entry too. */
export function logEntries(job: Job, th: ThermostatId, entries: readonly LogEntry[], label: string): Step {
  const { log } = thermostatIn(job, th);
  return batch(
    label,
    entries.map((entry, index) => insertStep(job, at(th, 'log'), entry, label, log.length + index))
  );
}
