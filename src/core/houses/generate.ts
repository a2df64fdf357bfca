/**
 * Houses drawn by chance, built the way houses are built: a family first, then machines, marks, conductors and what one sees when one
 * looks. The figures here are deliberately not those of the evidence files, so that the beliefs are tested against houses that do not
 * know them.
 */
import type { Family } from '../trade/vocabulary';
import { house, type House, type HouseSketch } from './builder';
import { chanceFrom, type Chance } from '../trade/random';

export type Drawn = Exclude<Family, 'unknown'>;

const SHARES: Readonly<Record<Drawn, number>> = {
  furnace: 18,
  'furnace-ac': 30,
  'electric-furnace': 6,
  'heat-pump': 14,
  'dual-fuel': 4,
  boiler: 10,
  steam: 3,
  'boiler-plus-ac': 3,
  'cooling-only': 2,
  'contact-heater': 2,
  communicating: 2,
  'line-voltage': 4,
  millivolt: 2,
  'mains-hydronic': 2
};

export interface GeneratedHouse extends House {
  readonly family: Drawn;
}

/** The house of a seed, all of it seen: every observation has its true answer. */
export function generatedHouse(seed: number, wanted?: Drawn): GeneratedHouse {
  const chance = chanceFrom(seed);
  const family = wanted ?? chance.weighted(SHARES);
  return { ...house(sketchOf(family, chance)), family };
}

function sketchOf(family: Drawn, chance: Chance): HouseSketch {
  switch (family) {
    case 'furnace':
    case 'furnace-ac':
    case 'electric-furnace':
    case 'cooling-only':
      return airSketch(family, chance);
    case 'heat-pump':
    case 'dual-fuel':
      return heatPumpSketch(family, chance);
    case 'boiler':
    case 'steam':
    case 'boiler-plus-ac':
      return waterSketch(family, chance);
    default:
      return otherSketches[family](chance);
  }
}

const meter = (chance: Chance, volts: number) => Math.round((volts + chance.next() * 2) * 10) / 10;
const winter = (chance: Chance, value: string) => (chance.happens(0.2) ? 'unsure' : value);

function airSketch(
  family: 'furnace' | 'furnace-ac' | 'electric-furnace' | 'cooling-only',
  chance: Chance
): HouseSketch {
  const cools =
    family === 'furnace-ac' ||
    family === 'cooling-only' ||
    (family === 'electric-furnace' && chance.happens(0.45));
  const fan = cools || family === 'electric-furnace' || chance.happens(0.5);
  const heats = family !== 'cooling-only';
  const two = heats && chance.happens(0.15);
  const strands = [
    'RD R R',
    ...(heats ? ['WH W W'] : []),
    ...(two ? ['BN W2 W2'] : []),
    ...(cools ? ['YE Y Y'] : []),
    ...(fan ? ['GN G G'] : []),
    ...(chance.happens(0.2) ? ['BU C C'] : []),
    ...(chance.happens(0.03) ? ['OG O loose'] : [])
  ];
  const electric = family === 'electric-furnace';
  return {
    strands,
    board: ['R', 'C', 'Y', 'G', ...(heats ? ['W'] : []), ...(two || chance.happens(0.2) ? ['W2'] : [])],
    observed: {
      'conductor-build': 'thin',
      'heat-from': heats ? 'registers' : chance.happens(0.8) ? 'nothing' : 'radiators',
      'radiator-kind': heats ? 'none' : chance.weighted({ none: 6, water: 1 }),
      'outdoor-unit': cools ? winter(chance, 'rests') : 'none',
      flue: electric || !heats ? 'none' : 'burner',
      breakers: electric ? 'large' : 'small',
      'boiler-signs': 'neither',
      'power-cut': chance.happens(0.3) ? 'unsure' : 'stops',
      pilot: !electric && heats && chance.happens(0.08) ? 'yes' : 'no',
      programmer: 'none',
      'measured-volts': meter(chance, 25)
    },
    equipment: {
      kind: electric ? chance.pick(['furnace', 'air-handler'] as const) : heats ? 'furnace' : 'air-handler'
    }
  };
}

function heatPumpSketch(family: 'heat-pump' | 'dual-fuel', chance: Chance): HouseSketch {
  const dual = family === 'dual-fuel';
  const valve = chance.happens(0.85) ? 'O' : 'B';
  const aux = dual || chance.happens(0.75);
  return {
    strands: [
      'RD R R',
      'YE Y Y',
      'GN G G',
      `OG ${valve} ${valve}`,
      ...(aux ? [chance.happens(0.7) ? 'WH AUX W2' : 'WH W W'] : []),
      ...(chance.happens(0.4) ? ['BN E E'] : []),
      ...(chance.happens(0.6) ? ['BU C C'] : [])
    ],
    board: ['R', 'C', 'Y', 'G', valve, 'W2', ...(dual ? ['W'] : [])],
    observed: {
      'conductor-build': 'thin',
      'heat-from': 'registers',
      'radiator-kind': 'none',
      'outdoor-unit': winter(chance, 'runs'),
      flue: dual ? 'burner' : 'none',
      breakers: dual ? 'small' : chance.happens(0.8) ? 'large' : 'small',
      'boiler-signs': 'neither',
      'power-cut': chance.happens(0.3) ? 'unsure' : 'stops',
      pilot: 'no',
      programmer: 'none',
      'measured-volts': meter(chance, 25)
    },
    equipment: { kind: dual ? 'furnace' : 'air-handler' }
  };
}

function waterSketch(family: 'boiler' | 'steam' | 'boiler-plus-ac', chance: Chance): HouseSketch {
  const contact = family !== 'boiler-plus-ac' && chance.happens(0.2);
  const cools = family === 'boiler-plus-ac';
  const own = {
    'conductor-build': 'thin',
    'heat-from': 'radiators',
    'radiator-kind': family === 'steam' ? (chance.happens(0.85) ? 'vent' : 'water') : 'water',
    'outdoor-unit': cools ? winter(chance, 'rests') : chance.happens(0.1) ? 'rests' : 'none',
    flue: 'burner',
    breakers: 'small',
    'boiler-signs': family === 'steam' ? 'sight-glass' : 'circulators',
    'power-cut': chance.happens(0.4) ? 'unsure' : 'stops',
    pilot: chance.happens(0.12) ? 'yes' : 'no',
    programmer: chance.happens(0.04) ? 'programmer' : 'none',
    'measured-volts': meter(chance, 25)
  };
  if (!cools)
    return {
      strands: contact
        ? ['RD T1 T1', 'WH T2 T2']
        : ['RD R R', 'WH W W', ...(chance.happens(0.15) ? ['BU C C'] : [])],
      board: contact ? ['T1', 'T2'] : ['R', 'W', 'C'],
      observed: own,
      equipment: { kind: 'boiler' }
    };
  return {
    strands: ['RD RH R', 'WH W W', 'BU RC R@2', 'YE Y Y@2', 'GN G G@2'],
    board: ['R', 'W', 'C'],
    observed: own,
    equipment: { kind: 'boiler' },
    further: [{ kind: 'air-handler', marks: ['R', 'C', 'Y', 'G'] }]
  };
}

const none = { 'boiler-signs': 'neither', 'radiator-kind': 'none', programmer: 'none' } as const;
const room = { kind: 'room-heater' as const };

type Other = 'contact-heater' | 'millivolt' | 'communicating' | 'mains-hydronic' | 'line-voltage';

const otherSketches: Readonly<Record<Other, (chance: Chance) => HouseSketch>> = {
  'contact-heater': (chance) => ({
    strands: ['RD T1 T1', 'WH T2 T2'],
    board: ['T1', 'T2'],
    observed: {
      ...none,
      'conductor-build': 'thin',
      'heat-from': 'unit',
      'outdoor-unit': 'none',
      flue: 'burner',
      breakers: 'small',
      'power-cut': chance.happens(0.4) ? 'unsure' : 'stops',
      pilot: chance.happens(0.1) ? 'yes' : 'no',
      'measured-volts': meter(chance, 24)
    },
    equipment: room
  }),
  millivolt: (chance) => ({
    strands: chance.happens(0.7) ? ['RD T1 T1', 'WH T2 T2'] : ['RD R R', 'WH W W'],
    observed: {
      ...none,
      'conductor-build': 'thin',
      'heat-from': 'unit',
      'outdoor-unit': 'none',
      flue: 'burner',
      breakers: 'small',
      'power-cut': chance.happens(0.2) ? 'unsure' : 'works',
      pilot: chance.happens(0.92) ? 'yes' : 'no',
      'measured-volts': 0.5
    },
    equipment: room
  }),
  communicating: (chance) => ({
    strands: chance.happens(0.85)
      ? ['RD 1 1', 'WH 2 2', 'GN 3 3', 'BU 4 4']
      : ['RD R 1', 'WH 2 2', 'GN 3 3', 'BU C 4'],
    board: ['1', '2', '3', '4'],
    observed: {
      ...none,
      'conductor-build': 'thin',
      'heat-from': 'registers',
      'outdoor-unit': chance.pick(['rests', 'runs']),
      flue: chance.pick(['burner', 'none']),
      breakers: chance.pick(['small', 'large']),
      'power-cut': 'unsure',
      pilot: 'no',
      'measured-volts': meter(chance, 24)
    },
    equipment: { kind: chance.pick(['furnace', 'air-handler'] as const) }
  }),
  'mains-hydronic': (chance) => ({
    strands: ['BN L1 L1', 'BU N N', 'GY LOAD LOAD'],
    board: ['L1', 'N', 'LOAD'],
    observed: {
      ...none,
      'conductor-build': chance.happens(0.85) ? 'thick' : 'thin',
      'heat-from': 'radiators',
      'radiator-kind': 'water',
      'outdoor-unit': 'none',
      flue: 'burner',
      breakers: 'small',
      'boiler-signs': 'circulators',
      'power-cut': 'stops',
      pilot: 'no',
      programmer: chance.happens(0.9) ? 'programmer' : 'none',
      'measured-volts': 231
    },
    equipment: { kind: 'boiler' }
  }),
  'line-voltage': (chance) => ({
    strands: ['BK L1 unseen', 'RD LOAD unseen'],
    observed: {
      ...none,
      'conductor-build': chance.happens(0.95) ? 'thick' : 'thin',
      'heat-from': 'electric',
      'outdoor-unit': 'none',
      flue: 'none',
      breakers: chance.pick(['small', 'large']),
      'power-cut': chance.happens(0.4) ? 'unsure' : 'stops',
      pilot: 'no',
      'measured-volts': 119
    },
    equipment: room
  })
};
