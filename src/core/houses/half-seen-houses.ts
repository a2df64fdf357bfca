/**
 * Houses as somebody half sees them: drawn from a table of its own in which things hang together. An installer who pulled five wires landed all
 * five; who does not go down to the machine has read none of its ends; who mistakes one thing mistakes its neighbours. And some houses are of a
 * kind that no family stands for. What is stated of them at 95 % is held against what they are.
 */
import type { Family } from '../trade/vocabulary';
import { chanceFrom, type Chance } from '../trade/random';
import { house, type House, type HouseSketch } from './builder';
import { generatedHouse, type Drawn } from './generate';

export interface HalfSeenHouse extends House {
  /** `unknown`: of a kind that is none of the families. */
  readonly truth: Family;
}

/** One house in twenty is of a kind that nobody has a model of. */
const STRANGE = 0.05;

export function halfSeenHouse(seed: number, wanted?: Drawn): HalfSeenHouse {
  const chance = chanceFrom(seed * 7919 + 17);
  if (!wanted && chance.happens(STRANGE)) {
    const drawn = house(chance.pick(STRANGERS)(chance));
    return { ...seenBy(chance, drawn), truth: 'unknown' };
  }
  const drawn = generatedHouse(Math.floor(chance.next() * 1e9), wanted);
  return { ...seenBy(chance, prewired(chance, drawn, drawn.family)), truth: drawn.family };
}

/** Wires that were pulled and landed for a machine that never came: the more, the more were pulled at once. */
function prewired(chance: Chance, { job, thermostat }: House, family: Drawn): House {
  const room = family === 'furnace' || family === 'electric-furnace';
  if (!room || !chance.happens(0.15) || thermostat.conductors.length < 2) return { job, thermostat };
  const [machine] = job.equipment;
  const observed = thermostat.observed;
  const sketch: HouseSketch = {
    strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', ...(chance.happens(0.5) ? ['BU C C'] : [])],
    board: ['R', 'C', 'W', 'Y', 'G'],
    observed,
    equipment: machine ? { kind: machine.kind } : {}
  };
  return house(sketch);
}

/** What one person looks at, and how well: whoever looks well at one thing looks well at the next. */
function seenBy(chance: Chance, { job, thermostat }: House): House {
  const diligence = chance.next();
  const asked = 0.15 + 0.8 * diligence;
  const metered = 0.45 * diligence;
  const confused = chance.happens(0.05);
  const observed = Object.fromEntries(
    Object.entries(thermostat.observed).flatMap(([id, answer]): [string, string | number][] => {
      if (!chance.happens(id === 'measured-volts' ? metered : asked)) return [];
      return [[id, confused ? mistaken(chance, id, answer) : answer]];
    })
  );
  const goesDown = chance.happens(0.25 + 0.6 * diligence);
  const conductors = thermostat.conductors.map((conductor) =>
    goesDown ? conductor : { ...conductor, far: { state: 'unseen' as const, on: [] } }
  );
  const whole = { ...thermostat, observed, conductors };
  const equipment = job.equipment.map((machine) =>
    chance.happens(goesDown ? 0.8 : 0.3)
      ? machine
      : { ...machine, kind: 'unknown' as const, screws: goesDown ? machine.screws : [] }
  );
  return { job: { ...job, equipment, thermostats: [whole] }, thermostat: whole };
}

/** What is easily taken for something else, by whoever does not know what to look for. */
const MISTAKES: Readonly<Record<string, readonly string[]>> = {
  'outdoor-unit': ['rests', 'runs', 'none'],
  flue: ['burner', 'none'],
  breakers: ['small', 'large'],
  pilot: ['yes', 'no'],
  'power-cut': ['stops', 'works'],
  'boiler-signs': ['neither', 'circulators']
};

function mistaken(chance: Chance, id: string, answer: string | number): string | number {
  const others = MISTAKES[id];
  return others && chance.happens(0.4) ? chance.pick(others) : answer;
}

const thin = { 'conductor-build': 'thin', programmer: 'none', 'measured-volts': 26 } as const;

/** Kinds that are none of the families. */
const STRANGERS: readonly ((chance: Chance) => HouseSketch)[] = [
  // A coil in an air handler that a boiler feeds.
  () => ({
    strands: ['RD R R', 'WH W W', 'GN G G', 'YE Y Y'],
    board: ['R', 'C', 'W', 'Y', 'G'],
    observed: {
      ...thin,
      'heat-from': 'registers',
      'radiator-kind': 'none',
      'boiler-signs': 'circulators',
      'outdoor-unit': 'rests',
      flue: 'burner',
      breakers: 'small',
      'power-cut': 'stops',
      pilot: 'no'
    },
    equipment: { kind: 'air-handler' }
  }),
  // A heat pump that takes its heat from the ground: nothing stands outdoors.
  () => ({
    strands: ['RD R R', 'YE Y Y', 'GN G G', 'OG O O', 'BU C C', 'WH W W'],
    board: ['R', 'C', 'W', 'Y', 'G', 'O'],
    observed: {
      ...thin,
      'heat-from': 'registers',
      'radiator-kind': 'none',
      'boiler-signs': 'neither',
      'outdoor-unit': 'none',
      flue: 'none',
      breakers: 'large',
      'power-cut': 'stops',
      pilot: 'no'
    },
    equipment: { kind: 'air-handler' }
  }),
  // A pellet stove with a contact of its own.
  () => ({
    strands: ['RD T1 T1', 'WH T2 T2'],
    board: ['T1', 'T2'],
    observed: {
      'conductor-build': 'thin',
      programmer: 'none',
      'measured-volts': 5,
      'heat-from': 'unit',
      'radiator-kind': 'none',
      'boiler-signs': 'neither',
      'outdoor-unit': 'none',
      flue: 'burner',
      breakers: 'small',
      'power-cut': 'stops',
      pilot: 'no'
    },
    equipment: { kind: 'room-heater' }
  }),
  // Electric baseboards on a relay.
  () => ({
    strands: ['RD R R', 'WH W W'],
    board: ['R', 'W'],
    observed: {
      ...thin,
      'heat-from': 'electric',
      'radiator-kind': 'none',
      'boiler-signs': 'neither',
      'outdoor-unit': 'none',
      flue: 'none',
      breakers: 'large',
      'power-cut': 'stops',
      pilot: 'no'
    },
    equipment: { kind: 'unknown' }
  }),
  // An evaporative cooler beside a gravity furnace.
  (chance) => ({
    strands: ['RD R R', 'WH W W', 'YE Y Y', ...(chance.happens(0.5) ? ['GN G G'] : [])],
    board: ['R', 'C', 'W', 'Y', 'G'],
    observed: {
      ...thin,
      'heat-from': 'registers',
      'radiator-kind': 'none',
      'boiler-signs': 'neither',
      'outdoor-unit': 'rests',
      flue: 'burner',
      breakers: 'small',
      'power-cut': 'works',
      pilot: 'yes'
    },
    equipment: { kind: 'unknown' }
  })
];
