/** All evidence that beliefs are made of. A new piece is one file and one line here. */
import type { Evidence } from '../types';
import { boilerSigns } from './boiler-signs';
import { equipmentMarks } from './equipment-marks';
import { heatLanded } from './heat-landed';
import { hotConductors } from './hot-conductors';
import { inventory } from './inventory';
import { pilot } from './pilot';
import { powerCut } from './power-cut';
import { programmer } from './programmer';
import { radiatorKind } from './radiator-kind';
import { auxiliaryLanded } from './auxiliary-landed';
import { breakers } from './breakers';
import { compressorLanded } from './compressor-landed';
import { conductorBuild } from './conductor-build';
import { conductorCount } from './conductor-count';
import { fanLanded } from './fan-landed';
import { flue } from './flue';
import { fuel } from './fuel';
import { heatFrom } from './heat-from';
import { measuredVolts } from './measured-volts';
import { outdoorUnit } from './outdoor-unit';
import { plateMarks } from './plate-marks';
import { reversingLanded } from './reversing-landed';

export const EVIDENCE: readonly Evidence[] = [
  measuredVolts,
  conductorBuild,
  plateMarks,
  conductorCount,
  heatFrom,
  radiatorKind,
  programmer,
  powerCut,
  outdoorUnit,
  flue,
  breakers,
  boilerSigns,
  pilot,
  inventory,
  fuel,
  equipmentMarks,
  hotConductors,
  heatLanded,
  reversingLanded,
  compressorLanded,
  fanLanded,
  auxiliaryLanded
];
