/** The house worked through once: cooling from tonight and in the coldest weather, the wall work against it, what a setback saves. */
import { buildingFindings, thermalModel, type Band, type ThermalModel } from '../house/building';
import type { HeatSource } from '../house/heat-source';
import { savingOf, yearsOf, type HouseYear, type Saving } from '../house/saving';
import { coolingCurve, hoursAbove, type Plant } from '../house/thermal';
import { hoursWithoutHeat, wallTasks, type WallTask } from '../house/wall-work';
import { coldestStart, dayAt, hourOfDay, weatherOf, type Weather } from '../house/weather';
import type { WallFace } from '../job/survey-schema';
import type { Survey } from '../job/survey-schema';
import type { Finding } from '../findings/finding';

/** A cooling curve from one evening, with the hours until the lowest temperature allowed. */
export interface Cooling {
  readonly name: 'work-day' | 'coldest';
  /** Hour of the year at which it begins. */
  readonly startHour: number;
  readonly outdoorC: Float64Array;
  /** Indoor temperature for the house as answered, and for the leakiest and lightest that it may be. */
  readonly mid: Float64Array;
  readonly worst: Float64Array;
  /** Hours until the lowest temperature; `low` is the worst case. Infinity when it is never reached within four days. */
  readonly hours: { readonly low: number; readonly mid: number };
}

export interface HouseStudy {
  readonly model: ThermalModel;
  readonly weather: Weather;
  /** Null where no day is given. */
  readonly workDay: Cooling | null;
  readonly coldest: Cooling;
  readonly tasks: readonly WallTask[];
  /** Hours during which the heating is off: as a rule, and when things do not go well. */
  readonly withoutHeatH: { readonly usual: number; readonly late: number };
  /** Of the whole house, with all its thermostats. */
  readonly saving: Saving;
  readonly outlay: number;
  /** How many thermostats the outlay is for, and how many of them nobody has chosen. */
  readonly thermostats: number;
  readonly unpriced: number;
  readonly findings: readonly Finding[];
}

const SHOWN_HOURS = 96;
/** Work begins at nine in the morning. */
const WORK_BEGINS = 9;
/** Where no thermostat is chosen yet, dollars. */
export const USUAL_PRICE = 150;
/** Where no day is given: what could be done on a day is asked from here on. */
const ANY_DAY = '2001-01-01';

/** What of the house and the plan decides about money and hours. */
export interface StudyInput {
  readonly survey: Survey;
  readonly face: WallFace;
  /** Price of each thermostat of the house, dollars; null where none is chosen. */
  readonly prices: readonly (number | null)[];
  readonly source: HeatSource;
  /** Minutes of the chosen way; null before one is. */
  readonly way: MinutesBand | null;
}

/** Minutes of work as they usually are, and when things do not go well. */
export interface MinutesBand {
  readonly usual: number;
  readonly high: number;
}

/** The years of a house: by far the longest part of its study, and the same whatever is planned in it. */
export function houseYears({ survey, source }: Pick<StudyInput, 'survey' | 'source'>): readonly HouseYear[] {
  const { building, habits } = survey;
  return yearsOf({ model: thermalModel(building), habits, hourly: weatherOf(building).hourly, source });
}

export function studyHouse(input: StudyInput, years = houseYears(input)): HouseStudy {
  const { survey, face, prices, source, way } = input;
  const weather = weatherOf(survey.building);
  const model = thermalModel(survey.building);
  const coldest = coldestStart(weather.hourly, 24);
  const spent = prices.reduce<number>((sum, price) => sum + (price ?? USUAL_PRICE), 0);
  const outlay = Math.max(0, spent - (survey.rebate ?? 0));
  return {
    model,
    weather,
    workDay:
      survey.workDay === null
        ? null
        : cooling('work-day', model, weather, hourOfDay(survey.workDay) + WORK_BEGINS, survey),
    coldest: cooling('coldest', model, weather, coldest, survey),
    tasks: wallTasks(face, way?.usual ?? null),
    withoutHeatH: {
      usual: hoursWithoutHeat(face, way?.usual ?? null),
      late: hoursWithoutHeat(face, way?.high ?? null)
    },
    saving: savingOf({ model, habits: survey.habits, hourly: weather.hourly, source, outlay }, years),
    outlay,
    thermostats: prices.length,
    unpriced: prices.filter((price) => price === null).length,
    findings: buildingFindings(survey.building, model, Math.min(...weather.hourly))
  };
}

function plantOf(model: ThermalModel, loss: keyof Band, capacity: keyof Band): Plant {
  return {
    lossWPerK: model.lossWPerK[loss],
    capacityWhPerK: model.capacityWhPerK[capacity],
    gainsW: model.gainsW,
    heatingW: model.heatingW
  };
}

function cooling(
  name: Cooling['name'],
  model: ThermalModel,
  { hourly }: Weather,
  startHour: number,
  survey: Survey
): Cooling {
  const from = survey.habits.comfortC;
  const curve = (plant: Plant) => coolingCurve(plant, hourly, startHour, SHOWN_HOURS, from);
  const mid = curve(plantOf(model, 'mid', 'mid'));
  const worst = curve(plantOf(model, 'high', 'low'));
  return {
    name,
    startHour,
    outdoorC: Float64Array.from(mid, (_, hour) => hourly[(startHour + hour) % hourly.length] ?? 0),
    mid,
    worst,
    hours: { low: hoursAbove(worst, survey.lowestC), mid: hoursAbove(mid, survey.lowestC) }
  };
}

/** The first day from the work day on, as `MM-DD`, whose worst case leaves the hours asked for; null when no day of the year does. */
export function firstDayWithHours(study: HouseStudy, survey: Survey, hours: number): string | null {
  const { hourly } = study.weather;
  const plant = plantOf(study.model, 'high', 'low');
  const begin = hourOfDay(survey.workDay ?? ANY_DAY) + WORK_BEGINS;
  for (let day = 0; day < 365; day += 1) {
    const curve = coolingCurve(plant, hourly, begin + day * 24, Math.ceil(hours), survey.habits.comfortC);
    if (hoursAbove(curve, survey.lowestC) >= hours) return dayAt(begin + day * 24);
  }
  return null;
}

/** The first day from the work day on with at least so many degrees at its warmest, as `MM-DD`; null when none has. */
export function firstWarmDay(study: HouseStudy, survey: Survey, leastC: number): string | null {
  const { hourly } = study.weather;
  const begin = hourOfDay(survey.workDay ?? ANY_DAY);
  for (let day = 0; day < 365; day += 1) {
    for (let hour = 0; hour < 24; hour += 1)
      if ((hourly[(begin + day * 24 + hour) % hourly.length] ?? -99) >= leastC)
        return dayAt(begin + day * 24);
  }
  return null;
}
