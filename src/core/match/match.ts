/** Checks thermostats against what is known of a house: what fits, what is lost, what can damage. */
import { identify, type Identification } from '../identify/identify';
import { worldsOf } from '../identify/worlds';
import type { DeviceFacts } from '../job/device-facts';
import type { Job, Thermostat } from '../job/schema';
import { hasStop, hasWarning, sortFindings, type Finding } from '../findings/finding';
import { wiringOf } from '../wiring/from-job';
import { devicesOf } from './catalogue';
import { MATCH_CHECKS } from './checks/registry';
import { voltage } from './checks/voltage';
import type { MatchSituation } from './types';
import { wireJobs } from './wire-jobs';
import type { Match } from './matched';
import { knownOf, openOf } from './open';

/** Every device of the catalogue and of the job against one thermostat's place. */
export function matchAll(
  job: Job,
  thermostat: Thermostat,
  identification = identify(job, thermostat)
): Match[] {
  const place = placeFor(job, thermostat, identification);
  return devicesOf(job).map((device) => matchAt(place, device));
}

export function matchDevice(
  job: Job,
  thermostat: Thermostat,
  device: DeviceFacts,
  identification: Identification = identify(job, thermostat)
): Match {
  return matchAt(placeFor(job, thermostat, identification), device);
}

/** All of a place that holds whatever device is tried in it. */
interface MatchPlace extends Omit<MatchSituation, 'device'> {
  readonly open: readonly Finding[];
}

function placeFor(job: Job, thermostat: Thermostat, identification: Identification): MatchPlace {
  const wiring = wiringOf(job, thermostat);
  const worlds = worldsOf(identification, wiring).map((world) => world.world);
  return {
    identification,
    wiring,
    worlds,
    jobs: worlds.map((world) => wireJobs(wiring, world)),
    open: openOf({ identification, wiring, worlds, thermostat: thermostat.id })
  };
}

function matchAt({ open, ...place }: MatchPlace, device: DeviceFacts): Match {
  const situation = { ...place, device };
  // On another voltage nothing else is worth a word: that it lacks a terminal would only lead to another device for the same wires.
  const wrongClass = voltage.check(situation);
  const own = wrongClass.length > 0 ? wrongClass : MATCH_CHECKS.flatMap((check) => check.check(situation));
  const findings = sortFindings([...own, ...open]);
  const verdict = hasStop(findings) ? 'no' : hasWarning(findings) ? 'care' : 'go';
  return { device, findings, open, known: knownOf(open), verdict };
}
