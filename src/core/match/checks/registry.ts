/** All checks of a device against a house. A new one is one file and one line here. */
import type { MatchCheck } from '../types';
import { accessories } from './accessories';
import { common } from './common';
import { heatPump } from './heat-pump';
import { rails } from './rails';
import { setUp } from './set-up';
import { stages } from './stages';
import { terminals } from './terminals';
import { voltage } from './voltage';

export const MATCH_CHECKS: readonly MatchCheck[] = [
  voltage,
  heatPump,
  terminals,
  stages,
  accessories,
  rails,
  common,
  setUp
];
