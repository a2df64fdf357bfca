/**
 * Odd houses by number: a sound house, made odd, and what somebody writes down of it. The true house is kept beside the record, screw by
 * screw, so that a plan made from the record can be carried out in the house as it really is.
 */
import type { World } from '../devices/world';
import { chanceFrom, type Chance } from '../trade/random';
import { wiringOf } from '../wiring/from-job';
import type { Wiring } from '../wiring/graph';
import { house, type House, type HouseSketch } from './builder';
import { worldOf } from './hand-wired';
import { ODDITIES, type Oddity } from './oddities';

/** A sound house of a kind, with how it really works. */
export interface SoundHouse {
  readonly sketch: HouseSketch;
  readonly world: World;
  /** Wires that do something which no plan here knows: none may be moved. */
  readonly untouchable?: readonly string[];
}

export interface TrueHouse {
  readonly number: number;
  /** What was made odd, in order. */
  readonly oddities: readonly string[];
  /** The house as it really is. */
  readonly truth: Wiring;
  readonly world: World;
  readonly untouchable: readonly string[];
  /** What somebody wrote down. */
  readonly record: House;
}

const thin = { 'conductor-build': 'thin' } as const;
const warmAir = { ...thin, 'heat-from': 'registers' } as const;
const burner = { ...warmAir, flue: 'burner' } as const;
const water = { ...thin, 'heat-from': 'radiators' } as const;

const AC = ['RD R R', 'WH W W', 'YE Y Y', 'GN G G'];
const PUMP = ['RD R R', 'YE Y Y', 'GN G G', 'OG O O', 'WH W2 W2'];

/** A gas furnace with an air conditioner. */
const cooled =
  (strands: readonly string[], more: readonly string[] = []) =>
  (): SoundHouse => ({
    sketch: {
      strands,
      board: ['R', 'C', 'W', 'Y', 'G', ...more],
      observed: { ...burner, 'outdoor-unit': 'rests' },
      equipment: { kind: 'furnace', fuel: 'gas' }
    },
    world: worldOf('furnace-ac')
  });

/** A heat pump with its strips. */
const pumped = (strands: readonly string[]) => (): SoundHouse => ({
  sketch: {
    strands,
    board: ['R', 'C', 'Y', 'G', 'O', 'W2'],
    observed: { ...warmAir, flue: 'none', 'outdoor-unit': 'runs' },
    equipment: { kind: 'air-handler' }
  },
  world: worldOf('heat-pump')
});

const KINDS: readonly ((chance: Chance) => SoundHouse)[] = [
  () => ({
    sketch: {
      strands: ['RD R R', 'WH W W'],
      board: ['R', 'C', 'W', 'G'],
      observed: { ...burner, 'outdoor-unit': 'none' },
      equipment: { kind: 'furnace', fuel: 'gas' }
    },
    world: worldOf('furnace')
  }),
  cooled(AC),
  cooled([...AC, 'BU C C'], ['W2']),
  cooled([...AC, 'BU coiled coiled']),
  (chance) => ({
    sketch: {
      strands: ['RD R R', 'WH W W', 'GN G G'],
      board: ['R', 'C', 'W', 'G'],
      observed: { ...warmAir, flue: 'none', breakers: 'large', 'outdoor-unit': 'none' },
      equipment: { kind: 'furnace', fuel: 'electricity' }
    },
    world: worldOf('electric-furnace', { blowerInHeat: chance.happens(0.5) ? 'g' : 'board' })
  }),
  pumped(PUMP),
  pumped([...PUMP, 'BU C C']),
  () => ({
    sketch: {
      strands: ['RD R R', 'WH W W'],
      board: ['R', 'C', 'W'],
      observed: { ...water, 'measured-volts': 26 },
      equipment: { kind: 'boiler', fuel: 'gas' }
    },
    world: worldOf('boiler')
  }),
  () => ({
    sketch: {
      strands: ['RD R T#1', 'WH W T#2', 'BU coiled coiled'],
      board: ['T', 'T', 'C'],
      observed: { ...water, 'measured-volts': 26 },
      equipment: { kind: 'boiler', fuel: 'gas' }
    },
    world: worldOf('boiler')
  }),
  () => ({
    sketch: {
      strands: ['RD RH R', 'WH W W', 'BN RC R@2', 'YE Y Y@2', 'GN G G@2', 'BU C C@2'],
      board: ['R', 'C', 'W'],
      further: [{ name: 'air handler', marks: ['R', 'C', 'Y', 'G'], kind: 'air-handler' }],
      observed: { ...water, 'outdoor-unit': 'rests', 'measured-volts': 26 },
      equipment: { kind: 'boiler', fuel: 'gas' }
    },
    world: worldOf('boiler-plus-ac')
  }),
  () => ({
    sketch: {
      strands: ['RD R R', 'YE Y Y', 'GN G G'],
      board: ['R', 'C', 'Y', 'G'],
      observed: { ...thin, 'heat-from': 'none', flue: 'none', 'outdoor-unit': 'rests' },
      equipment: { kind: 'air-handler' }
    },
    world: worldOf('cooling-only')
  }),
  (chance) => ({
    // A valve with three wires: one opens, one closes.
    sketch: {
      strands: [
        'RD R R',
        'WH W W',
        chance.pick(['YE B B', 'YE Y Y', 'GN G G', 'BU B Y']),
        'BU coiled coiled'
      ],
      board: ['R', 'C', 'W'],
      observed: { ...water, 'measured-volts': 26 },
      equipment: { kind: chance.pick(['boiler', 'zone-panel', 'unknown']) }
    },
    world: worldOf('boiler'),
    untouchable: ['co-3']
  })
];

/** The house of a number: the same number gives the same house. */
export function trueHouse(number: number): TrueHouse {
  const chance = chanceFrom(number * 2654435761 + 17);
  const kind = KINDS[number % KINDS.length]!;
  const { sketch, world, untouchable = [] } = kind(chance);
  const sound = house({
    ...sketch,
    path: chance.pick(['free', 'free', 'stapled', 'unknown']),
    outlet: chance.pick(['near', 'none', 'unknown']),
    continuity: chance.happens(0.5) ? 'proven' : 'untested'
  });
  let pair = { truth: sound, record: sound };
  const names: string[] = [];
  const count = 1 + Math.floor(chance.next() * 3);
  for (let at = 0; at < count; at += 1) {
    const oddity: Oddity = chance.pick(ODDITIES);
    const made = oddity.make(pair, chance);
    if (!made) continue;
    pair = made;
    names.push(oddity.id);
  }
  return {
    number,
    oddities: names,
    truth: wiringOf(pair.truth.job, pair.truth.thermostat),
    world: withMachines(world, pair.truth),
    untouchable: untouchable.filter((id) => sameFar(pair.truth, sound, id)),
    record: pair.record
  };
}

/** Whether a wire is still where it was in the sound house. */
function sameFar(first: House, second: House, id: string): boolean {
  const [a, b] = [first, second].map(({ thermostat }) => thermostat.conductors.find((it) => it.id === id));
  return JSON.stringify(a?.far) === JSON.stringify(b?.far);
}

/** Where two machines stand, each is what it is: the one that only cools, and the boiler. */
function withMachines(world: World, { job }: House): World {
  if (world.family !== 'boiler-plus-ac') return world;
  const [boiler, air] = job.equipment;
  const { blowerInHeat, blowerInCool } = world;
  const plain = { blowerInHeat, blowerInCool, reversing: 'none' } as const;
  return {
    ...world,
    of: {
      ...(boiler ? { [boiler.id]: { ...plain, family: 'boiler', compressor: false } as const } : {}),
      ...(air ? { [air.id]: { ...plain, family: 'cooling-only', compressor: true } as const } : {})
    }
  };
}
