/** What terminals are for: one conductor carries one role, whatever letters stand at its two ends. */
import { canonicalMark, ZONE_MARK } from '../trade/terminals';
import type { Family } from '../trade/vocabulary';

export type Role =
  | 'hot'
  | 'hot-heat'
  | 'hot-cool'
  | 'common'
  | 'heat1'
  | 'heat2'
  | 'aux'
  | 'emergency'
  | 'compressor1'
  | 'compressor2'
  | 'fan'
  | 'reversing'
  | 'humidify'
  | 'dehumidify'
  | 'ventilate';

const plainRoles: Readonly<Record<string, Role>> = {
  R: 'hot',
  RH: 'hot-heat',
  RC: 'hot-cool',
  T1: 'hot',
  T: 'hot',
  TT: 'heat1',
  T2: 'heat1',
  C: 'common',
  W1: 'heat1',
  W2: 'heat2',
  AUX: 'aux',
  E: 'emergency',
  Y1: 'compressor1',
  Y2: 'compressor2',
  G: 'fan',
  O: 'reversing',
  B: 'reversing',
  OB: 'reversing',
  HUM: 'humidify',
  DEHUM: 'dehumidify',
  V: 'ventilate'
};

/** Heat comes through the compressor, and W is only a help beside it. */
export function isHeatPump(family: Family): boolean {
  return family === 'heat-pump' || family === 'dual-fuel';
}

/** Water or steam instead of air: no blower belongs to the heat. */
export function isHydronic(family: Family): boolean {
  return family === 'boiler' || family === 'steam' || family === 'boiler-plus-ac';
}

/** What the mark at the equipment does in this family; null where nobody knows the mark, and for marks that carry no call (sensors, data). */
export function roleOf(mark: string | null, world: { readonly family: Family }): Role | null {
  if (mark === null) return null;
  const canonical = canonicalMark(mark);
  if (isHeatPump(world.family) && (canonical === 'W1' || canonical === 'W2')) return 'aux';
  if (isHydronic(world.family) && ZONE_MARK.test(canonical)) return 'heat1';
  return plainRoles[canonical] ?? null;
}

const marksForRole: Readonly<Record<Role, readonly string[]>> = {
  hot: ['R', 'RC', 'RH'],
  'hot-heat': ['RH', 'R', 'RC'],
  'hot-cool': ['RC', 'R', 'RH'],
  common: ['C'],
  heat1: ['W1', 'T2', 'TT'],
  heat2: ['W2', 'AUX'],
  aux: ['AUX', 'W2', 'W1'],
  emergency: ['E', 'AUX', 'W2'],
  compressor1: ['Y1'],
  compressor2: ['Y2'],
  fan: ['G'],
  reversing: ['OB', 'O', 'B'],
  humidify: ['HUM'],
  dehumidify: ['DEHUM'],
  ventilate: ['V']
};

/** The mark of a thermostat's terminal that serves a role, out of the canonical marks that it has; null when it has none. */
export function markForRole(role: Role, marks: readonly string[]): string | null {
  return marksForRole[role].find((mark) => marks.includes(mark)) ?? null;
}
