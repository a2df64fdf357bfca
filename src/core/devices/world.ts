/**
 * A world is one way the unknown may be: which family the equipment is, and how its board behaves where nobody can see it. What is not
 * settled is solved in every world that is still believable, and the worst counts.
 */
import { canonicalMark } from '../trade/terminals';
import type { Call, Family } from '../trade/vocabulary';
import { landedTerminal, splitTerminal, type Wiring } from '../wiring/graph';

export interface World {
  readonly id: string;
  readonly family: Family;
  /** Who runs the blower when heat is called: the board by itself, or nothing but G. */
  readonly blowerInHeat: 'board' | 'g';
  /** A compressor hangs on Y. */
  readonly compressor: boolean;
  readonly reversing: 'O' | 'B' | 'none';
  /** The world as a noun, with its article: "a heat pump". */
  readonly says: string;
}

/** Supplies have no known polarity against each other, and their commons may be tied through earth: every case is solved. */
export interface SupplyCase {
  readonly bonded: boolean;
  readonly polarity: 1 | -1;
}

export const PLAIN_CASE: SupplyCase = { bonded: false, polarity: 1 };

export const ALL_SUPPLY_CASES: readonly SupplyCase[] = [
  PLAIN_CASE,
  { bonded: false, polarity: -1 },
  { bonded: true, polarity: 1 },
  { bonded: true, polarity: -1 }
];

/** The calls that this system has, as far as a conductor is on the terminal of one at either end. */
export function callsOf(world: World, wiring: Wiring): Call[] {
  const used = new Set(
    wiring.strands
      .flatMap((strand) => [landedTerminal(strand.wall), landedTerminal(strand.equipment)])
      .flatMap((terminal) => (terminal === null ? [] : [splitTerminal(terminal).mark]))
  );
  const on = (mark: string) => used.has(mark);
  const calls: Call[] = ['idle', 'heat1'];
  if (world.family === 'heat-pump') {
    calls.push('cool1');
    if (on('G')) calls.push('fan');
    if (['W1', 'W2', 'AUX'].some(on)) calls.push('aux');
    if (['W1', 'W2', 'AUX', 'E'].some(on)) calls.push('emergency');
    return calls;
  }
  if (on('W2')) calls.push('heat2');
  if (world.compressor && on('Y1')) calls.push('cool1');
  if (world.compressor && on('Y2') && on('Y1')) calls.push('cool2');
  if (world.family !== 'boiler' && on('G')) calls.push('fan');
  return calls;
}

/** What a terminal of the equipment is for. One conductor carries one of these. */
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
  | 'reversing';

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
  OB: 'reversing'
};

/** What the mark at the equipment does in this world; null for marks that carry no call (X, sensors, data). */
export function roleOf(mark: string, world: Pick<World, 'family'>): Role | null {
  const canonical = canonicalMark(mark);
  if (world.family === 'heat-pump' && (canonical === 'W1' || canonical === 'W2')) return 'aux';
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
  reversing: ['OB', 'O', 'B']
};

/** The terminal of a thermostat that serves a role, out of the marks that it has; null when it has none. */
export function markForRole(role: Role, marks: readonly string[]): string | null {
  const owned = marks.map(canonicalMark);
  return marksForRole[role].find((mark) => owned.includes(mark)) ?? null;
}

/** What a thermostat set up for this system closes in a call. */
export function rolesCalled(call: Call, world: World): Role[] {
  const heatPump = world.family === 'heat-pump';
  const fanWithHeat: Role[] = heatPump || world.family === 'electric-furnace' ? ['fan'] : [];
  const inHeat: Role[] = world.reversing === 'B' ? ['reversing'] : [];
  const inCooling: Role[] = world.reversing === 'O' ? ['reversing'] : [];
  switch (call) {
    case 'heat1':
      return heatPump ? ['compressor1', 'fan', ...inHeat] : ['heat1', ...fanWithHeat];
    case 'heat2':
      return ['heat1', 'heat2', ...fanWithHeat];
    case 'cool1':
      return ['compressor1', 'fan', ...inCooling];
    case 'cool2':
      return ['compressor1', 'compressor2', 'fan', ...inCooling];
    case 'fan':
      return ['fan'];
    case 'aux':
      return ['compressor1', 'fan', 'aux', ...inHeat];
    case 'emergency':
      return ['emergency', 'fan'];
    default:
      return [];
  }
}
