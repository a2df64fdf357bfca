/** The demo house: a village school turned into a home. Everybody and everything in it is invented. */
import * as v from 'valibot';
import { emptyEquipment, emptyThermostat, landedOn } from '$core/job/create';
import { makeId } from '$core/job/ids';
import { EMPTY_SURVEY } from '$core/job/survey-schema';
import { Job, JOB_FORMAT, JOB_VERSION, type Equipment, type Thermostat } from '$core/job/schema';
import { screwIdFor, screwsFrom } from '$core/job/screws';
import { conductors } from './lines';

const classroomId = makeId('thermostat', 'classroom');
const flatId = makeId('thermostat', 'flat');
const bellId = makeId('thermostat', 'bell-room');
const furnaceId = makeId('equipment', 'oil-furnace');
const handlerId = makeId('equipment', 'air-handler');
const heaterId = makeId('equipment', 'bell-heater');

/** Oil furnace, an air conditioner added in a later year, a fifth conductor left in the wall. White is hot here, and red is heat. */
const classroom: Thermostat = {
  ...emptyThermostat(classroomId, 'Former classroom', [furnaceId]),
  screws: screwsFrom(['RH', 'RC', 'W', 'Y', 'G']),
  oldSupply: 'none',
  cables: [
    {
      id: makeId('cable', 'classroom'),
      name: 'brown five-conductor cable',
      gauge: 18,
      lengthM: 15,
      path: 'unknown',
      insulation: 'sound',
      near: classroomId,
      far: furnaceId
    }
  ],
  conductors: conductors('classroom', classroomId, furnaceId, [
    ['WH', 'RH', 'R'],
    ['RD', 'W', 'W'],
    ['BU', 'Y', 'Y'],
    ['YE', 'G', 'G'],
    ['GN', 'coiled', 'coiled']
  ]),
  links: [
    {
      id: makeId('link', 'classroom-1'),
      at: classroomId,
      a: landedOn(classroomId, 'RH').on[0]!,
      b: landedOn(classroomId, 'RC').on[0]!,
      kind: 'wire'
    }
  ],
  observed: { 'conductor-build': 'thin', 'heat-from': 'registers', 'outdoor-unit': 'rests', flue: 'burner' },
  outlet: 'near',
  choice: { device: makeId('device', 'fellgate'), method: null, variant: null },
  face: {
    outlineWidthMm: 145,
    outlineHeightMm: 95,
    box: 'none',
    holes: 'screws',
    paint: 'other',
    hides: 'a ring of older green paint',
    finish: 'plate'
  },
  signal: [-61, -64, -60].map((dbm, index) => ({
    dbm,
    at: `2026-01-1${index}T17:00:00.000Z`,
    source: 'typed' as const
  })),
  path: {
    stretches: [
      { name: 'down inside the wall', lengthM: 2.5, held: 'free' },
      { name: 'under the floor of the classroom', lengthM: 9, held: 'unknown' },
      { name: 'to the coal door', lengthM: 3, held: 'free' }
    ],
    more: 2
  }
};

/** Heat pump with strips, a cable of eight with its common landed. */
const flat: Thermostat = {
  ...emptyThermostat(flatId, 'Teacher’s flat', [handlerId]),
  screws: screwsFrom(['R', 'C', 'Y', 'G', 'O', 'AUX', 'E']),
  oldSupply: 'battery',
  cables: [
    {
      id: makeId('cable', 'flat'),
      name: 'white eight-conductor cable',
      gauge: 18,
      lengthM: 9,
      path: 'free',
      insulation: 'sound',
      near: flatId,
      far: handlerId
    }
  ],
  conductors: conductors('flat', flatId, handlerId, [
    ['RD', 'R', 'R'],
    ['BU', 'C', 'C'],
    ['YE', 'Y', 'Y'],
    ['GN', 'G', 'G'],
    ['OG', 'O', 'O'],
    ['WH', 'AUX', 'W2'],
    ['BN', 'coiled', 'coiled'],
    ['BK', 'coiled', 'unseen']
  ]),
  observed: {
    'conductor-build': 'thin',
    'heat-from': 'registers',
    'outdoor-unit': 'runs',
    breakers: 'large'
  },
  outlet: 'unknown',
  choice: { device: makeId('device', 'onebar'), method: null, variant: null }
};

/** Two thick conductors in a deep box: mains, and a stop. */
const bellRoom: Thermostat = {
  ...emptyThermostat(bellId, 'Bell room', [heaterId]),
  screws: screwsFrom(['L1', 'LOAD']),
  oldSupply: 'none',
  cables: [
    {
      id: makeId('cable', 'bell-room'),
      name: 'grey two-conductor cable',
      gauge: null,
      lengthM: null,
      path: 'stapled',
      insulation: 'sound',
      near: bellId,
      far: heaterId
    }
  ],
  conductors: conductors('bell-room', bellId, heaterId, [
    ['BK', 'L1', 'unseen'],
    ['RD', 'LOAD', 'unseen']
  ]),
  observed: { 'conductor-build': 'thick', 'heat-from': 'electric' },
  outlet: 'none'
};

const equipment: Equipment[] = [
  {
    ...emptyEquipment(furnaceId, 'Oil furnace'),
    place: 'cellar, behind the coal door',
    maker: 'Brackenhurst',
    model: 'Hearth 85',
    serial: 'BH85-00417',
    kind: 'furnace',
    fuel: 'oil',
    heatStages: 1,
    breaker: '11, “cellar heat”',
    serviceSwitch: 'red plate at the head of the cellar stair',
    screws: screwsFrom(['R', 'C', 'W', 'Y', 'G']),
    transformerVa: 40,
    fuseAmps: 3,
    others: [
      { screw: screwIdFor('Y'), what: 'outdoor unit', kind: 'outdoor-unit' },
      { screw: screwIdFor('C'), what: 'outdoor unit', kind: 'outdoor-unit' }
    ],
    accessories: [{ kind: 'humidifier', ownRelay: 'unknown', note: '' }]
  },
  {
    ...emptyEquipment(handlerId, 'Air handler'),
    place: 'loft over the flat',
    maker: 'Lindenfold',
    model: 'Draught 3',
    kind: 'air-handler',
    fuel: 'electricity',
    breaker: '14 and 16',
    screws: screwsFrom(['R', 'C', 'Y', 'G', 'O', 'W2', 'E']),
    transformerVa: 40,
    fuseAmps: 5
  },
  { ...emptyEquipment(heaterId, 'Baseboard heater'), place: 'bell room' }
];

export const SCHOOLHOUSE: Job = v.parse(Job, {
  format: JOB_FORMAT,
  version: JOB_VERSION,
  id: makeId('job', 'schoolhouse'),
  name: 'The old schoolhouse',
  place: 'Quarrendon Hollow',
  note: 'For Maren Oldcastle, who teaches no longer and lives here all year. The cellar key hangs behind the bell rope.',
  units: { length: 'm', temperature: 'C' },
  equipment,
  thermostats: [classroom, flat, bellRoom],
  devices: [],
  survey: {
    ...EMPTY_SURVEY,
    building: {
      ...EMPTY_SURVEY.building,
      floorAreaM2: 210,
      storeys: 2,
      ceilingM: 3.2,
      insulation: 'poor',
      draughts: 'usual',
      build: 'heavy',
      heatingKw: 30,
      efficiency: 0.82,
      pricePerKwh: 0.11
    },
    habits: { ...EMPTY_SURVEY.habits, home: 'irregular', setsBackToday: 'no' },
    workDay: '2026-10-17',
    oldOneWorks: 'yes',
    internet: 'works',
    frail: 'no',
    pipesCanFreeze: 'yes',
    rebate: 40
  }
});
