/** Checks thermostats against what is known of a house: what fits, what is lost, what can damage. */
import { identify, type Identification } from '../identify/identify';
import { worldsOf } from '../identify/worlds';
import type { DeviceFacts } from '../job/device-facts';
import type { Job, Thermostat } from '../job/schema';
import { hasStop, hasWarning, sortFindings, type Finding } from '../findings/finding';
import type { Verdict } from '../trade/vocabulary';
import { wiringOf } from '../wiring/from-job';
import { devicesOf } from './catalogue';
import { MATCH_CHECKS } from './checks/registry';

export interface Match {
  readonly device: DeviceFacts;
  readonly verdict: Verdict;
  readonly findings: readonly Finding[];
}

/** Every device of the catalogue and of the job against one thermostat's place. */
export function matchAll(
  job: Job,
  thermostat: Thermostat,
  identification = identify(job, thermostat)
): Match[] {
  return devicesOf(job).map((device) => matchDevice(job, thermostat, device, identification));
}

export function matchDevice(
  job: Job,
  thermostat: Thermostat,
  device: DeviceFacts,
  identification: Identification = identify(job, thermostat)
): Match {
  const wiring = wiringOf(job, thermostat);
  const worlds = worldsOf(identification, wiring).map((world) => world.world);
  const findings = sortFindings(
    MATCH_CHECKS.flatMap((check) => check.check({ identification, wiring, worlds, device }))
  );
  return { device, findings, verdict: hasStop(findings) ? 'no' : hasWarning(findings) ? 'care' : 'go' };
}
