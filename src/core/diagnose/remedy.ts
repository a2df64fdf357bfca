/**
 * What puts a cause right. For a fault of the hands that is the way back from the faulted graph to the sound one: a move list like any other,
 * and the circuit that it leads to is solved already, as the first row of the fault table. For others it is a thing to do, or somebody to call.
 */
import { netlistOf } from '../circuit/netlist';
import { movesBetween } from '../plan/moves';
import type { Move } from '../plan/move-types';
import type { CauseBelief, Prepared } from './diagnosis';
import { faultsOf } from './faults/registry';
import { FLAGS } from './fault-table';
import type { CauseKind } from './causes/types';
import { soundRuns } from './observations/predict';

export interface Remedy {
  /** What to do, in a sentence or two. */
  readonly says: string;
  /** For the hands; empty where nothing is moved. */
  readonly moves: readonly Move[];
  /** What is done one after the other where no wire is moved; empty where it is one thing, or a technician's. */
  readonly steps: readonly string[];
  /**
   * The wiring without the cause was solved: in each call something runs, no fuse opens, and the thermostat has its volts. Null where the way
   * back is another wiring than that one, or a technician's.
   */
  readonly proven: boolean | null;
  /** A technician has to do it. */
  readonly pro: boolean;
}

/** Put right by landing wires and jumpers as the sheet has them. */
const BY_HAND: ReadonlySet<CauseKind> = new Set<CauseKind>([
  'conductor-loose',
  'conductors-swapped',
  'wrong-terminal',
  'link-missing',
  'link-left-in'
]);

const SAYS: Readonly<Record<CauseKind, string>> = {
  'conductor-loose': 'Land the wire again: 6 to 10 mm of straight copper under the screw, then tug it.',
  'conductors-swapped': 'Put the two wires where the sheet has them.',
  'wrong-terminal': 'Put the wire on the screw that the sheet names.',
  'link-missing': 'Put the jumper in.',
  'link-left-in': 'Take the jumper out.',
  'conductor-broken':
    'The wire is broken inside the wall: use another wire of the cable, or pull a new one. Make the plan again with this wire marked as broken.',
  'conductor-nicked': 'Cut the end off behind the nick, strip it anew, and land it again.',
  'joint-corroded': 'Cut the joint out and make it new: clean copper, a fresh wire nut, and tug each wire.',
  'short-to-common':
    'With the power off, cut stray copper short and bend the wire away. Then look at the fuse.',
  'conductors-shorted': 'The two wires touch inside the cable: use others, or pull a new cable.',
  'conductor-to-earth': 'A staple or an edge has cut the insulation: use another wire of the cable.',
  'fuse-open':
    'With the power off, put in one new fuse of the same size. If that opens too, stop: there is a short.',
  'coil-open': 'The coil is burnt out: a technician replaces the relay or the contactor.',
  'coil-shorted': 'The coil is shorted: a technician replaces it. Do not feed it more fuses.',
  'contact-welded': 'The thermostat’s contact is stuck: replace the thermostat.',
  'board-common-open': 'The common on the board is open: a technician looks at the board.',
  'supply-off': 'Switch the breaker fully off and on again, and the service switch on.',
  'weak-transformer': 'The transformer gives too little: a technician fits a larger one (mains side).',
  'switch-open':
    'Close the door on its switch; empty the drain pan; fill the boiler: the switch is there for a reason.',
  'head-not-seated': 'Press the head onto its plate until all corners click.',
  'timer-counting': 'Wait five minutes with the call on.',
  'batteries-empty': 'Put in fresh batteries, the right way round.',
  'set-up-system': 'Set the kind of system that this house has, in the installer settings.',
  'set-up-valve': 'Turn the valve setting (O or B) round, in the installer settings.',
  'set-up-stages': 'Set the stages that the machine has, in the installer settings.',
  'set-up-fan': 'Set who starts the blower in heating, in the installer settings.',
  'set-up-supplies': 'Set two supplies, or take the jumper between RH and RC out, as its sheet says.',
  'machine-fault': 'The thermostat calls and the machine does not answer: a technician looks at the machine.',
  'something-else': 'None of the causes in the list explains it: a technician looks at the whole.'
};

const OFF = 'Power off at the breaker and the service switch, and prove it.';
const ON = 'Door and covers on, power on, and watch for a minute.';

/** Put right without moving a wire, step by step. */
const STEPS: Readonly<Partial<Record<CauseKind, readonly string[]>>> = {
  'conductor-nicked': [
    OFF,
    'Cut the end off behind the nick.',
    'Strip 6 to 10 mm anew, land it, tug it.',
    ON
  ],
  'joint-corroded': [
    OFF,
    'Cut the joint out, strip clean copper.',
    'A fresh wire nut or lever; tug each wire.',
    ON
  ],
  'fuse-open': [
    OFF,
    'Look along the wires for bare copper that touches metal or another wire, and part it.',
    'Put in one new fuse of the same size, never a larger one.',
    ON,
    'If it opens again: power off, and no third one. There is a short.'
  ],
  'supply-off': [
    'Push the breaker fully off, then on: a tripped one stands in the middle.',
    'Service switch on.',
    ON
  ],
  'switch-open': [
    'Find which switch it is: door, drain pan, water.',
    'Close the door on it, empty the pan and clear its drain, or fill the boiler by its sheet. Never bridge it.',
    'Power on, and watch for a minute.'
  ],
  'head-not-seated': [
    'Push the slack of the wires back into the wall.',
    'Press the head on until all corners click.'
  ],
  'timer-counting': ['Leave the call on.', 'Wait five minutes by the clock, touching nothing.'],
  'batteries-empty': [
    'Take the head off.',
    'Fresh batteries, each the way the drawing in the case shows.',
    'Head back on.'
  ],
  'set-up-system': [
    'Open Set up here: it says what this house needs.',
    'Set the kind of system, then try again.'
  ],
  'set-up-valve': [
    'Open Set up here: it says O or B.',
    'Turn the setting round, then call for heat: the air gets warm.'
  ],
  'set-up-stages': [
    'Open Set up here: it says how many.',
    'Set them, then call far enough above the room for the second.'
  ],
  'set-up-fan': [
    'Open Set up here: it says who starts the blower.',
    'Set it, then call for heat: air comes.'
  ],
  'set-up-supplies': [
    'Power off first.',
    'Open Set up here: one supply or two.',
    'Set it, or take the jumper out; then try cooling.'
  ]
};

/** Without these the wiring is the one that was solved as sound. */
const SOUND_WITHOUT: ReadonlySet<CauseKind> = new Set<CauseKind>([
  'conductor-nicked',
  'joint-corroded',
  'fuse-open',
  'supply-off',
  'switch-open',
  'head-not-seated'
]);

const PRO: ReadonlySet<CauseKind> = new Set<CauseKind>([
  'coil-open',
  'coil-shorted',
  'board-common-open',
  'weak-transformer',
  'machine-fault',
  'something-else'
]);

export function remedyOf({ situation }: Prepared, { cause }: Pick<CauseBelief, 'cause'>): Remedy {
  const { wiring, world } = situation;
  const netlist = netlistOf(wiring, world);
  const faults = netlist ? faultsOf(wiring, netlist) : [];
  const fault = BY_HAND.has(cause.kind) ? faults.find(({ id }) => id === cause.id) : undefined;
  return {
    says: SAYS[cause.kind],
    moves: fault ? movesBetween(fault.apply(wiring), wiring) : [],
    steps: STEPS[cause.kind] ?? [],
    proven: fault || SOUND_WITHOUT.has(cause.kind) ? isSound(situation) : null,
    pro: PRO.has(cause.kind)
  };
}

/** Row 0 is the wiring without the fault. */
function isSound(situation: Prepared['situation']): boolean {
  const { calls, flags, volts, windowMin } = situation.table;
  return calls.every((word, call) => {
    if (word !== 'idle' && soundRuns(situation, word).length === 0) return false;
    const harms = ((flags[call] ?? 0) & (FLAGS.fuseOpen | FLAGS.burns)) !== 0;
    return !harms && (windowMin === null || (volts[call] ?? 0) >= windowMin);
  });
}
