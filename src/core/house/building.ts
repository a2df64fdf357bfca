/**
 * A house as one heat capacity behind one heat loss, from a few answers. Good enough to say how many hours a house stays warm and what a
 * setback saves, within the band that is given; no design tool. Answers that are missing widen the band instead of being guessed.
 */
import type { FindingParams } from '../findings/params';
import { ref } from '../findings/refs';
import type { BuildingFacts } from '../job/survey-schema';
import { finding, type Finding } from '../findings/finding';

/** A figure with the limits between which it is taken to lie. */
export interface Band {
  readonly low: number;
  readonly mid: number;
  readonly high: number;
}

export interface ThermalModel {
  /** Heat loss, W/K. */
  readonly lossWPerK: Band;
  /** Heat capacity that takes part in a day, Wh/K. */
  readonly capacityWhPerK: Band;
  /** What people and things give off, W. */
  readonly gainsW: number;
  /** What the sun brings in through the windows on a day of mean radiation of 1 W/m², W. */
  readonly solarM2: number;
  /** What the heating gives at most, W: of its plate, or what the house needs at -15 °C and a fifth more. */
  readonly heatingW: number;
  /** The plate was read. */
  readonly heatingKnown: boolean;
  /** Which answers were missing. */
  readonly missing: readonly string[];
}

/** Mean U of roof, walls and floor, W/m²K; windows, W/m²K. Usual values of houses before 1960, about 1990 and after 2010. */
const ENVELOPE_U = { poor: 1.3, usual: 0.6, good: 0.3 } as const;
const WINDOW_U = { poor: 4.5, usual: 2.8, good: 1.3 } as const;
const WINDOW_SHARE = 0.15;
/** Air changes per hour. */
const AIR_CHANGES = { draughty: 1.2, usual: 0.6, tight: 0.3 } as const;
/** Heat that a cubic metre of air takes up, Wh/m³K. */
const AIR_WH = 0.34;
/** Wh/K for a square metre of floor: 110, 165 and 260 kJ/m²K of ISO 13790, table 12. */
const CAPACITY = { light: 110 / 3.6, medium: 165 / 3.6, heavy: 260 / 3.6 } as const;
const GAINS_W_PER_M2 = 3;
/** Windows of an eighth of the floor; half of the sun comes through them, and a good half of that past frames, trees and curtains. */
const SOLAR_M2_PER_M2 = 0.125 * 0.5 * 0.6;
/** How far a known answer may be off. */
const SPREAD = 0.2;

const USUAL_AREA_M2 = 120;
const USUAL_CEILING_M = 2.5;
/** The heating is taken to be sized for the loss at this outdoor temperature where nobody knows it. */
const SIZED_FOR_C = -15;

export function thermalModel(facts: BuildingFacts): ThermalModel {
  const missing: string[] = [];
  const or = <T>(value: T | null, usual: T, name: string): T => {
    if (value === null) missing.push(name);
    return value ?? usual;
  };
  const area = or(facts.floorAreaM2, USUAL_AREA_M2, 'floor area');
  const ceiling = facts.ceilingM ?? USUAL_CEILING_M;
  const storeys = facts.storeys ?? 1;
  const lossWPerK = lossBand(facts, area, ceiling, storeys, missing);
  const capacityWhPerK = capacityBand(facts, area, missing);
  const sized = lossWPerK.mid * (20 - SIZED_FOR_C) * 1.2;
  return {
    lossWPerK,
    capacityWhPerK,
    gainsW: GAINS_W_PER_M2 * area,
    solarM2: SOLAR_M2_PER_M2 * area,
    heatingW: facts.heatingKw === null ? sized : facts.heatingKw * 1000,
    heatingKnown: facts.heatingKw !== null,
    missing
  };
}

function lossBand(
  facts: BuildingFacts,
  area: number,
  ceiling: number,
  storeys: number,
  missing: string[]
): Band {
  const footprint = area / storeys;
  const walls = 4 * Math.sqrt(footprint) * ceiling * storeys;
  const loss = (insulation: keyof typeof ENVELOPE_U, draughts: keyof typeof AIR_CHANGES) =>
    ENVELOPE_U[insulation] * (2 * footprint + walls * (1 - WINDOW_SHARE)) +
    WINDOW_U[insulation] * walls * WINDOW_SHARE +
    AIR_WH * AIR_CHANGES[draughts] * area * ceiling;
  const insulation = facts.insulation === 'unknown' ? null : facts.insulation;
  const draughts = facts.draughts === 'unknown' ? null : facts.draughts;
  if (insulation === null) missing.push('insulation');
  if (draughts === null) missing.push('draughts');
  return {
    low: loss(insulation ?? 'good', draughts ?? 'tight') * (1 - SPREAD),
    mid: loss(insulation ?? 'usual', draughts ?? 'usual'),
    high: loss(insulation ?? 'poor', draughts ?? 'draughty') * (1 + SPREAD)
  };
}

function capacityBand(facts: BuildingFacts, area: number, missing: string[]): Band {
  const build = facts.build === 'unknown' ? null : facts.build;
  if (build === null) missing.push('build');
  return {
    low: CAPACITY[build ?? 'light'] * area * (1 - SPREAD),
    mid: CAPACITY[build ?? 'medium'] * area,
    high: CAPACITY[build ?? 'heavy'] * area * (1 + SPREAD)
  };
}

/** Hours in which the difference to outdoors falls to 37 % with the heating off. */
export function timeConstantHours(model: ThermalModel): number {
  return model.capacityWhPerK.mid / model.lossWPerK.mid;
}

/** Limits that real houses keep; outside them an answer is more likely wrong than the house unusual. */
export const LIMITS = {
  floorAreaM2: [15, 1500],
  timeConstantH: [6, 300],
  lossWPerM2K: [0.4, 8]
} as const;

/** Answers that do not go together, or that no house has. */
export function buildingFindings(facts: BuildingFacts, model: ThermalModel, coldestC: number): Finding[] {
  const found: Finding[] = [];
  const because = [ref.survey('building')];
  const doubt = (fact: FindingParams['house-facts-doubtful']) =>
    found.push(finding('warn', 'house-facts-doubtful', fact, because));
  const area = facts.floorAreaM2;
  if (area !== null && (area < LIMITS.floorAreaM2[0] || area > LIMITS.floorAreaM2[1]))
    doubt({
      what: 'floor',
      areaM2: area,
      fromM2: LIMITS.floorAreaM2[0],
      toM2: LIMITS.floorAreaM2[1]
    });
  const hours = timeConstantHours(model);
  if (hours < LIMITS.timeConstantH[0] || hours > LIMITS.timeConstantH[1])
    doubt({ what: 'time-constant', hours, from: LIMITS.timeConstantH[0], to: LIMITS.timeConstantH[1] });
  const need = (model.lossWPerK.low * (20 - coldestC)) / 1000;
  if (facts.heatingKw !== null && facts.heatingKw < need)
    doubt({ what: 'too-weak', kw: facts.heatingKw, needKw: need });
  if (facts.heatingKw !== null && area !== null && facts.heatingKw * 1000 > 600 * area)
    doubt({ what: 'too-strong', kw: facts.heatingKw });
  if (model.missing.length > 0)
    found.push(finding('note', 'house-not-known', { missing: model.missing }, because));
  return found;
}
