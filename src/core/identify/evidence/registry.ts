/** All evidence that beliefs are made of. A new piece is one file and one line here. */
import type { Evidence } from '../types';
import { auxiliaryLanded } from './auxiliary-landed';
import { breakers } from './breakers';
import { compressorLanded } from './compressor-landed';
import { conductorBuild } from './conductor-build';
import { conductorCount } from './conductor-count';
import { fanLanded } from './fan-landed';
import { flue } from './flue';
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
  outdoorUnit,
  flue,
  breakers,
  reversingLanded,
  compressorLanded,
  fanLanded,
  auxiliaryLanded
];
