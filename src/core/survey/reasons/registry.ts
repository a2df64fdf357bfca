/** All reasons for and against buying now, the weightiest first. A new one is one file and one line here. */
import type { Reason } from '../types';
import { accessories } from './accessories';
import { cablePath } from './cable-path';
import { coolingTest } from './cooling-test';
import { internet } from './internet';
import { oldOne } from './old-one';
import { payBack } from './pay-back';
import { people } from './people';
import { signal } from './signal';
import { supply } from './supply';
import { system } from './system';
import { smartHome } from './smart-home';
import { wallWork } from './wall-work';

export const REASONS: readonly Reason[] = [
  system,
  supply,
  oldOne,
  internet,
  signal,
  payBack,
  wallWork,
  people,
  coolingTest,
  accessories,
  cablePath,
  smartHome
];
