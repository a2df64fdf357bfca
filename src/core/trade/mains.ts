/**
 * Mains heating controls (230 V): the devices that meet in a wiring centre, what their screws do, the layouts that they make, and figures.
 * A screw is known by what it does and never by its number: the same number does another thing on another maker's plate.
 */
import * as v from 'valibot';

export const MAINS_PARTS = [
  'supply',
  'timer',
  'room-thermostat',
  'cylinder-thermostat',
  'two-port-valve',
  'mid-position-valve',
  'pump',
  'boiler',
  'frost-thermostat',
  'pipe-thermostat',
  'wiring-centre',
  'controller',
  'wall-part'
] as const;
export const MainsPart = v.picklist(MAINS_PARTS, `one of ${MAINS_PARTS.join(', ')}`);
export type MainsPart = v.InferOutput<typeof MainsPart>;

export const MAINS_PART_NAMES: Readonly<Record<MainsPart, string>> = {
  supply: 'fused spur',
  timer: 'timer',
  'room-thermostat': 'room thermostat',
  'cylinder-thermostat': 'cylinder thermostat',
  'two-port-valve': 'two-port valve',
  'mid-position-valve': 'mid-position valve',
  pump: 'pump',
  boiler: 'boiler',
  'frost-thermostat': 'frost thermostat',
  'pipe-thermostat': 'pipe thermostat',
  'wiring-centre': 'wiring centre',
  controller: 'controller',
  'wall-part': 'wall part of the controller'
};

/** What a screw does. `joint`: nothing inside leads to it, it only joins wires. `unknown`: nobody has read it. */
export const MAINS_FUNCTIONS = [
  'live',
  'neutral',
  'earth',
  'heating-on',
  'heating-off',
  'water-on',
  'water-off',
  'heating-common',
  'water-common',
  'in',
  'out',
  'common',
  'call',
  'satisfied',
  'motor',
  'switch-in',
  'switch-out',
  'white',
  'grey',
  'orange',
  'switched-live',
  'pump-live',
  'contact-a',
  'contact-b',
  'low-a',
  'low-b',
  'joint',
  'unknown'
] as const;
export const MainsFunction = v.picklist(MAINS_FUNCTIONS, `one of ${MAINS_FUNCTIONS.join(', ')}`);
export type MainsFunction = v.InferOutput<typeof MainsFunction>;

export const MAINS_FUNCTION_NAMES: Readonly<Record<MainsFunction, string>> = {
  live: 'live',
  neutral: 'neutral',
  earth: 'earth',
  'heating-on': 'heating on',
  'heating-off': 'heating off',
  'water-on': 'hot water on',
  'water-off': 'hot water off',
  'heating-common': 'heating contact, common',
  'water-common': 'hot-water contact, common',
  in: 'in',
  out: 'out',
  common: 'common',
  call: 'calls for heat',
  satisfied: 'satisfied',
  motor: 'motor (brown)',
  'switch-in': 'end switch in (grey)',
  'switch-out': 'end switch out (orange)',
  white: 'heating (white)',
  grey: 'close to hot water (grey)',
  orange: 'boiler and pump (orange)',
  'switched-live': 'switched live in',
  'pump-live': 'pump out',
  'contact-a': 'contact, one side',
  'contact-b': 'contact, other side',
  'low-a': 'low voltage, one side',
  'low-b': 'low voltage, other side',
  joint: 'joins wires only',
  unknown: 'not read yet'
};

/** What the screws of each part may do, in the order in which they are usually met; every part may have joints and unread screws too. */
export const FUNCTIONS_OF: Readonly<Record<MainsPart, readonly MainsFunction[]>> = {
  supply: ['live', 'neutral', 'earth'],
  timer: [
    'live',
    'neutral',
    'earth',
    'water-off',
    'heating-off',
    'water-on',
    'heating-on',
    'heating-common',
    'water-common'
  ],
  'room-thermostat': ['in', 'out', 'satisfied', 'neutral', 'earth'],
  'cylinder-thermostat': ['common', 'call', 'satisfied', 'earth'],
  'two-port-valve': ['motor', 'neutral', 'switch-in', 'switch-out', 'earth'],
  'mid-position-valve': ['white', 'grey', 'orange', 'neutral', 'earth'],
  pump: ['live', 'neutral', 'earth'],
  boiler: ['switched-live', 'neutral', 'earth', 'live', 'pump-live', 'contact-a', 'contact-b'],
  'frost-thermostat': ['in', 'out', 'earth'],
  'pipe-thermostat': ['in', 'out', 'earth'],
  'wiring-centre': ['joint'],
  controller: [
    'live',
    'neutral',
    'earth',
    'heating-on',
    'heating-off',
    'water-on',
    'water-off',
    'heating-common',
    'water-common',
    'low-a',
    'low-b'
  ],
  'wall-part': ['low-a', 'low-b', 'live', 'neutral']
};

/** What a freshly added device has, as usually met, with the print of each screw; the user changes what is otherwise. */
export const USUAL_SCREWS: Readonly<
  Record<MainsPart, readonly (readonly [mark: string, does: MainsFunction])[]>
> = {
  supply: [
    ['L', 'live'],
    ['N', 'neutral'],
    ['E', 'earth']
  ],
  timer: [
    ['L', 'live'],
    ['N', 'neutral'],
    ['E', 'earth'],
    ['1', 'water-off'],
    ['3', 'water-on'],
    ['4', 'heating-on']
  ],
  'room-thermostat': [
    ['1', 'in'],
    ['3', 'out'],
    ['E', 'earth']
  ],
  'cylinder-thermostat': [
    ['C', 'common'],
    ['1', 'call'],
    ['2', 'satisfied'],
    ['E', 'earth']
  ],
  'two-port-valve': [
    ['BROWN', 'motor'],
    ['BLUE', 'neutral'],
    ['GREY', 'switch-in'],
    ['ORANGE', 'switch-out'],
    ['E', 'earth']
  ],
  'mid-position-valve': [
    ['WHITE', 'white'],
    ['GREY', 'grey'],
    ['ORANGE', 'orange'],
    ['BLUE', 'neutral'],
    ['E', 'earth']
  ],
  pump: [
    ['L', 'live'],
    ['N', 'neutral'],
    ['E', 'earth']
  ],
  boiler: [
    ['SL', 'switched-live'],
    ['N', 'neutral'],
    ['E', 'earth']
  ],
  'frost-thermostat': [
    ['1', 'in'],
    ['2', 'out']
  ],
  'pipe-thermostat': [
    ['1', 'in'],
    ['2', 'out']
  ],
  'wiring-centre': Array.from({ length: 10 }, (_, at) => [`${at + 1}`, 'joint'] as const),
  controller: [],
  'wall-part': []
};

/** What a valve, a thermostat or a pump works for. */
export const SERVES = ['heating', 'water', 'unknown'] as const;
export const Serves = v.picklist(SERVES, 'heating, water or unknown');
export type Serves = v.InferOutput<typeof Serves>;

/** How a contact is made: fed from live inside, or free of any voltage. */
export const CONTACTS = ['linked', 'volt-free', 'unknown'] as const;
export const ContactKind = v.picklist(CONTACTS, 'linked, volt-free or unknown');
export type ContactKind = v.InferOutput<typeof ContactKind>;

/** What a boiler wants at its thermostat input. */
export const BOILER_INPUTS = ['switched-live', 'volt-free', 'low-voltage', 'unknown'] as const;
export const BoilerInput = v.picklist(BOILER_INPUTS, `one of ${BOILER_INPUTS.join(', ')}`);
export type BoilerInput = v.InferOutput<typeof BoilerInput>;

export const LAYOUTS = [
  'two-valve',
  'mid-position',
  'combination',
  'gravity-water',
  'heating-only',
  'unknown'
] as const;
export const Layout = v.picklist(LAYOUTS, `one of ${LAYOUTS.join(', ')}`);
export type Layout = v.InferOutput<typeof Layout>;

export const LAYOUT_NAMES: Readonly<Record<Layout, string>> = {
  'two-valve': 'two valves: one for heating, one for the cylinder',
  'mid-position': 'one mid-position valve for both',
  combination: 'combination boiler, no cylinder',
  'gravity-water': 'hot water by gravity, pumped heating',
  'heating-only': 'heating only',
  unknown: 'not known yet'
};

/** What a way replaces (`supply/mains/`). `keep`: nothing is changed. */
export const MAINS_METHODS = ['replace-both', 'replace-timer', 'single-channel', 'keep'] as const;
export const MainsMethod = v.picklist(MAINS_METHODS, `one of ${MAINS_METHODS.join(', ')}`);
export type MainsMethod = v.InferOutput<typeof MainsMethod>;

export const MAINS_METHOD_NAMES: Readonly<Record<MainsMethod, string>> = {
  'replace-both': 'Timer and room thermostat out, controller in',
  'replace-timer': 'Timer out, controller in; the room thermostat stays',
  'single-channel': 'Room thermostat out, one-channel controller in its place',
  keep: 'Leave the controls as they are'
};

/** Who does the work, as the user says for this job. `unsaid` counts as nobody competent. */
export const COMPETENCE = ['unsaid', 'licensed', 'competent', 'nobody'] as const;
export const Competence = v.picklist(COMPETENCE, `one of ${COMPETENCE.join(', ')}`);
export type Competence = v.InferOutput<typeof Competence>;

/** Rated volts of the supply. */
export const HOUSE_VOLTS = 230;
/** Earth-loop sized impedance of a house supply, ohm: it lets a short open the fuse of a spur. */
export const HOUSE_OHMS = 0.35;
/** The fuse of a heating spur, A. */
export const SPUR_FUSE_AMPS = 3;
/** What such a spur may give, VA. */
export const SPUR_VA = HOUSE_VOLTS * SPUR_FUSE_AMPS;
/** What each load draws, VA, by usual nameplates: valve motors 6, a pump 45 to 90, a boiler's controls and fan 60 to 120, a timer 3. */
export const MAINS_VA = {
  valve: 6,
  pump: 60,
  boiler: 90,
  timer: 3,
  controller: 3,
  anticipator: 0.4
} as const;
/** A 230 V actuator, relay or burner control is sure to work from here, and surely idle below; makers state 85 % for the former. */
export const MAINS_PULL_IN = 0.85 * HOUSE_VOLTS;
export const MAINS_DROP_OUT = 0.4 * HOUSE_VOLTS;
/** Copper of 0.75 mm² flex, ohm per metre. */
export const FLEX_OHMS_PER_M = 0.0245;
/** What a boiler's own low-voltage thermostat input is fed with, V and VA. */
export const BOILER_LOW = { volts: 24, va: 5 } as const;
/** The low-voltage output of a receiver for its wall part, V and VA. */
export const RECEIVER_LOW = { volts: 24, va: 6 } as const;
