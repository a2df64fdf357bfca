/**
 * What tells the layouts apart. Read from the record, or asked of somebody who stands before the cylinder with every cover on. Chances of each
 * answer in each layout are estimates of the trade, not a survey.
 */
import type { Effort } from '../../belief/bayes';
import { mainsUnits } from '../../devices/mains/screws';
import type { MainsControls } from '../../job/mains-schema';
import type { Layout, MainsFunction, MainsPart } from '../../trade/mains';
import type { Wiring } from '../../wiring/graph';
import { joinedIn } from '../../wiring/joined';

export type KnownLayout = Exclude<Layout, 'unknown'>;
export const KNOWN_LAYOUTS: readonly KnownLayout[] = [
  'two-valve',
  'mid-position',
  'combination',
  'gravity-water',
  'heating-only'
];

/** How often each is met where such controls are (estimate). */
export const LAYOUT_PRIOR: Readonly<Record<Layout, number>> = {
  'two-valve': 0.28,
  'mid-position': 0.27,
  combination: 0.3,
  'gravity-water': 0.06,
  'heating-only': 0.06,
  unknown: 0.03
};

/** What is asked, as plain data. */
export interface LayoutQuestion {
  readonly id: string;
  readonly ask: string;
  /** How to find out, with the covers on where it can be. */
  readonly how: string;
  readonly effort: Effort;
  readonly values: readonly { readonly value: string; readonly label: string; readonly sentence: string }[];
}

export interface LayoutEvidence extends LayoutQuestion {
  readonly likelihood: Readonly<Record<KnownLayout, readonly number[]>>;
  /** The answer that the recorded devices and wires give; absent for what only a person can see. */
  read?(mains: MainsControls, wiring: Wiring): { value: string; because: readonly string[] } | null;
}

const value = (id: string, label: string, sentence: string) => ({ value: id, label, sentence });

function countOf(mains: MainsControls, part: MainsPart): number {
  return mains.devices.filter((device) => device.part === part).length;
}

/** The ids of the units of a part whose screw for this has a wire or a joint on it. */
function usedScrews(wiring: Wiring, part: MainsPart, does: MainsFunction): string[] {
  const joined = joinedIn(wiring);
  return mainsUnits(wiring)
    .filter((unit) => unit.part === part)
    .flatMap((unit) => unit.screws)
    .filter((screw) => screw.means[0] === does && joined.with(screw.id).length > 1)
    .map((screw) => screw.id);
}

/** Every screw of it is known and some wire of it is written down: one that has none is not used. */
function isTimerRead({ id, screws }: MainsControls['devices'][number], { wires }: MainsControls): boolean {
  const isOnIt = ({ near, far }: MainsControls['wires'][number]) =>
    near.on?.device === id || far.on?.device === id;
  return screws.every(({ does }) => does !== 'unknown') && wires.some(isOnIt);
}

/** A wiring centre whose devices are all written down says that what is not there is not there; a record that has begun does not. */
export function isComplete(mains: MainsControls): boolean {
  return mains.observed['devices-complete'] === 'yes';
}

const valves: LayoutEvidence = {
  id: 'valves',
  ask: 'Which motorised valves are there?',
  how: 'Follow the pipes near the cylinder or the boiler: a valve is a brass body with a box of about a fist on it and a cable. Count the pipes that meet in its body.',
  effort: 'look',
  values: [
    value(
      'two-port',
      'Two or more, each with two pipes',
      'Valves with two pipes each: every way has its own.'
    ),
    value('three-port', 'One, with three pipes', 'A valve with three pipes serves heating and hot water.'),
    value('one-two-port', 'One only, with two pipes', 'A single valve with two pipes.'),
    value('none', 'None that I can find', 'No motorised valve was found.')
  ],
  likelihood: {
    'two-valve': [0.93, 0.01, 0.04, 0.02],
    'mid-position': [0.01, 0.95, 0.01, 0.03],
    combination: [0.05, 0.005, 0.12, 0.825],
    'gravity-water': [0.02, 0.01, 0.17, 0.8],
    'heating-only': [0.15, 0.01, 0.24, 0.6]
  },
  read: (mains) => {
    const [two, three] = [countOf(mains, 'two-port-valve'), countOf(mains, 'mid-position-valve')];
    const because = mains.devices
      .filter(({ part }) => part === 'two-port-valve' || part === 'mid-position-valve')
      .map(({ id }) => id as string);
    if (three > 0) return { value: 'three-port', because };
    if (two > 1) return { value: 'two-port', because };
    if (two === 1 && isComplete(mains)) return { value: 'one-two-port', because };
    return two === 0 && isComplete(mains) ? { value: 'none', because: ['devices-complete'] } : null;
  }
};

const tapWater: LayoutEvidence = {
  id: 'tap-water',
  ask: 'Where does the hot water at the taps come from?',
  how: 'Open a hot tap with the heating off. A combination boiler starts at once by itself; a cylinder is a tank of a metre or more, often in a cupboard.',
  effort: 'look',
  values: [
    value('boiler', 'The boiler starts when a tap is opened', 'The boiler makes hot water at the tap.'),
    value('cylinder', 'A cylinder that the boiler heats', 'A cylinder is heated by the boiler.'),
    value('other', 'Something else, such as an electric heater', 'Hot water does not come from this boiler.')
  ],
  likelihood: {
    'two-valve': [0.02, 0.96, 0.02],
    'mid-position': [0.01, 0.97, 0.02],
    combination: [0.97, 0.02, 0.01],
    'gravity-water': [0.01, 0.96, 0.03],
    'heating-only': [0.05, 0.05, 0.9]
  },
  read: (mains) => {
    const cylinder = mains.devices.find(({ part }) => part === 'cylinder-thermostat');
    return cylinder ? { value: 'cylinder', because: [cylinder.id] } : null;
  }
};

const boilerKind: LayoutEvidence = {
  id: 'boiler-kind',
  ask: 'What does the boiler’s plate or front say it is?',
  how: 'A combination boiler says so on its front, its plate or its manual, and has five pipes of water and gas below; others have three.',
  effort: 'look',
  values: [
    value('combination', 'A combination boiler', 'The boiler is of the combination kind.'),
    value('other', 'Any other boiler', 'The boiler is not of the combination kind.')
  ],
  likelihood: {
    'two-valve': [0.05, 0.95],
    'mid-position': [0.02, 0.98],
    combination: [0.98, 0.02],
    'gravity-water': [0.005, 0.995],
    'heating-only': [0.05, 0.95]
  },
  read: (mains) => {
    const boiler = mains.devices.find(
      ({ part, combination }) => part === 'boiler' && combination !== 'unknown'
    );
    if (!boiler) return null;
    return { value: boiler.combination === 'yes' ? 'combination' : 'other', because: [boiler.id] };
  }
};

const cylinderThermostat: LayoutEvidence = {
  id: 'cylinder-thermostat',
  ask: 'Is a thermostat strapped to the side of the cylinder?',
  how: 'A small box with a dial, about a third of the way up, held by a band or a spring, with a cable of its own.',
  effort: 'look',
  values: [
    value('yes', 'Yes', 'The cylinder has a thermostat.'),
    value('no', 'No, or there is no cylinder', 'No cylinder thermostat.')
  ],
  likelihood: {
    'two-valve': [0.97, 0.03],
    'mid-position': [0.97, 0.03],
    combination: [0.01, 0.99],
    'gravity-water': [0.2, 0.8],
    'heating-only': [0.02, 0.98]
  },
  read: (mains) => {
    const found = mains.devices.filter(({ part }) => part === 'cylinder-thermostat');
    if (found.length > 0) return { value: 'yes', because: found.map(({ id }) => id) };
    return isComplete(mains) ? { value: 'no', because: ['devices-complete'] } : null;
  }
};

const heatingWithoutWater: LayoutEvidence = {
  id: 'heating-without-water',
  ask: 'Can the timer have heating on and hot water off?',
  how: 'Try it on the front of the timer: switch hot water off and heating on. On a timer for gravity hot water the two slides move together.',
  effort: 'look',
  values: [
    value('yes', 'Yes', 'Heating can be on without hot water.'),
    value('no', 'No, heating brings hot water with it', 'Heating cannot be on without hot water.'),
    value('no-water', 'It has heating only', 'The timer has no hot water.')
  ],
  likelihood: {
    'two-valve': [0.92, 0.04, 0.04],
    'mid-position': [0.95, 0.03, 0.02],
    combination: [0.13, 0.02, 0.85],
    'gravity-water': [0.06, 0.93, 0.01],
    'heating-only': [0.1, 0.02, 0.88]
  },
  read: (mains, wiring) => {
    const timer = mains.devices.find(({ part }) => part === 'timer');
    if (timer?.heatingBringsWater === 'yes') return { value: 'no', because: [timer.id] };
    const water = [...usedScrews(wiring, 'timer', 'water-on')];
    if (timer && isComplete(mains) && water.length === 0 && isTimerRead(timer, mains))
      return { value: 'no-water', because: [timer.id] };
    return timer?.heatingBringsWater === 'no' && water.length > 0
      ? { value: 'yes', because: [timer.id] }
      : null;
  }
};

const waterOff: LayoutEvidence = {
  id: 'water-off-wire',
  ask: 'Is a wire on the timer’s screw for hot water off?',
  how: 'Read from the record of the timer’s screws.',
  effort: 'meter',
  values: [
    value('yes', 'Yes', 'The timer’s hot-water-off screw is used.'),
    value('no', 'No', 'The timer’s hot-water-off screw is not used.')
  ],
  likelihood: {
    'two-valve': [0.03, 0.97],
    'mid-position': [0.93, 0.07],
    combination: [0.01, 0.99],
    'gravity-water': [0.02, 0.98],
    'heating-only': [0.01, 0.99]
  },
  read: (mains, wiring) => {
    const used = usedScrews(wiring, 'timer', 'water-off');
    if (used.length > 0) return { value: 'yes', because: used };
    const timer = mains.devices.find(({ part }) => part === 'timer');
    return timer && isTimerRead(timer, mains) && isComplete(mains)
      ? { value: 'no', because: [timer.id] }
      : null;
  }
};

const warmWhenWater: LayoutEvidence = {
  id: 'warm-with-water-only',
  ask: 'With hot water on and heating off: what gets warm?',
  how: 'Wait ten minutes with the timer so, then feel the pipe to the cylinder and the nearest radiator. Nothing has to be opened.',
  effort: 'climb',
  values: [
    value('cylinder', 'The cylinder only', 'With hot water alone only the cylinder gets warm.'),
    value('both', 'Cylinder and radiators', 'With hot water alone the radiators get warm as well.'),
    value('nothing', 'Nothing, or it has no such setting', 'Nothing gets warm with hot water alone.')
  ],
  likelihood: {
    'two-valve': [0.94, 0.03, 0.03],
    'mid-position': [0.92, 0.05, 0.03],
    combination: [0.02, 0.01, 0.97],
    'gravity-water': [0.84, 0.1, 0.06],
    'heating-only': [0.01, 0.02, 0.97]
  }
};

export function questionOf({ id, ask, how, effort, values }: LayoutEvidence): LayoutQuestion {
  return { id, ask, how, effort, values };
}

export const LAYOUT_EVIDENCE: readonly LayoutEvidence[] = [
  valves,
  tapWater,
  boilerKind,
  cylinderThermostat,
  heatingWithoutWater,
  waterOff,
  warmWhenWater
];
