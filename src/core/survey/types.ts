/** What speaks for or against buying now: one file for each reason, listed in the registry. */
import type { Identification } from '../identify/identify';
import type { ThermostatId } from '../job/ids';
import type { DeviceFacts } from '../job/device-facts';
import type { Job, Thermostat } from '../job/schema';
import type { Finding } from '../findings/finding';
import type { Wiring } from '../wiring/graph';
import type { HouseStudy } from './house-study';

export interface SurveySituation {
  readonly job: Job;
  readonly thermostat: Thermostat;
  readonly identification: Identification;
  readonly wiring: Wiring;
  /** The thermostat that is thought of; null before one is chosen. */
  readonly device: DeviceFacts | null;
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
