/**
 * Every situation of a thermostat's place, by number: family, what is there of a common, what is wrong, how the plate names its hot side,
 * supplies, path, outlet, transformer, length, thermostat. The number is read as digits of mixed base, so that any part of the whole can be
 * walked, or drawn from a seed, without making the rest.
 */
import type { DeviceFacts } from '../job/device-facts';
import { terminalOfScrew } from '../wiring/graph';
import { CATALOGUE } from '../match/catalogue';
import type { Family } from '../trade/vocabulary';
import { house, type House, type HouseSketch, type MachineSketch } from './builder';

interface FamilySketch {
  readonly family: Family;
  /** Conductors besides the hot one and the common, as `COLOUR WALL EQUIPMENT`. */
  readonly calls: readonly string[];
  readonly board: readonly string[];
  /** A second machine with a transformer of its own, and the conductors on it. */
  readonly second?: { readonly marks: readonly string[]; readonly calls: readonly string[] };
  readonly kind?: 'zone-panel' | 'zone-pump-panel' | 'furnace';
}

const FAMILIES: readonly FamilySketch[] = [
  { family: 'furnace', calls: ['WH W W'], board: ['R', 'W', 'G'], kind: 'furnace' },
  { family: 'furnace', calls: ['WH W W', 'GN G G'], board: ['R', 'W', 'G'] },
  { family: 'furnace-ac', calls: ['WH W W', 'YE Y Y', 'GN G G'], board: ['R', 'W', 'Y', 'G'] },
  {
    family: 'furnace-ac',
    calls: ['WH W W', 'YE Y Y', 'GN G G', 'BN W2 W2'],
    board: ['R', 'W', 'W2', 'Y', 'G']
  },
  { family: 'electric-furnace', calls: ['WH W W', 'GN G G'], board: ['R', 'W', 'G'] },
  {
    family: 'heat-pump',
    calls: ['YE Y Y', 'GN G G', 'OG O O', 'WH W2 W2'],
    board: ['R', 'Y', 'G', 'O', 'W2']
  },
  {
    family: 'dual-fuel',
    calls: ['YE Y Y', 'GN G G', 'OG O O', 'WH W2 W2'],
    board: ['R', 'Y', 'G', 'O', 'W2']
  },
  { family: 'boiler', calls: ['WH W W'], board: ['R', 'W'] },
  { family: 'boiler', calls: ['WH W W'], board: ['R', 'W'], kind: 'zone-panel' },
  { family: 'boiler', calls: ['WH W W'], board: ['R', 'W'], kind: 'zone-pump-panel' },
  { family: 'steam', calls: ['WH W W'], board: ['R', 'W'] },
  { family: 'cooling-only', calls: ['YE Y Y', 'GN G G'], board: ['R', 'Y', 'G'] },
  { family: 'contact-heater', calls: ['WH W T2'], board: ['T1', 'T2'] },
  {
    family: 'boiler-plus-ac',
    calls: ['WH W W'],
    board: ['R', 'W'],
    second: { marks: ['R', 'C', 'Y', 'G'], calls: ['BU RC R@2', 'YE Y Y@2', 'GN G G@2'] }
  }
];

/** What there is of a common: a mark on the board, a conductor, at one end or both. */
const COMMONS = [
  'none',
  'mark-only',
  'landed',
  'wall-only',
  'equipment-only',
  'one-spare',
  'two-spares'
] as const;
/** `odd-one`: an adapter of the old thermostat where Y and G are there to be put together, else a conductor on O that leads nowhere. */
const WRONG = ['nothing', 'call-loose', 'call-unseen', 'calls-swapped', 'hot-unseen', 'odd-one'] as const;
const HOTS = ['R', 'RH linked', 'RC'] as const;
const PATHS = ['free', 'stapled', 'unknown'] as const;
const OUTLETS = ['near', 'none', 'unknown'] as const;
const CONTINUITY = ['proven', 'untested', 'broken'] as const;
const TRANSFORMERS = [40, 20, null] as const;
const LENGTHS = [15, 60, null] as const;

/** What changes first stands first: the neighbours of a situation share its house, then its circuit. */
const AXES = [
  CATALOGUE.length,
  PATHS.length,
  OUTLETS.length,
  CONTINUITY.length,
  FAMILIES.length,
  COMMONS.length,
  WRONG.length,
  HOTS.length,
  TRANSFORMERS.length,
  LENGTHS.length
] as const;

/** So many situations in a row have the same conductors on the same terminals of the same machine. */
export const BLOCK = AXES.slice(0, 4).reduce<number>((product, axis) => product * axis, 1);

/** How many situations there are. */
export const SITUATIONS = AXES.reduce<number>((product, axis) => product * axis, 1);

export interface Situation {
  readonly number: number;
  readonly house: House;
  readonly device: DeviceFacts;
  /** Ids of the screws that were read at each machine, by the id of the machine. */
  readonly read: ReadonlyMap<string, ReadonlySet<string>>;
}

/** The house made last: the thermostats of the catalogue follow each other in it. */
let last: { readonly number: number; readonly house: House } | null = null;

/** Situation `number`, at least 0 and below `SITUATIONS`. */
export function situationOf(number: number): Situation {
  const place = Math.floor(number / CATALOGUE.length);
  const made = last?.number === place ? last.house : houseOf(place);
  last = { number: place, house: made };
  return {
    number,
    house: made,
    device: CATALOGUE[number % CATALOGUE.length]!,
    read: new Map(
      made.job.equipment.map((machine) => [
        machine.id,
        new Set(machine.screws.map((screw) => terminalOfScrew(machine.id, screw.id)))
      ])
    )
  };
}

function houseOf(place: number): House {
  const digits: number[] = [];
  let rest = place;
  for (const base of AXES.slice(1)) {
    digits.push(rest % base);
    rest = Math.floor(rest / base);
  }
  const [p = 0, o = 0, t = 0, f = 0, c = 0, w = 0, h = 0, va = 0, length = 0] = digits;
  const family = FAMILIES[f]!;
  const common = COMMONS[c]!;
  const sketch: HouseSketch = {
    strands: strandsOf(family, common, WRONG[w]!, HOTS[h]!),
    board:
      common === 'none' && !(WRONG[w] === 'odd-one' && hasPair(family))
        ? family.board
        : [...family.board, 'C'],
    links: HOTS[h] === 'RH linked' && !family.second ? ['wall RH RC'] : [],
    observed: { 'conductor-build': 'thin' },
    stated: family.family,
    equipment: { kind: family.kind ?? 'unknown', transformerVa: TRANSFORMERS[va] ?? null },
    further: [
      ...(family.second ? [{ name: 'air handler', marks: [...family.second.marks] }] : []),
      ...(WRONG[w] === 'odd-one' && hasPair(family) ? [OLD_ADAPTER] : [])
    ],
    lengthM: LENGTHS[length] ?? null,
    path: PATHS[p]!,
    continuity: CONTINUITY[t]!,
    outlet: OUTLETS[o]!
  };
  return house(sketch);
}

const OLD_ADAPTER: MachineSketch = {
  name: 'old adapter',
  kind: 'old-adapter',
  marks: ['R', 'C', 'K', 'Y', 'G'],
  transformerVa: null
};

function hasPair(family: FamilySketch): boolean {
  return !family.second && ['YE Y Y', 'GN G G'].every((candidate) => family.calls.includes(candidate));
}

/** Y on one conductor with G, through the adapter; the conductor of G is the common that this freed. */
function throughAdapter(calls: readonly string[]): string[] {
  return calls.map((call) => (call === 'YE Y Y' ? 'YE K K@2' : call === 'GN G G' ? 'GN C C' : call));
}

function strandsOf(
  family: FamilySketch,
  common: (typeof COMMONS)[number],
  wrong: (typeof WRONG)[number],
  hot: (typeof HOTS)[number]
): string[] {
  const far = family.board.includes('T1') ? 'T1' : 'R';
  const plate = family.second ? 'RH' : hot === 'RH linked' ? 'RH' : hot;
  const calls = [...family.calls];
  const [first = '', second] = calls;
  const [colour = 'WH', wall = 'W', mark = 'W'] = first.split(' ');
  if (wrong === 'call-loose') calls[0] = `${colour} ${wall} loose`;
  if (wrong === 'call-unseen') calls[0] = `${colour} ${wall} unseen`;
  if (wrong === 'calls-swapped' && second !== undefined) {
    const [otherColour = 'GN', otherWall = 'G', otherMark = 'G'] = second.split(' ');
    calls[0] = `${colour} ${wall} ${otherMark}`;
    calls[1] = `${otherColour} ${otherWall} ${mark}`;
  }
  if (wrong === 'odd-one') {
    if (hasPair(family)) calls.splice(0, calls.length, ...throughAdapter(calls));
    else calls.push('OG O loose');
  }
  const commons = {
    none: [],
    'mark-only': [],
    landed: family.second ? ['BU C C', 'BK C C@2'] : ['BU C C'],
    'wall-only': ['BU C loose'],
    'equipment-only': ['BU coiled C'],
    'one-spare': ['BU coiled coiled'],
    'two-spares': ['BU coiled coiled', 'BK coiled coiled']
  }[common];
  return [
    `RD ${plate} ${wrong === 'hot-unseen' ? 'unseen' : far}`,
    ...calls,
    ...(family.second?.calls ?? []),
    ...commons
  ];
}
