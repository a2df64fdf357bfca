/** A made-up house with mains heating controls: two valves in the house itself, a mid-position valve in the annexe behind it. */
import { emptyThermostat, newJob } from '$core/job/create';
import { makeId } from '$core/job/ids';
import type { Job } from '$core/job/schema';
import { mainsOf, type MainsSketch } from '$core/houses/mains-builder';

const HOUSE: MainsSketch = {
  units: {
    spur: { part: 'supply', name: 'fused spur', place: 'airing cupboard', fuseAmps: 3 },
    timer: {
      part: 'timer',
      name: 'timer',
      place: 'kitchen',
      contacts: 'linked',
      heatingBringsWater: 'no',
      screws: [
        ['L', 'live'],
        ['N', 'neutral'],
        ['E', 'earth'],
        ['2', 'joint'],
        ['3', 'water-on'],
        ['4', 'heating-on']
      ]
    },
    hall: {
      part: 'room-thermostat',
      name: 'hall thermostat',
      place: 'hall',
      serves: 'heating',
      screws: [
        ['1', 'in'],
        ['3', 'out'],
        ['4', 'neutral'],
        ['E', 'earth']
      ]
    },
    cylinder: {
      part: 'cylinder-thermostat',
      name: 'cylinder thermostat',
      place: 'airing cupboard',
      serves: 'water',
      screws: [
        ['C', 'common'],
        ['1', 'call'],
        ['E', 'earth']
      ]
    },
    'heating-valve': {
      part: 'two-port-valve',
      name: 'heating valve',
      place: 'airing cupboard',
      serves: 'heating'
    },
    'water-valve': {
      part: 'two-port-valve',
      name: 'hot-water valve',
      place: 'airing cupboard',
      serves: 'water'
    },
    pump: { part: 'pump', name: 'pump', place: 'airing cupboard' },
    boiler: {
      part: 'boiler',
      name: 'boiler',
      place: 'utility room',
      input: 'switched-live',
      combination: 'no',
      screws: [
        ['L', 'live'],
        ['SL', 'switched-live'],
        ['N', 'neutral'],
        ['E', 'earth']
      ]
    }
  },
  strip: {
    1: ['spur.live', 'timer.live', 'heating-valve.switch-in', 'water-valve.switch-in', 'boiler.live'],
    2: [
      'spur.neutral',
      'timer.neutral',
      'hall.neutral',
      'heating-valve.neutral',
      'water-valve.neutral',
      'pump.neutral',
      'boiler.neutral'
    ],
    3: [
      'spur.earth',
      'timer.earth',
      'hall.earth',
      'cylinder.earth',
      'heating-valve.earth',
      'water-valve.earth',
      'pump.earth',
      'boiler.earth'
    ],
    4: ['timer.heating-on', 'hall.in'],
    5: ['hall.out', 'timer.joint'],
    6: ['timer.water-on', 'cylinder.common'],
    7: ['cylinder.call', 'water-valve.motor'],
    8: ['heating-valve.switch-out', 'water-valve.switch-out', 'pump.live', 'boiler.switched-live'],
    9: ['heating-valve.motor', 'timer.joint']
  }
};

const ANNEXE: MainsSketch = {
  units: {
    spur: { part: 'supply', name: 'fused spur', place: 'annexe cupboard', fuseAmps: 3 },
    timer: {
      part: 'timer',
      name: 'timer',
      place: 'annexe kitchen',
      contacts: 'linked',
      heatingBringsWater: 'no'
    },
    room: {
      part: 'room-thermostat',
      name: 'annexe thermostat',
      place: 'annexe sitting room',
      serves: 'heating',
      screws: [
        ['1', 'in'],
        ['3', 'out'],
        ['E', 'earth']
      ]
    },
    cylinder: {
      part: 'cylinder-thermostat',
      name: 'cylinder thermostat',
      place: 'annexe cupboard',
      serves: 'water'
    },
    valve: { part: 'mid-position-valve', name: 'mid-position valve', place: 'annexe cupboard' },
    pump: { part: 'pump', name: 'pump', place: 'annexe cupboard' },
    boiler: {
      part: 'boiler',
      name: 'boiler',
      place: 'lean-to',
      input: 'switched-live',
      combination: 'no'
    }
  },
  strip: {
    1: ['spur.live', 'timer.live'],
    2: ['spur.neutral', 'timer.neutral', 'valve.neutral', 'pump.neutral', 'boiler.neutral'],
    3: [
      'spur.earth',
      'timer.earth',
      'room.earth',
      'cylinder.earth',
      'valve.earth',
      'pump.earth',
      'boiler.earth'
    ],
    4: ['timer.heating-on', 'room.in'],
    5: ['room.out', 'valve.white'],
    6: ['timer.water-on', 'cylinder.common'],
    7: ['cylinder.satisfied', 'valve.grey', 'timer.water-off'],
    8: ['cylinder.call', 'valve.orange', 'pump.live', 'boiler.switched-live']
  }
};

/** What anybody can see from the room: it is mains, and a timer belongs to it. */
const SEEN = { programmer: 'programmer', 'heat-from': 'radiators', 'conductor-build': 'thick' } as const;

export function quarryRow(): Job {
  const house = emptyThermostat(makeId('thermostat', 'quarry-house'), 'House', []);
  const annexe = emptyThermostat(makeId('thermostat', 'quarry-annexe'), 'Annexe', []);
  return {
    ...newJob(makeId('job', 'quarry-row'), 'Quarry Row'),
    place: 'the last house before the quarry',
    equipment: [],
    thermostats: [
      { ...house, observed: { ...SEEN }, statedFamily: 'mains-hydronic', mains: mainsOf(HOUSE) },
      { ...annexe, observed: { ...SEEN }, statedFamily: 'mains-hydronic', mains: mainsOf(ANNEXE) }
    ]
  };
}
