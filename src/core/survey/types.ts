/** What speaks for or against buying now: one file for each reason, listed in the registry. */
import type { Identification } from '../identify/identify';
import type { ThermostatId } from '../job/ids';
import type { DeviceFacts } from '../job/device-facts';
import type { Job, Thermostat } from '../job/schema';
import type { Finding } from '../findings/finding';
import type { Wiring } from '../wiring/graph';
import type { HouseStudy } from './house-study';

/** What the plan says of feeding the thermostat that is thought of. */
export interface SupplyOutlook {
  /** What hurts the house as it is. */
  readonly harms: readonly Finding[];
  /** Some way of feeding it is open. */
  readonly feedable: boolean;
  /** All thermostats on one transformer ask for more than it gives, though each alone would do. */
  readonly tooMuchTogether: boolean;
  /** No thermostat is chosen yet, and some way is open for some. */
  readonly hangsOnDevice: boolean;
  /** What somebody has to look at before the ways can be judged. */
  readonly open: readonly Finding[];
  /** What rules out the thermostat that was chosen. */
  readonly unfit: readonly Finding[];
}

export interface SurveySituation {
  readonly job: Job;
  readonly thermostat: Thermostat;
  readonly identification: Identification;
  readonly wiring: Wiring;
  /** The thermostat that is thought of; null before one is chosen. */
  readonly device: DeviceFacts | null;
  readonly supply: SupplyOutlook;
  readonly study: HouseStudy;
  /** The thermostat at which the figures of the whole house stand. */
  readonly savingAt: ThermostatId | null;
}

/** What a reason asks for: nothing, something first, another day, or to leave it. */
export type Asks = 'nothing' | 'prepare' | 'wait' | 'leave';

export interface ReasonResult {
  readonly asks: Asks;
  readonly findings: readonly Finding[];
  /** The first day that suits, as `MM-DD`, where the reason asks to wait. */
  readonly until?: string | null;
}

export interface Reason {
  readonly id: string;
  weigh(situation: SurveySituation): ReasonResult;
}

export const FINE: ReasonResult = { asks: 'nothing', findings: [] };
