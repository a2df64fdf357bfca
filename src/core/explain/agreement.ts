/**
 * Whether the marks at the two ends of a wire say the same thing. A wire has one job, and either end names it in its own words: `Y` at the
 * wall is `Y2` on a board that knows two stages, `R` is one side of a contact `T T`, `W` is a zone's number on a panel.
 */
import { isHeatPump, isHydronic } from '../devices/roles';
import { ZONE_MARK } from '../trade/terminals';
import type { Family } from '../trade/vocabulary';

/** What a wire is for, as far as a mark says it. */
export type Purpose =
  | 'hot'
  | 'common'
  | 'heat'
  | 'second-heat'
  | 'auxiliary'
  | 'emergency'
  | 'cooling'
  | 'second-cooling'
  | 'fan'
  | 'reversing'
  | 'combined'
  | 'contact'
  | 'zone'
  | 'humidify'
  | 'dehumidify'
  | 'ventilate'
  | 'accessory'
  | 'lamp'
  | 'sensor'
  | 'data'
  | 'mains';

const PURPOSES: Readonly<Record<string, Purpose>> = {
  R: 'hot',
  RH: 'hot',
  RC: 'hot',
  C: 'common',
  W1: 'heat',
  W2: 'second-heat',
  AUX: 'auxiliary',
  E: 'emergency',
  Y1: 'cooling',
  Y2: 'second-cooling',
  G: 'fan',
  O: 'reversing',
  B: 'reversing',
  OB: 'reversing',
  K: 'combined',
  T: 'contact',
  TT: 'contact',
  T1: 'contact',
  T2: 'contact',
  HUM: 'humidify',
  DEHUM: 'dehumidify',
  V: 'ventilate',
  ACC: 'accessory',
  L: 'lamp',
  S: 'sensor',
  S1: 'sensor',
  S2: 'sensor',
  '1': 'data',
  '2': 'data',
  '3': 'data',
  A: 'data',
  D: 'data',
  '+': 'data',
  '-': 'data',
  L1: 'mains',
  L2: 'mains',
  N: 'mains',
  LINE: 'mains',
  LOAD: 'mains'
};

/** What a canonical mark says that a wire on it is for; null where the trade does not know the mark. */
export function purposeOf(mark: string): Purpose | null {
  return ZONE_MARK.test(mark) ? 'zone' : (PURPOSES[mark] ?? null);
}

/** Pairs of purposes that name one job, whatever the system; the order does not matter. */
const SAME_JOB: readonly (readonly [Purpose, Purpose])[] = [
  ['hot', 'contact'],
  ['heat', 'contact'],
  ['heat', 'zone'],
  ['contact', 'zone'],
  ['second-heat', 'auxiliary'],
  ['emergency', 'auxiliary'],
  ['emergency', 'second-heat']
];

/** Pairs that name one job in a heat pump, where every heat besides the compressor's is help. */
const SAME_IN_HEAT_PUMP: readonly (readonly [Purpose, Purpose])[] = [
  ['heat', 'auxiliary'],
  ['heat', 'second-heat'],
  ['heat', 'emergency']
];

export interface Ends {
  /** What the screw at each end says. */
  readonly near: Purpose;
  readonly far: Purpose;
}

/** What else of the house decides whether two words are one job. */
export interface Around {
  readonly family: Family;
  /** The screw at the far end is joined to that of the first stage, or the first stage has no wire of its own. */
  readonly servesFirstStage: boolean;
}

/** Whether both ends name one job in this family. */
export function agree({ near, far }: Ends, { family, servesFirstStage }: Around): boolean {
  if (near === far) return true;
  const isPair = (pairs: readonly (readonly [Purpose, Purpose])[]) =>
    pairs.some(([a, b]) => (a === near && b === far) || (a === far && b === near));
  if (isPair(SAME_JOB)) return true;
  if (isHeatPump(family) && isPair(SAME_IN_HEAT_PUMP)) return true;
  const stages = isPair([
    ['cooling', 'second-cooling'],
    ['heat', 'second-heat']
  ]);
  return stages && servesFirstStage;
}

const AIR: readonly Purpose[] = [
  'hot',
  'common',
  'heat',
  'second-heat',
  'cooling',
  'second-cooling',
  'fan',
  'combined',
  'humidify',
  'dehumidify',
  'ventilate',
  'accessory',
  'lamp',
  'sensor'
];
const PUMPED: readonly Purpose[] = [...AIR, 'reversing', 'auxiliary', 'emergency'];
const WATER: readonly Purpose[] = ['hot', 'common', 'heat', 'contact', 'zone', 'lamp', 'sensor'];

/**
 * What a wire may be for in a family. A prewired Y on a furnace without an air conditioner is no riddle; a third wire of a boiler or of a
 * valve is one: on old valves it closes what W opens.
 */
export function hasPurpose(purpose: Purpose, family: Family): boolean {
  if (isHeatPump(family)) return PUMPED.includes(purpose);
  if (family === 'boiler-plus-ac') return AIR.includes(purpose) || WATER.includes(purpose);
  if (isHydronic(family)) return WATER.includes(purpose);
  if (family === 'contact-heater')
    return ['hot', 'common', 'heat', 'contact', 'lamp', 'sensor'].includes(purpose);
  if (family === 'cooling-only') return AIR.includes(purpose) && !['heat', 'second-heat'].includes(purpose);
  return AIR.includes(purpose);
}
