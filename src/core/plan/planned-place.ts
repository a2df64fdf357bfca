/**
 * A thermostat's plan with what its pages show beside it. It is worked out where the plan is, in a thread: a page needs neither the evidence nor
 * the checks nor a circuit for it.
 */
import type { Finding } from '../findings/finding';
import type { Job, Thermostat } from '../job/schema';
import { chosenFindings } from '../match/chosen';
import { matchAll } from '../match/match';
import type { Match } from '../match/matched';
import { knownSupplies, type KnownSupplies } from '../safety/known-supplies';
import { beforeBuying, type BeforeBuying } from '../survey/before-buying';
import { heatSourceIn, savingPlace } from '../survey/heat-source-in';
import type { HouseYear } from '../house/saving';
import {
  houseYears,
  studyHouse,
  type HouseStudy,
  type MinutesBand,
  type StudyInput
} from '../survey/house-study';
import { wiringOf } from '../wiring/from-job';
import type { Plan } from './plan';
import { savingPrices } from './saving-prices';
import { supplyOutlook } from './supply-outlook';

export interface PlannedPlace {
  readonly plan: Plan;
  /** Every device of the catalogue and of the job. */
  readonly matches: readonly Match[];
  /** The chosen device has gone from the job. */
  readonly gone: readonly Finding[];
  readonly known: KnownSupplies;
  /** The house worked through: cooling, wall work, saving. */
  readonly study: HouseStudy;
  /** The verdict before anything is bought, with its reasons. */
  readonly buying: BeforeBuying;
}

export function plannedPlace(job: Job, thermostat: Thermostat, plan: Plan): PlannedPlace {
  const { identification } = plan;
  const wiring = wiringOf(job, thermostat);
  const matches = matchAll(job, thermostat, identification);
  const study = studied({
    survey: job.survey,
    face: thermostat.face,
    // For the prices of all that the house saves with every thermostat has to be looked at.
    prices: savingPrices(job),
    source: heatSourceIn(job, thermostat, identification),
    way: wayMinutes(plan)
  });
  const chosen = matches.find((match) => match.device.id === thermostat.choice.device) ?? null;
  return {
    plan,
    matches,
    gone: chosenFindings(job, thermostat),
    known: knownSupplies(job, thermostat, identification, wiring),
    study,
    buying: beforeBuying({
      job,
      thermostat,
      identification,
      wiring,
      device: chosen?.device ?? null,
      supply: supplyOutlook(plan, chosen, matches[0]?.open ?? []),
      study,
      savingAt: savingPlace(job)
    })
  };
}

/** Minutes of the way that is taken; null where none is. */
function wayMinutes(plan: Plan): MinutesBand | null {
  const taken = plan.options.find((option) => option.method === plan.taken);
  return taken && taken.method !== 'none' ? taken.minutesBand : null;
}

/** The last house that was worked through, and its years: they take longer than all else beside the plan, and most edits are none of their business. */
let lastStudy: { readonly key: string; readonly study: HouseStudy } | null = null;
let lastYears: { readonly key: string; readonly years: readonly HouseYear[] } | null = null;

function studied(input: StudyInput): HouseStudy {
  const key = JSON.stringify(input);
  if (lastStudy?.key !== key) lastStudy = { key, study: studyHouse(input, yearsFor(input)) };
  return lastStudy.study;
}

/** A way of other minutes, or another price, is another study of the same years. */
function yearsFor({ survey, source }: StudyInput): readonly HouseYear[] {
  const key = JSON.stringify([survey.building, survey.habits, source]);
  if (lastYears?.key !== key) lastYears = { key, years: houseYears({ survey, source }) };
  return lastYears.years;
}
