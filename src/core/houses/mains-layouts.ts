/** Mains heating controls as the trade makes them, one sketch for each layout. */
import type { MainsSketch, UnitSketch } from './mains-builder';

export const supply: UnitSketch = { part: 'supply', fuseAmps: 3 };
export const neutralled: UnitSketch = {
  part: 'room-thermostat',
  screws: [
    ['1', 'in'],
    ['3', 'out'],
    ['4', 'neutral'],
    ['E', 'earth']
  ]
};

export const combinationBoiler: UnitSketch = {
  part: 'boiler',
  input: 'switched-live',
  combination: 'yes',
  screws: [
    ['L', 'live'],
    ['SL', 'switched-live'],
    ['N', 'neutral'],
    ['E', 'earth']
  ]
};

/** A combination boiler that wants a contact free of any voltage. */
export const voltFreeBoiler: UnitSketch = {
  part: 'boiler',
  input: 'volt-free',
  combination: 'yes',
  screws: [
    ['L', 'live'],
    ['N', 'neutral'],
    ['E', 'earth'],
    ['T1', 'contact-a'],
    ['T2', 'contact-b']
  ]
};

/** Two valves: joints as the trade makes them. */
export const TWO_VALVE: MainsSketch = {
  units: {
    spur: supply,
    timer: {
      part: 'timer',
      contacts: 'linked',
      screws: [
        ['L', 'live'],
        ['N', 'neutral'],
        ['E', 'earth'],
        ['3', 'water-on'],
        ['4', 'heating-on']
      ]
    },
    room: neutralled,
    cylinder: {
      part: 'cylinder-thermostat',
      screws: [
        ['C', 'common'],
        ['1', 'call'],
        ['E', 'earth']
      ]
    },
    'heating-valve': { part: 'two-port-valve', name: 'heating valve', serves: 'heating' },
    'water-valve': { part: 'two-port-valve', name: 'hot-water valve', serves: 'water' },
    pump: { part: 'pump' },
    boiler: { part: 'boiler', input: 'switched-live', combination: 'no' }
  },
  strip: {
    1: ['spur.live', 'timer.live', 'heating-valve.switch-in', 'water-valve.switch-in'],
    2: [
      'spur.neutral',
      'timer.neutral',
      'room.neutral',
      'heating-valve.neutral',
      'water-valve.neutral',
      'pump.neutral',
      'boiler.neutral'
    ],
    3: [
      'spur.earth',
      'timer.earth',
      'room.earth',
      'cylinder.earth',
      'heating-valve.earth',
      'water-valve.earth',
      'pump.earth',
      'boiler.earth'
    ],
    4: ['timer.heating-on', 'room.in'],
    5: ['room.out', 'heating-valve.motor'],
    6: ['timer.water-on', 'cylinder.common'],
    7: ['cylinder.call', 'water-valve.motor'],
    8: ['heating-valve.switch-out', 'water-valve.switch-out', 'pump.live', 'boiler.switched-live']
  }
};

export const MID_POSITION: MainsSketch = {
  units: {
    spur: supply,
    timer: { part: 'timer', contacts: 'linked' },
    room: neutralled,
    cylinder: { part: 'cylinder-thermostat' },
    valve: { part: 'mid-position-valve' },
    pump: { part: 'pump' },
    boiler: { part: 'boiler', input: 'switched-live', combination: 'no' }
  },
  strip: {
    1: ['spur.live', 'timer.live'],
    2: ['spur.neutral', 'timer.neutral', 'room.neutral', 'valve.neutral', 'pump.neutral', 'boiler.neutral'],
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

export const COMBINATION: MainsSketch = {
  units: {
    spur: supply,
    timer: {
      part: 'timer',
      contacts: 'linked',
      screws: [
        ['L', 'live'],
        ['N', 'neutral'],
        ['E', 'earth'],
        ['4', 'heating-on']
      ]
    },
    room: neutralled,
    boiler: combinationBoiler
  },
  strip: {
    1: ['spur.live', 'timer.live', 'boiler.live'],
    2: ['spur.neutral', 'timer.neutral', 'room.neutral', 'boiler.neutral'],
    3: ['spur.earth', 'timer.earth', 'room.earth', 'boiler.earth'],
    4: ['timer.heating-on', 'room.in'],
    5: ['room.out', 'boiler.switched-live']
  }
};

/** As above, and the boiler wants a contact free of any voltage: a timer that has one joins its two terminals. */
export const COMBINATION_VOLT_FREE: MainsSketch = {
  units: {
    spur: supply,
    timer: {
      part: 'timer',
      contacts: 'volt-free',
      screws: [
        ['L', 'live'],
        ['N', 'neutral'],
        ['E', 'earth'],
        ['COM', 'heating-common'],
        ['NO', 'heating-on']
      ]
    },
    boiler: voltFreeBoiler
  },
  strip: {
    1: ['spur.live', 'timer.live', 'boiler.live'],
    2: ['spur.neutral', 'timer.neutral', 'boiler.neutral'],
    3: ['spur.earth', 'timer.earth', 'boiler.earth'],
    4: ['timer.heating-common', 'boiler.contact-a'],
    5: ['timer.heating-on', 'boiler.contact-b']
  }
};

export const GRAVITY: MainsSketch = {
  units: {
    spur: supply,
    timer: {
      part: 'timer',
      contacts: 'linked',
      heatingBringsWater: 'yes',
      screws: [
        ['L', 'live'],
        ['N', 'neutral'],
        ['E', 'earth'],
        ['3', 'water-on'],
        ['4', 'heating-on']
      ]
    },
    room: neutralled,
    pump: { part: 'pump' },
    boiler: { part: 'boiler', input: 'switched-live', combination: 'no' }
  },
  strip: {
    1: ['spur.live', 'timer.live'],
    2: ['spur.neutral', 'timer.neutral', 'room.neutral', 'pump.neutral', 'boiler.neutral'],
    3: ['spur.earth', 'timer.earth', 'room.earth', 'pump.earth', 'boiler.earth'],
    4: ['timer.heating-on', 'room.in'],
    5: ['room.out', 'pump.live'],
    6: ['timer.water-on', 'boiler.switched-live']
  },
  observed: { 'tap-water': 'cylinder' }
};

export const HEATING_ONLY: MainsSketch = {
  units: {
    spur: supply,
    timer: {
      part: 'timer',
      contacts: 'linked',
      screws: [
        ['L', 'live'],
        ['N', 'neutral'],
        ['E', 'earth'],
        ['4', 'heating-on']
      ]
    },
    room: neutralled,
    pump: { part: 'pump' },
    boiler: { part: 'boiler', input: 'switched-live', combination: 'no' }
  },
  strip: {
    1: ['spur.live', 'timer.live'],
    2: ['spur.neutral', 'timer.neutral', 'room.neutral', 'pump.neutral', 'boiler.neutral'],
    3: ['spur.earth', 'timer.earth', 'room.earth', 'pump.earth', 'boiler.earth'],
    4: ['timer.heating-on', 'room.in'],
    5: ['room.out', 'pump.live', 'boiler.switched-live']
  },
  observed: { 'tap-water': 'other' }
};
