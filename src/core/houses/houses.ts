/** Houses that the tests of several modules share. */
import { house } from './builder';

const fourAndSpare = ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU coiled coiled'];
const furnaceBoard = ['R', 'C', 'W', 'Y', 'G'];
const airConditioned = {
  'outdoor-unit': 'rests',
  flue: 'burner',
  'heat-from': 'registers',
  'conductor-build': 'thin'
};

/** Four conductors landed, a fifth coiled at both ends and proven. */
export const furnaceWithSpare = () =>
  house({ strands: fourAndSpare, board: furnaceBoard, observed: airConditioned });

/** The same house with a common at both ends. */
export const furnaceWithCommon = () =>
  house({
    strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'],
    board: furnaceBoard,
    observed: airConditioned
  });

/** Four conductors and no fifth. */
export const furnaceFourWires = () =>
  house({ strands: fourAndSpare.slice(0, 4), board: furnaceBoard, observed: airConditioned });

/** Two conductors, heat only. */
export const heatOnly = () =>
  house({
    strands: ['RD R R', 'WH W W'],
    board: furnaceBoard,
    observed: { 'outdoor-unit': 'none', flue: 'burner', 'heat-from': 'registers', 'conductor-build': 'thin' }
  });

/** Eight conductors, common landed, strips on AUX. */
export const heatPumpHouse = () =>
  house({
    strands: [
      'RD R R',
      'WH AUX W2',
      'YE Y Y',
      'GN G G',
      'BU C C',
      'OG O O',
      'BN coiled coiled',
      'BK coiled coiled'
    ],
    board: ['R', 'C', 'W2', 'Y', 'G', 'O'],
    observed: {
      'outdoor-unit': 'runs',
      flue: 'none',
      breakers: 'large',
      'heat-from': 'registers',
      'conductor-build': 'thin'
    },
    equipment: { name: 'air handler' }
  });

/** A heat pump whose common is landed at neither end; G would be free to take, were it not for the strips. */
export const heatPumpNoCommon = () =>
  house({
    strands: ['RD R R', 'WH AUX W2', 'YE Y Y', 'GN G G', 'OG O O'],
    board: ['R', 'C', 'W2', 'Y', 'G', 'O'],
    observed: {
      'outdoor-unit': 'runs',
      flue: 'none',
      breakers: 'large',
      'heat-from': 'registers',
      'conductor-build': 'thin'
    },
    equipment: { name: 'air handler' }
  });

export const electricFurnaceHouse = () =>
  house({
    strands: ['RD R R', 'WH W W', 'GN G G'],
    board: ['R', 'C', 'W', 'G'],
    observed: {
      'outdoor-unit': 'none',
      flue: 'none',
      breakers: 'large',
      'heat-from': 'registers',
      'conductor-build': 'thin'
    }
  });

export const boilerHouse = () =>
  house({
    strands: ['RD R R', 'WH W W'],
    board: ['R', 'W', 'C'],
    observed: {
      'heat-from': 'radiators',
      'radiator-kind': 'water',
      flue: 'burner',
      'outdoor-unit': 'none',
      'conductor-build': 'thin',
      programmer: 'none'
    },
    equipment: { name: 'boiler', fuseAmps: null }
  });

/** Boiler heat on RH, a separate air handler with its own transformer on RC; `commons` are conductors that carry a common. */
export const boilerPlusAcHouse = (commons: readonly string[] = []) =>
  house({
    strands: ['RD RH R', 'WH W W', 'BU RC R@2', 'YE Y Y@2', 'GN G G@2', ...commons],
    board: ['R', 'C', 'W'],
    observed: { 'conductor-build': 'thin' },
    stated: 'boiler-plus-ac',
    equipment: { name: 'boiler', kind: 'boiler' },
    further: [{ name: 'air handler', kind: 'air-handler', marks: ['R', 'C', 'Y', 'G'] }]
  });

/** Y and G on one conductor through an adapter of the old thermostat; the conductor that this freed is the common. */
export const oldAdapterHouse = (fifth: readonly string[] = []) =>
  house({
    strands: ['RD R R', 'WH W W', 'YE K K@2', 'GN C C', ...fifth],
    board: ['R', 'C', 'W', 'Y', 'G'],
    plate: ['R', 'C', 'W', 'K'],
    observed: { 'heat-from': 'registers', 'conductor-build': 'thin' },
    stated: 'furnace-ac',
    further: [
      { name: 'grey module', kind: 'old-adapter', marks: ['R', 'C', 'K', 'Y', 'G'], transformerVa: null }
    ]
  });

/** Two thick conductors in wire nuts. */
export const lineVoltageHouse = () =>
  house({
    strands: ['BK L1 unseen', 'RD LOAD unseen'],
    plate: ['L1', 'LOAD'],
    observed: { 'conductor-build': 'thick', 'heat-from': 'electric' }
  });

export const HOUSES = {
  furnaceWithSpare,
  furnaceWithCommon,
  furnaceFourWires,
  heatOnly,
  heatPumpHouse,
  heatPumpNoCommon,
  electricFurnaceHouse,
  boilerHouse,
  boilerPlusAcHouse: () => boilerPlusAcHouse(),
  oldAdapterHouse: () => oldAdapterHouse(),
  lineVoltageHouse
} as const;
