/** Houses with mains heating controls: one for each layout, and what the trade meets besides. */
import type { MainsControls } from '../job/mains-schema';
import type { Layout } from '../trade/mains';
import { mainsOf, type MainsSketch, type UnitSketch } from './mains-builder';
import {
  supply,
  neutralled,
  combinationBoiler,
  voltFreeBoiler,
  TWO_VALVE,
  MID_POSITION,
  COMBINATION,
  COMBINATION_VOLT_FREE,
  GRAVITY,
  HEATING_ONLY
} from './mains-layouts';

function with_(
  base: MainsSketch,
  units: MainsSketch['units'],
  strip: MainsSketch['strip'],
  more: Partial<MainsSketch> = {}
): MainsSketch {
  return { ...base, ...more, units: { ...base.units, ...units }, strip: { ...base.strip, ...strip } };
}

const plus = (base: MainsSketch, number: number, ...refs: string[]) => [
  ...(base.strip[number] ?? []),
  ...refs
];

/** Pump overrun: the boiler has a permanent live and feeds the pump itself. */
const overrun: UnitSketch = {
  part: 'boiler',
  input: 'switched-live',
  combination: 'no',
  screws: [
    ['L', 'live'],
    ['SL', 'switched-live'],
    ['N', 'neutral'],
    ['E', 'earth'],
    ['PL', 'pump-live']
  ]
};

export const TWO_VALVE_OVERRUN = with_(
  TWO_VALVE,
  { boiler: overrun },
  {
    1: plus(TWO_VALVE, 1, 'boiler.live'),
    8: ['heating-valve.switch-out', 'water-valve.switch-out', 'boiler.switched-live'],
    9: ['boiler.pump-live', 'pump.live']
  }
);

export const MID_POSITION_OVERRUN = with_(
  MID_POSITION,
  { boiler: overrun },
  {
    1: plus(MID_POSITION, 1, 'boiler.live'),
    8: ['cylinder.call', 'valve.orange', 'boiler.switched-live'],
    9: ['boiler.pump-live', 'pump.live']
  }
);

export const TWO_VALVE_FROST = with_(
  TWO_VALVE,
  {
    frost: { part: 'frost-thermostat' },
    pipe: { part: 'pipe-thermostat' }
  },
  {
    1: plus(TWO_VALVE, 1, 'frost.in'),
    5: plus(TWO_VALVE, 5, 'pipe.out'),
    9: ['frost.out', 'pipe.in']
  }
);

/** Two heating zones, each with a valve and a room thermostat, on one channel of the timer. */
export const TWO_ZONES = with_(
  TWO_VALVE,
  {
    upstairs: { ...neutralled, name: 'room thermostat upstairs' },
    'upstairs-valve': { part: 'two-port-valve', name: 'upstairs valve', serves: 'heating' }
  },
  {
    1: plus(TWO_VALVE, 1, 'upstairs-valve.switch-in'),
    2: plus(TWO_VALVE, 2, 'upstairs.neutral', 'upstairs-valve.neutral'),
    3: plus(TWO_VALVE, 3, 'upstairs.earth', 'upstairs-valve.earth'),
    4: plus(TWO_VALVE, 4, 'upstairs.in'),
    8: plus(TWO_VALVE, 8, 'upstairs-valve.switch-out'),
    9: ['upstairs.out', 'upstairs-valve.motor']
  }
);

/** No room thermostat: the timer's heating goes straight to the valve. */
export const NO_ROOM_THERMOSTAT: MainsSketch = {
  ...TWO_VALVE,
  units: Object.fromEntries(Object.entries(TWO_VALVE.units).filter(([name]) => name !== 'room')),
  strip: Object.fromEntries(
    Object.entries({ ...TWO_VALVE.strip, 4: ['timer.heating-on', 'heating-valve.motor'], 5: [] }).map(
      ([number, refs]) => [number, refs.filter((ref) => !ref.startsWith('room.'))]
    )
  )
};

/** Spare terminals of the timer's plate join wires of the room thermostat and the valve. */
export const JOINED_AT_TIMER = with_(
  TWO_VALVE,
  {
    timer: {
      part: 'timer',
      contacts: 'linked',
      screws: [
        ['L', 'live'],
        ['N', 'neutral'],
        ['E', 'earth'],
        ['1', 'joint'],
        ['3', 'water-on'],
        ['4', 'heating-on']
      ]
    }
  },
  {
    5: ['room.out', 'timer.joint'],
    9: ['heating-valve.motor', 'timer.joint']
  }
);

/** As above with two spare screws and a link between them. */
export const LINKED_AT_TIMER = with_(
  JOINED_AT_TIMER,
  {
    timer: {
      part: 'timer',
      contacts: 'linked',
      screws: [
        ['L', 'live'],
        ['N', 'neutral'],
        ['E', 'earth'],
        ['1', 'joint'],
        ['2', 'joint'],
        ['3', 'water-on'],
        ['4', 'heating-on']
      ]
    }
  },
  { 5: ['room.out', 'timer.1'], 9: ['heating-valve.motor', 'timer.2'] },
  { links: [['timer', '1', '2']] }
);

/** The grey wire of the mid-position valve is driven by the cylinder thermostat alone: hot water off does nothing. */
export const GREY_NOT_DRIVEN: MainsSketch = {
  ...MID_POSITION,
  strip: { ...MID_POSITION.strip, 7: ['cylinder.satisfied', 'valve.grey'], 9: ['timer.water-off'] }
};

/** No timer: the room thermostat alone starts boiler and pump. */
export const NO_TIMER: MainsSketch = {
  units: {
    spur: supply,
    room: neutralled,
    pump: { part: 'pump' },
    boiler: { part: 'boiler', input: 'switched-live', combination: 'no' }
  },
  strip: {
    1: ['spur.live', 'room.in'],
    2: ['spur.neutral', 'room.neutral', 'pump.neutral', 'boiler.neutral'],
    3: ['spur.earth', 'room.earth', 'pump.earth', 'boiler.earth'],
    5: ['room.out', 'pump.live', 'boiler.switched-live']
  },
  observed: { 'tap-water': 'other', 'heating-without-water': 'no-water' }
};

/** A combination boiler whose contact, free of voltage, is closed by the room thermostat. */
export const ROOM_ON_CONTACT: MainsSketch = {
  units: {
    spur: supply,
    room: {
      part: 'room-thermostat',
      screws: [
        ['A', 'in'],
        ['B', 'out']
      ]
    },
    boiler: voltFreeBoiler
  },
  strip: {
    1: ['spur.live', 'boiler.live'],
    2: ['spur.neutral', 'boiler.neutral'],
    3: ['spur.earth', 'boiler.earth'],
    4: ['boiler.contact-a', 'room.in'],
    5: ['room.out', 'boiler.contact-b']
  }
};

/** A combination boiler and its room thermostat with a cable between them, and no wiring centre. */
export const ROOM_AT_BOILER: MainsSketch = {
  units: { spur: supply, room: neutralled, boiler: combinationBoiler },
  strip: {},
  straight: [
    ['spur.live', 'boiler.live'],
    ['room.in', 'boiler.live'],
    ['room.out', 'boiler.switched-live'],
    ['spur.neutral', 'boiler.neutral'],
    ['room.neutral', 'boiler.neutral'],
    ['spur.earth', 'boiler.earth'],
    ['room.earth', 'boiler.earth']
  ]
};

/** As above, and the thermostat closes a contact of the boiler that is free of voltage. */
export const CONTACT_AT_BOILER: MainsSketch = {
  units: ROOM_ON_CONTACT.units,
  strip: {},
  straight: [
    ['spur.live', 'boiler.live'],
    ['spur.neutral', 'boiler.neutral'],
    ['spur.earth', 'boiler.earth'],
    ['room.in', 'boiler.contact-a'],
    ['room.out', 'boiler.contact-b']
  ]
};

export const MAINS_SKETCHES = {
  'two-valve': TWO_VALVE,
  'mid-position': MID_POSITION,
  combination: COMBINATION,
  'combination-volt-free': COMBINATION_VOLT_FREE,
  gravity: GRAVITY,
  'heating-only': HEATING_ONLY,
  'two-valve-overrun': TWO_VALVE_OVERRUN,
  'mid-position-overrun': MID_POSITION_OVERRUN,
  'two-valve-frost': TWO_VALVE_FROST,
  'two-zones': TWO_ZONES,
  'no-room-thermostat': NO_ROOM_THERMOSTAT,
  'joined-at-timer': JOINED_AT_TIMER,
  'linked-at-timer': LINKED_AT_TIMER,
  'grey-not-driven': GREY_NOT_DRIVEN,
  'no-timer': NO_TIMER,
  'room-on-contact': ROOM_ON_CONTACT,
  'room-at-boiler': ROOM_AT_BOILER,
  'contact-at-boiler': CONTACT_AT_BOILER
} as const satisfies Readonly<Record<string, MainsSketch>>;
export type MainsHouse = keyof typeof MAINS_SKETCHES;

/** What each of them is, said here and not worked out. */
export const MAINS_LAYOUT_OF: Readonly<Record<MainsHouse, Layout>> = {
  'two-valve': 'two-valve',
  'mid-position': 'mid-position',
  combination: 'combination',
  'combination-volt-free': 'combination',
  gravity: 'gravity-water',
  'heating-only': 'heating-only',
  'two-valve-overrun': 'two-valve',
  'mid-position-overrun': 'mid-position',
  'two-valve-frost': 'two-valve',
  'two-zones': 'two-valve',
  'no-room-thermostat': 'two-valve',
  'joined-at-timer': 'two-valve',
  'linked-at-timer': 'two-valve',
  'grey-not-driven': 'mid-position',
  'no-timer': 'heating-only',
  'room-on-contact': 'combination',
  'room-at-boiler': 'combination',
  'contact-at-boiler': 'combination'
};

export function mainsHouse(name: MainsHouse): MainsControls {
  return mainsOf(MAINS_SKETCHES[name]);
}
