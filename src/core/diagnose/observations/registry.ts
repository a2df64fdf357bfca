/** All kinds of looks. A new one is one file and one line here. */
import { batteries, fuses, lamps, settings, switches } from './machine';
import { clicks, display, displayCalled, hums, messages, running, uncalled, waiting, warmAir } from './seen';
import type { Observation, ObservationRule, Situation } from './types';
import { volts } from './volts';
import { continuity, inspections, jumpers } from './wires';

const RULES: readonly ObservationRule[] = [
  display,
  displayCalled,
  messages,
  clicks,
  running,
  uncalled,
  hums,
  warmAir,
  waiting,
  switches,
  lamps,
  fuses,
  batteries,
  settings,
  inspections,
  jumpers,
  continuity,
  volts
];

export function observationsOf(situation: Situation): Observation[] {
  return RULES.flatMap((rule) => rule.observationsOf(situation));
}
