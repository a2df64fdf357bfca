/**
 * Three houses for every family: plain (all that is usually seen), incomplete (the wall and a little more), contradictory (one thing
 * that does not belong). What is expected of them stands in `families.test.ts`.
 */
import type { Family } from '../trade/vocabulary';
import { house, type House } from './builder';

export type Kind = 'plain' | 'incomplete' | 'contradictory';
type Trio = Readonly<Record<Kind, () => House>>;

const thin = { 'conductor-build': 'thin' } as const;
const four = ['RD R R', 'WH W W', 'YE Y Y', 'GN G G'];
const unseen = (marks: readonly string[]) => marks.map((mark) => `RD ${mark} unseen`);
const eight = ['RD R R', 'WH AUX W2', 'YE Y Y', 'GN G G', 'BU C C', 'OG O O'];
const mainsPair = ['BK L1 unseen', 'RD LOAD unseen'];
const furnaceBoard = ['R', 'C', 'W', 'Y', 'G'];

export const FAMILY_HOUSES: Readonly<Record<Exclude<Family, 'unknown'>, Trio>> = {
  furnace: {
    plain: () =>
      house({
        strands: ['RD R R', 'WH W W'],
        board: furnaceBoard,
        observed: { ...thin, 'heat-from': 'registers', 'outdoor-unit': 'none', flue: 'burner' },
        equipment: { kind: 'furnace', fuel: 'gas' }
      }),
    incomplete: () => house({ strands: unseen(['R', 'W']), observed: { ...thin, 'heat-from': 'registers' } }),
    contradictory: () =>
      house({
        strands: ['RD R R', 'WH W W', 'OG O loose'],
        board: furnaceBoard,
        observed: { ...thin, 'heat-from': 'registers', 'outdoor-unit': 'none', flue: 'burner' }
      })
  },
  'furnace-ac': {
    plain: () =>
      house({
        strands: four,
        board: furnaceBoard,
        observed: { ...thin, 'heat-from': 'registers', 'outdoor-unit': 'rests', flue: 'burner' }
      }),
    incomplete: () => house({ strands: unseen(['R', 'W', 'Y', 'G']), observed: { ...thin } }),
    contradictory: () =>
      house({
        strands: [...four, 'OG O loose'],
        board: furnaceBoard,
        observed: { ...thin, 'heat-from': 'registers', 'outdoor-unit': 'rests', flue: 'burner' }
      })
  },
  'electric-furnace': {
    plain: () =>
      house({
        strands: ['RD R R', 'WH W W', 'GN G G'],
        board: ['R', 'C', 'W', 'G'],
        observed: {
          ...thin,
          'heat-from': 'registers',
          flue: 'none',
          breakers: 'large',
          'outdoor-unit': 'none'
        }
      }),
    incomplete: () =>
      house({
        strands: unseen(['R', 'W', 'G']),
        observed: { ...thin, 'heat-from': 'registers', flue: 'none' }
      }),
    contradictory: () =>
      house({
        strands: ['RD R R', 'WH W W', 'GN G G', 'OG O O'],
        board: ['R', 'C', 'W', 'G'],
        observed: {
          ...thin,
          'heat-from': 'registers',
          flue: 'none',
          breakers: 'large',
          'outdoor-unit': 'none'
        }
      })
  },
  'heat-pump': {
    plain: () =>
      house({
        strands: eight,
        board: ['R', 'C', 'W2', 'Y', 'G', 'O'],
        observed: {
          ...thin,
          'heat-from': 'registers',
          'outdoor-unit': 'runs',
          flue: 'none',
          breakers: 'large'
        },
        equipment: { kind: 'air-handler', fuel: 'electricity' }
      }),
    incomplete: () => house({ strands: unseen(['R', 'C', 'Y', 'G', 'O', 'AUX']), observed: { ...thin } }),
    contradictory: () =>
      house({
        strands: eight,
        board: ['R', 'C', 'W2', 'Y', 'G', 'O'],
        observed: {
          ...thin,
          'heat-from': 'registers',
          'outdoor-unit': 'none',
          flue: 'none',
          breakers: 'large'
        }
      })
  },
  'dual-fuel': {
    plain: () =>
      house({
        strands: eight,
        board: ['R', 'C', 'W', 'W2', 'Y', 'G', 'O'],
        observed: {
          ...thin,
          'heat-from': 'registers',
          'outdoor-unit': 'runs',
          flue: 'burner',
          breakers: 'small'
        },
        equipment: { kind: 'furnace', fuel: 'gas' }
      }),
    incomplete: () =>
      house({
        strands: unseen(['R', 'C', 'Y', 'G', 'O', 'AUX']),
        observed: { ...thin, flue: 'burner', 'outdoor-unit': 'unsure' }
      }),
    contradictory: () =>
      house({
        strands: eight,
        board: ['R', 'C', 'W', 'W2', 'Y', 'G', 'O'],
        observed: {
          ...thin,
          'heat-from': 'registers',
          'outdoor-unit': 'rests',
          flue: 'burner',
          breakers: 'small'
        }
      })
  },
  boiler: {
    plain: () =>
      house({
        strands: ['RD R R', 'WH W W'],
        board: ['R', 'W', 'C'],
        observed: {
          ...thin,
          'heat-from': 'radiators',
          'radiator-kind': 'water',
          flue: 'burner',
          programmer: 'none'
        },
        equipment: { kind: 'boiler', fuel: 'gas' }
      }),
    incomplete: () => house({ strands: unseen(['R', 'W']), observed: { ...thin, 'heat-from': 'radiators' } }),
    contradictory: () =>
      house({
        strands: ['RD R R', 'WH W W', 'GN G loose'],
        board: ['R', 'W', 'C'],
        observed: {
          ...thin,
          'heat-from': 'radiators',
          'radiator-kind': 'water',
          flue: 'none',
          programmer: 'none'
        }
      })
  },
  steam: {
    plain: () =>
      house({
        strands: ['RD R R', 'WH W W'],
        board: ['R', 'W', 'C'],
        observed: {
          ...thin,
          'heat-from': 'radiators',
          'radiator-kind': 'vent',
          'boiler-signs': 'sight-glass',
          flue: 'burner'
        },
        equipment: { kind: 'boiler', fuel: 'oil' }
      }),
    incomplete: () =>
      house({
        strands: unseen(['R', 'W']),
        observed: { ...thin, 'heat-from': 'radiators', 'radiator-kind': 'vent' }
      }),
    contradictory: () =>
      house({
        strands: ['RD R R', 'WH W W', 'GN G G'],
        board: ['R', 'W', 'C', 'G'],
        observed: {
          ...thin,
          'heat-from': 'radiators',
          'radiator-kind': 'vent',
          'boiler-signs': 'sight-glass',
          flue: 'burner'
        }
      })
  },
  'boiler-plus-ac': {
    plain: () =>
      house({
        strands: ['RD RH R', 'WH W W', 'BU RC R@2', 'YE Y Y@2', 'GN G G@2'],
        plate: ['RH', 'RC', 'W', 'Y', 'G'],
        board: ['R', 'W'],
        observed: {
          ...thin,
          'heat-from': 'radiators',
          'radiator-kind': 'water',
          'outdoor-unit': 'rests',
          flue: 'burner'
        },
        equipment: { kind: 'boiler', fuel: 'gas' },
        further: [{ kind: 'air-handler', marks: ['R', 'C', 'Y', 'G'] }]
      }),
    incomplete: () =>
      house({
        strands: unseen(['RH', 'W', 'RC', 'Y', 'G']),
        observed: { ...thin, 'heat-from': 'radiators' }
      }),
    contradictory: () =>
      house({
        strands: ['RD RH R', 'WH W W', 'BU RC R@2', 'YE Y Y@2', 'GN G G@2'],
        links: ['wall RH RC'],
        board: ['R', 'W'],
        observed: {
          ...thin,
          'heat-from': 'radiators',
          'radiator-kind': 'water',
          'outdoor-unit': 'rests',
          flue: 'burner'
        },
        equipment: { kind: 'boiler', fuel: 'gas' },
        further: [{ kind: 'air-handler', marks: ['R', 'C', 'Y', 'G'] }]
      })
  },
  'cooling-only': {
    plain: () =>
      house({
        strands: ['RD R R', 'YE Y Y', 'GN G G'],
        board: ['R', 'C', 'Y', 'G'],
        observed: { ...thin, 'heat-from': 'nothing', 'outdoor-unit': 'rests', flue: 'none' },
        equipment: { kind: 'air-handler' }
      }),
    incomplete: () =>
      house({ strands: unseen(['R', 'Y', 'G']), observed: { ...thin, 'heat-from': 'nothing' } }),
    contradictory: () =>
      house({
        strands: ['RD R R', 'YE Y Y', 'GN G G', 'WH W loose'],
        board: ['R', 'C', 'Y', 'G'],
        observed: { ...thin, 'heat-from': 'nothing', 'outdoor-unit': 'rests', flue: 'none' },
        equipment: { kind: 'air-handler' }
      })
  },
  'contact-heater': {
    plain: () =>
      house({
        strands: ['RD T1 T1', 'WH T2 T2'],
        board: ['T1', 'T2'],
        observed: { ...thin, 'heat-from': 'unit', flue: 'burner', 'power-cut': 'stops', pilot: 'no' },
        equipment: { kind: 'room-heater' }
      }),
    incomplete: () => house({ strands: unseen(['T1', 'T2']), observed: { ...thin, 'power-cut': 'stops' } }),
    contradictory: () =>
      house({
        strands: ['RD T1 T1', 'WH T2 T2', 'GN G loose'],
        board: ['T1', 'T2'],
        observed: { ...thin, 'heat-from': 'unit', flue: 'burner', 'power-cut': 'stops', pilot: 'no' },
        equipment: { kind: 'room-heater' }
      })
  },
  communicating: {
    plain: () =>
      house({
        strands: ['RD 1 1', 'WH 2 2', 'GN 3 3', 'BU 4 4'],
        plate: ['1', '2', '3', '4'],
        board: ['1', '2', '3', '4'],
        observed: { ...thin, 'heat-from': 'registers', 'outdoor-unit': 'runs' }
      }),
    incomplete: () => house({ strands: unseen(['A', 'D', '+', '-']), observed: { ...thin } }),
    contradictory: () =>
      house({
        strands: ['RD R 1', 'WH 2 2', 'GN 3 3', 'BU C 4'],
        plate: ['R', 'C', '2', '3'],
        board: ['1', '2', '3', '4'],
        observed: { ...thin, 'heat-from': 'registers', 'measured-volts': 26 }
      })
  },
  'line-voltage': {
    plain: () =>
      house({
        strands: mainsPair,
        plate: ['L1', 'LOAD'],
        observed: { 'conductor-build': 'thick', 'heat-from': 'electric' }
      }),
    incomplete: () =>
      house({ strands: ['BK unseen unseen', 'BK unseen unseen'], observed: { 'conductor-build': 'thick' } }),
    contradictory: () =>
      house({
        strands: ['RD R unseen', 'WH W unseen'],
        observed: { 'conductor-build': 'thin', 'measured-volts': 119, 'heat-from': 'electric' }
      })
  },
  millivolt: {
    plain: () =>
      house({
        strands: ['RD T1 T1', 'WH T2 T2'],
        observed: { ...thin, 'heat-from': 'unit', 'power-cut': 'works', pilot: 'yes', flue: 'burner' },
        equipment: { kind: 'room-heater', fuel: 'gas' }
      }),
    incomplete: () => house({ strands: unseen(['T1', 'T2']), observed: { ...thin, 'power-cut': 'works' } }),
    contradictory: () =>
      house({
        strands: ['RD R R', 'WH W W'],
        observed: {
          ...thin,
          'heat-from': 'unit',
          'power-cut': 'works',
          'measured-volts': 0.6,
          'outdoor-unit': 'rests'
        }
      })
  },
  'mains-hydronic': {
    plain: () =>
      house({
        strands: ['BN L1 L1', 'BU N N', 'GY LOAD LOAD'],
        plate: ['L1', 'N', 'LOAD'],
        board: ['L1', 'N', 'LOAD'],
        observed: { 'conductor-build': 'thick', 'heat-from': 'radiators', programmer: 'programmer' },
        equipment: { kind: 'boiler' }
      }),
    incomplete: () =>
      house({
        strands: ['BN unseen unseen', 'BU unseen unseen', 'GY unseen unseen'],
        observed: { 'conductor-build': 'thick', 'heat-from': 'radiators' }
      }),
    contradictory: () =>
      house({
        strands: ['BN L1 unseen', 'BU N unseen', 'GY LOAD unseen'],
        plate: ['L1', 'N', 'LOAD'],
        observed: {
          'conductor-build': 'thin',
          'heat-from': 'radiators',
          programmer: 'programmer',
          'outdoor-unit': 'none'
        }
      })
  }
};
