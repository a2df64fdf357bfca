/** The second demo house: four zones on one panel, all of them to be changed. Everybody and everything in it is invented. */
import * as v from 'valibot';
import { emptyEquipment, emptyThermostat } from '$core/job/create';
import { makeId, type ScrewId } from '$core/job/ids';
import {
  Job,
  JOB_FORMAT,
  JOB_VERSION,
  type Conductor,
  type Equipment,
  type Thermostat
} from '$core/job/schema';
import { screwIdFor, screwsFrom } from '$core/job/screws';
import { EMPTY_SURVEY } from '$core/job/survey-schema';
import { conductors, type Line } from './lines';

const panelId = makeId('equipment', 'zone-panel');
const FELLGATE = makeId('device', 'fellgate');

interface Zone {
  readonly id: string;
  readonly name: string;
  readonly cable: string;
  readonly lengthM: number;
  readonly path: 'free' | 'stapled' | 'unknown';
  readonly lines: readonly Line[];
  readonly outlet: Thermostat['outlet'];
  readonly method: Thermostat['choice']['method'];
  /** What its old plate has; R and W unless it has more. */
  readonly plate?: readonly string[];
  /** Its own W on the panel, where four of them stand in a row. */
  readonly call: ScrewId;
}

function onOwnScrew(conductor: Conductor, call: ScrewId): Conductor {
  const on = conductor.far.on.map((ref) => (ref.screw === screwIdFor('W') ? { ...ref, screw: call } : ref));
  return { ...conductor, far: { ...conductor.far, on } };
}

function zone(facts: Zone): Thermostat {
  const id = makeId('thermostat', facts.id);
  return {
    ...emptyThermostat(id, facts.name, [panelId]),
    screws: screwsFrom([...(facts.plate ?? ['R', 'W'])]),
    oldSupply: 'battery',
    cables: [
      {
        id: makeId('cable', facts.id),
        name: facts.cable,
        gauge: 18,
        lengthM: facts.lengthM,
        path: facts.path,
        insulation: 'sound',
        near: id,
        far: panelId
      }
    ],
    conductors: conductors(facts.id, id, panelId, facts.lines).map((conductor) =>
      onOwnScrew(conductor, facts.call)
    ),
    observed: {
      'conductor-build': 'thin',
      'heat-from': 'radiators',
      'radiator-kind': 'water',
      'outdoor-unit': 'none',
      'measured-volts': 27
    },
    outlet: facts.outlet,
    choice: { device: FELLGATE, method: facts.method, variant: null }
  };
}

const pair: readonly Line[] = [
  ['RD', 'R', 'R', 'proven'],
  ['WH', 'W', 'W', 'proven']
];

const ZONES: readonly Thermostat[] = [
  zone({
    id: 'landing',
    call: makeId('screw', 'w1'),
    name: 'Landing',
    cable: 'brown three-conductor cable',
    lengthM: 8,
    path: 'unknown',
    lines: [...pair, ['GN', 'coiled', 'coiled', 'proven']],
    outlet: 'none',
    method: 'spare-conductor'
  }),
  zone({
    id: 'kitchen',
    call: makeId('screw', 'w1-2'),
    name: 'Ferryman’s kitchen',
    cable: 'brown two-conductor cable',
    lengthM: 11,
    path: 'free',
    lines: pair,
    outlet: 'near',
    method: 'new-cable'
  }),
  zone({
    id: 'net-loft',
    call: makeId('screw', 'w1-3'),
    name: 'Net loft',
    plate: ['R', 'W', 'C'],
    cable: 'grey four-conductor cable',
    lengthM: 17,
    path: 'stapled',
    lines: [...pair, ['BU', 'C', 'loose', 'proven'], ['YE', 'coiled', 'coiled', 'untested']],
    outlet: 'unknown',
    method: 'spare-conductor'
  }),
  zone({
    id: 'boat-room',
    call: makeId('screw', 'w1-4'),
    name: 'Boat room',
    cable: 'white two-conductor cable',
    lengthM: 14,
    path: 'free',
    lines: pair,
    outlet: 'none',
    method: 'new-cable'
  })
];

const equipment: Equipment[] = [
  {
    ...emptyEquipment(panelId, 'Zone panel'),
    place: 'boiler room under the slipway',
    maker: 'Tarnwick',
    model: 'Weir 4',
    kind: 'zone-panel',
    breaker: '6, “boiler”',
    serviceSwitch: 'beside the boiler room door',
    screws: screwsFrom(['R', 'W', 'W', 'W', 'W', 'C']),
    transformerVa: 40,
    fuseAmps: 3
  }
];

/** Each of the four ways is sound by itself; together they ask for more than the panel's transformer gives. */
export const FERRY_HOUSE: Job = v.parse(Job, {
  format: JOB_FORMAT,
  version: JOB_VERSION,
  id: makeId('job', 'ferry-house'),
  name: 'The ferry house',
  place: 'Lower Staithe',
  note: 'For Ines Marlowe, who lets two of the rooms. Everything is to be done between two guests.',
  units: { length: 'm', temperature: 'C' },
  equipment,
  thermostats: [...ZONES],
  devices: [],
  survey: { ...EMPTY_SURVEY, oldOneWorks: 'yes', internet: 'works' }
});
