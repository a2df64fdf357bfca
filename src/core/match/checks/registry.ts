/** All checks of a device against a house. A new one is one file and one line here; the voltage class comes before them all (`voltage.ts`). */
import type { MatchCheck } from '../types';
import { accessories } from './accessories';
import { common } from './common';
import { heatPump } from './heat-pump';
import { rails } from './rails';
import { setUp } from './set-up';
import { stages } from './stages';
import { terminals } from './terminals';

export const MATCH_CHECKS: readonly MatchCheck[] = [
  heatPump,
  terminals,
  stages,
  accessories,
  rails,
  common,
  setUp
];
