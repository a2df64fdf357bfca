/**
 * A thermostat's plan with what its pages show beside it. It is worked out where the plan is, in a thread: a page needs neither the evidence nor
 * the checks nor a circuit for it.
 */
import type { BackFed } from '../circuit/back-feed';
import type { Finding } from '../findings/finding';
import type { HeatSource } from '../house/heat-source';
import type { ThermostatId } from '../job/ids';
import type { Job, Thermostat } from '../job/schema';
import { chosenFindings } from '../match/chosen';
import { matchAll, type Match } from '../match/match';
import { tiedSupplies } from '../safety/tied';
import { heatSourceIn, savingPlace } from '../survey/heat-source-in';
import { wiringOf } from '../wiring/from-job';
import type { Plan } from './plan';
import { savingPrices } from './saving-prices';

export interface PlannedPlace {
  readonly plan: Plan;
  /** Every device of the catalogue and of the job. */
  readonly matches: readonly Match[];
  /** The chosen device has gone from the job. */
  readonly gone: readonly Finding[];
  /** Supplies that stay live when they are switched off alone. */
  readonly tied: readonly BackFed[];
  /** Prices of all that the house saves with: for those every thermostat has to be looked at. */
  readonly prices: readonly (number | null)[];
  /** What heats the house, as far as money is concerned. */
  readonly source: HeatSource;
  /** Where the figures of the whole house stand; null where nothing can save. */
  readonly savingAt: ThermostatId | null;
}

export function plannedPlace(job: Job, thermostat: Thermostat, plan: Plan): PlannedPlace {
  const { identification } = plan;
  return {
    plan,
    matches: matchAll(job, thermostat, identification),
    gone: chosenFindings(job, thermostat),
    tied: tiedSupplies(identification, wiringOf(job, thermostat)),
    prices: savingPrices(job),
    source: heatSourceIn(job, thermostat, identification),
    savingAt: savingPlace(job)
  };
}
