/** What a look at the machine and at the thermostat's head tells: switches, fuse, breaker, head, batteries, settings. */
import { boards, screwThat, wallPlace, type Wiring } from '../../wiring/graph';
import type { Cause, UnseenKind } from '../causes/types';
import { FLAGS } from '../fault-table';
import type { PartName } from '../../trade/parts';
import type { FaultKind } from '../types';
import { cellOf, chancesOf, displayOf, has } from './predict';
import type { Answer, Observation, ObservationRule, Situation } from './types';

const LOOK = { needs: 'eyes', call: null, volts: null } as const;

interface Check {
  readonly kind: FaultKind;
  readonly id: string;
  readonly ask: (name: string) => string;
  readonly how: string;
  readonly minutes: number;
  readonly power: Observation['power'];
  /** What is so without the fault, then with it. */
  readonly answers: readonly [Answer, Answer];
}

const CHECKS: readonly Check[] = [
  {
    kind: 'supply-off',
    id: 'power',
    ask: (name) => `Are the breaker and the service switch of ${name} on?`,
    how: 'Switch the breaker fully off and on again: a tripped one stands in the middle.',
    minutes: 2,
    power: 'either',
    answers: [
      { value: 'on', label: 'Both on' },
      { value: 'off', label: 'One was off' }
    ]
  },
  {
    kind: 'head-not-seated',
    id: 'head',
    ask: () => 'Does the head of the thermostat sit level and tight on its plate?',
    how: 'Press all four corners until it clicks.',
    minutes: 0.5,
    power: 'either',
    answers: [
      { value: 'seated', label: 'It sits' },
      { value: 'off', label: 'It did not' }
    ]
  }
];

/** By the switch that is meant. */
const SWITCH_LOOKS: readonly {
  readonly part: PartName;
  readonly id: string;
  readonly ask: string;
  readonly how: string;
}[] = [
  {
    part: 'door-switch',
    id: 'door',
    ask: 'Is the door closed, and does it press its switch?',
    how: 'Press the switch by hand: the machine or its lamp comes to life.'
  },
  {
    part: 'float-switch',
    id: 'float',
    ask: 'Is the drain pan dry, and the float down?',
    how: 'The float switch sits at the pan or in the drain line.'
  },
  {
    part: 'low-water-cut-off',
    id: 'water',
    ask: 'Does the boiler have water enough?',
    how: 'Look at its gauge glass.'
  }
];
const CLOSED: readonly [Answer, Answer] = [
  { value: 'closed', label: 'Yes' },
  { value: 'open', label: 'No' }
];

export const switches: ObservationRule = {
  observationsOf: (situation) => [
    ...CHECKS.flatMap((check) =>
      situation.causes
        .filter(({ kind }) => kind === check.kind)
        .map((cause, at) =>
          checkOf(situation, cause, {
            id: at === 0 ? check.id : `${check.id}-${at + 1}`,
            ask: check.ask(deviceName(situation.wiring, cause)),
            how: check.how,
            minutes: check.minutes,
            power: check.power,
            answers: check.answers
          })
        )
    ),
    ...situation.causes
      .filter(({ kind }) => kind === 'switch-open')
      .map((cause) => {
        const look = SWITCH_LOOKS.find(({ part }) => part === cause.hits.partName) ?? SWITCH_LOOKS[0]!;
        return checkOf(situation, cause, { ...look, minutes: 1, power: 'either', answers: CLOSED });
      })
  ]
};

function checkOf(
  situation: Situation,
  cause: Cause,
  look: Pick<Observation, 'id' | 'ask' | 'how' | 'minutes' | 'power' | 'answers'>
): Observation {
  return {
    ...LOOK,
    ...look,
    of: cause.id,
    place: placeOfCause(situation.wiring, cause),
    chances: chancesOf(situation, look.answers, (_, causes) => Number(causes.includes(cause)))
  };
}

export const fuses: ObservationRule = {
  observationsOf: (situation) =>
    situation.causes
      .filter(({ kind }) => kind === 'fuse-open')
      .map((cause, at) => ({
        ...LOOK,
        id: at === 0 ? 'fuse' : `fuse-${at + 1}`,
        ask: `Pull the fuse of ${deviceName(situation.wiring, cause)}: is its wire whole?`,
        how: 'Power off. Hold it against the light; a meter on beep is surer.',
        place: placeOfCause(situation.wiring, cause),
        power: 'off' as const,
        minutes: 2,
        answers: FUSE,
        of: cause.id,
        chances: chancesOf(situation, FUSE, (hypothesis, causes) => {
          if (causes.includes(cause)) return 1;
          const { table } = situation;
          const opens = table.calls.filter(
            (_, call) =>
              ((table.flags[hypothesis.row * table.calls.length + call] ?? 0) & FLAGS.fuseOpen) !== 0
          );
          if (opens.length === 0) return 0;
          // What only a call opens is open if that call was made.
          return opens.includes('idle') ? 1 : null;
        })
      }))
};

/** A lamp on a board shines while the board has its 24 V: the circuit says so. A board that blinks a code has a fault of its own. */
export const lamps: ObservationRule = {
  observationsOf: (situation) => {
    const { wiring, table } = situation;
    return boards(wiring).flatMap((board) => {
      const [hot, common] = [screwThat(board, 'R')?.id, screwThat(board, 'C')?.id];
      const point = table.points.findIndex(([first, second]) => first === hot && second === common);
      if (!WITH_LAMP.has(board.machine) || point < 0) return [];
      return [
        {
          ...LOOK,
          id: board === boards(wiring)[0] ? 'lamp' : `lamp-${board.id}`,
          ask: `Look through the small window of ${board.name}: does the lamp on its board shine?`,
          how: 'Steady or slowly blinking is usual. A pattern of blinks is a code: the list is inside the door.',
          place: board.at,
          power: 'on' as const,
          minutes: 1,
          answers: LAMP,
          chances: chancesOf(situation, LAMP, (hypothesis, causes) => {
            if (has(causes, 'machine-fault')) return 2;
            const cell = cellOf(situation, hypothesis, 'idle');
            const volts = table.readings[cell * table.points.length + point] ?? NaN;
            return volts > LAMP_VOLTS ? 0 : 1;
          })
        }
      ];
    });
  }
};

const WITH_LAMP: ReadonlySet<string> = new Set(['furnace', 'air-handler']);
/** Below this a board's logic does not start; usual sheets ask for 18 V. */
const LAMP_VOLTS = 16;
const LAMP: readonly Answer[] = [
  { value: 'shines', label: 'It shines' },
  { value: 'dark', label: 'Dark' },
  { value: 'code', label: 'It blinks a code' }
];

const FUSE: readonly [Answer, Answer] = [
  { value: 'whole', label: 'Whole' },
  { value: 'open', label: 'Open' }
];

const BATTERIES: readonly [Answer, Answer] = [
  { value: 'good', label: 'New, and the right way round' },
  { value: 'bad', label: 'Empty, or the wrong way round' }
];

export const batteries: ObservationRule = {
  observationsOf: (situation) =>
    situation.causes
      .filter(({ kind }) => kind === 'batteries-empty')
      .map((cause) => ({
        ...LOOK,
        id: 'batteries',
        ask: 'Are the batteries of the thermostat new, and in the right way round?',
        how: 'Try fresh ones.',
        place: wallPlace(situation.wiring),
        power: 'either' as const,
        minutes: 1,
        answers: BATTERIES,
        chances: chancesOf(situation, BATTERIES, (_, causes) => Number(causes.includes(cause)))
      }))
};

const SETTING_ANSWERS: readonly (readonly [UnseenKind, Answer])[] = [
  ['set-up-system', { value: 'system', label: 'Another kind of system is set' }],
  ['set-up-valve', { value: 'valve', label: 'The valve setting (O or B) is the wrong way round' }],
  ['set-up-stages', { value: 'stages', label: 'Fewer stages are set' }],
  ['set-up-fan', { value: 'fan', label: 'The fan setting is wrong' }],
  ['set-up-supplies', { value: 'supplies', label: 'One supply is set where there are two' }]
];

export const settings: ObservationRule = {
  observationsOf: (situation) => {
    const known = SETTING_ANSWERS.filter(([kind]) => has(situation.causes, kind));
    if (known.length === 0) return [];
    const answers: Answer[] = [
      { value: 'right', label: 'All as they should be' },
      ...known.map(([, answer]) => answer)
    ];
    return [
      {
        ...LOOK,
        id: 'settings',
        ask: 'Go through the thermostat’s installer settings: kind of system, stages, valve, fan.',
        how: 'Its sheet says how to get there. Compare each with what the house has.',
        place: wallPlace(situation.wiring),
        power: 'on',
        minutes: 4,
        answers,
        chances: chancesOf(situation, answers, (hypothesis, causes) => {
          // A dark thermostat shows no settings.
          if (displayOf(situation, hypothesis, causes) !== 'lit') return null;
          const wrong = known.findIndex(([kind]) => has(causes, kind));
          return wrong + 1;
        })
      }
    ];
  }
};

function deviceName(wiring: Wiring, { hits }: Cause): string {
  return wiring.devices.find(({ id }) => id === hits.device)?.name ?? 'the machine';
}

function placeOfCause(wiring: Wiring, { hits }: Cause): string {
  return wiring.devices.find(({ id }) => id === hits.device)?.at ?? wallPlace(wiring);
}
