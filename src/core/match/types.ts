import type { World } from '../devices/world';
import type { Identification } from '../identify/identify';
import type { DeviceFacts } from '../job/device-facts';
import type { Finding } from '../findings/finding';
import type { Wiring } from '../wiring/graph';
import type { WireJobs } from './wire-jobs';

/** A thermostat's place, the same for every device that is tried there; with the device. */
export interface MatchSituation {
  readonly identification: Identification;
  readonly wiring: Wiring;
  /** Worlds still believable, likeliest first; empty while nothing is. */
  readonly worlds: readonly World[];
  /** What each wire does, in the order of the worlds. */
  readonly jobs: readonly WireJobs[];
  readonly device: DeviceFacts;
}

/** One question that a device is asked, with the sentence for each way of failing it. */
export interface MatchCheck {
  readonly id: string;
  check(situation: MatchSituation): Finding[];
}
