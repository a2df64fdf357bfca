/** The thermostat that was chosen for a place, where it has gone from the job since: said, and never replaced in silence. */
import { finding, type Finding } from '../findings/finding';
import { ref } from '../findings/refs';
import type { Job, Thermostat } from '../job/schema';
import { findDevice } from './catalogue';

export function chosenFindings(job: Job, thermostat: Thermostat): Finding[] {
  const { device } = thermostat.choice;
  if (device === null || findDevice(job, device)) return [];
  return [finding('warn', 'device-gone', { device }, [ref.device(device)])];
}
