/** What eyes and ears tell: the display, what runs at each call, what hums, and what runs uncalled. */
import { callName, type Call } from '../../trade/calls';
import { LOAD_NAMES } from '../../trade/loads';
import type { LoadId } from '../../trade/vocabulary';
import type { Cause, Hypothesis } from '../causes/types';
import { boards, wallPlace } from '../../wiring/graph';
import { FLAGS } from '../fault-table';
import { cellOf, chancesOf, displayOf, has, opensInACall, runsIn, soundRuns } from './predict';
import type { Answer, Observation, ObservationRule, Situation } from './types';

const EYES = { power: 'on', needs: 'eyes', call: null, volts: null } as const;
const RUNS: readonly Answer[] = [
  { value: 'runs', label: 'It runs' },
  { value: 'still', label: 'It does not' }
];
const DISPLAYS: readonly Answer[] = [
  { value: 'lit', label: 'Lit' },
  { value: 'dim', label: 'Dim, or it starts again and again' },
  { value: 'dark', label: 'Dark' }
];

export const display: ObservationRule = {
  observationsOf: (situation) => [
    {
      ...EYES,
      id: 'display',
      ask: 'What does the thermostat’s display show, with nothing called?',
      how: 'Watch it for a minute.',
      place: wallPlace(situation.wiring),
      minutes: 1,
      answers: DISPLAYS,
      chances: chancesOf(situation, DISPLAYS, (hypothesis, causes) => {
        const shown = displayOf(situation, hypothesis, causes);
        if (shown === 'lit' && opensInACall(situation, hypothesis)) return null;
        return DISPLAYS.findIndex(({ value }) => value === shown);
      })
    }
  ]
};

const STEADY: readonly Answer[] = [
  { value: 'steady', label: 'It stays as it is' },
  { value: 'drops', label: 'It dims, goes dark or starts anew' }
];

/** A transformer that is too weak shows when something is called: the display goes down with the volts. */
export const displayCalled: ObservationRule = {
  observationsOf: (situation) => {
    const { table, wiring } = situation;
    const { windowMin } = table;
    if (windowMin === null) return [];
    return (['heat1', 'cool1'] as const)
      .filter((call) => table.calls.includes(call))
      .map((call) => ({
        ...EYES,
        call,
        id: `display-${call}`,
        ask: `Call for ${callName(call)}: does the display stay lit?`,
        how: 'Watch it for a minute while the machine starts.',
        place: wallPlace(wiring),
        minutes: 1,
        answers: STEADY,
        chances: chancesOf(situation, STEADY, (hypothesis, causes) => {
          if (displayOf(situation, hypothesis, causes) !== 'lit') return null;
          return Number(!((table.volts[cellOf(situation, hypothesis, call)] ?? NaN) >= windowMin));
        })
      }));
  }
};

/** Loads that show themselves: a valve or a relay alone is heard by few. */
const SHOWS: readonly LoadId[] = [
  'burner',
  'burner2',
  'blower',
  'compressor',
  'compressor2',
  'strips',
  'circulator',
  'zone-valve',
  'boiler',
  'humidifier',
  'ventilator'
];
/** Minutes until one can say that it does not come: ignition and a heated valve take theirs. */
const WAIT_MINUTES: Partial<Record<LoadId, number>> = { burner: 2, burner2: 2, boiler: 3, 'zone-valve': 3 };

const FELT_AT_THE_WALL: ReadonlySet<LoadId> = new Set<LoadId>(['blower']);

export const running: ObservationRule = {
  observationsOf: (situation) =>
    situation.table.calls.flatMap((call) =>
      call === 'idle' || call.includes('+')
        ? []
        : soundRuns(situation, call)
            .filter((load) => SHOWS.includes(load))
            .map((load) => runsObservation(situation, call, load))
    )
};

function runsObservation(situation: Situation, call: Call, load: LoadId): Observation {
  return {
    ...EYES,
    call,
    id: `${call}-${load}`,
    ask: `Call for ${callName(call)}: does the ${LOAD_NAMES[load]} run?`,
    // Air is felt at a register near the thermostat: nobody has to walk for it.
    how: FELT_AT_THE_WALL.has(load)
      ? 'Set the thermostat a few degrees further, then hold a hand before a register.'
      : 'Set the thermostat a few degrees further, then listen and look at the machine.',
    place: FELT_AT_THE_WALL.has(load) ? wallPlace(situation.wiring) : machineOf(situation),
    minutes: WAIT_MINUTES[load] ?? 1,
    answers: RUNS,
    chances: chancesOf(situation, RUNS, (hypothesis, causes) => {
      const runs = runsIn(situation, hypothesis, causes, call, load);
      return runs === null ? null : Number(!runs);
    })
  };
}

function machineOf({ wiring }: Situation): string {
  return boards(wiring)[0]?.at ?? wallPlace(wiring);
}

const MESSAGES: readonly Answer[] = [
  { value: 'none', label: 'No message' },
  { value: 'waits', label: 'It waits, or counts down' },
  { value: 'power', label: 'Low power, batteries, or no C wire' }
];
/** Not every device says what it waits for. */
const MESSAGE_ERRS = 0.12;

/** What the display says of itself: a wait for the compressor, or a supply that is low. */
export const messages: ObservationRule = {
  observationsOf: (situation) => {
    const call = (['cool1', 'heat1'] as const).find((word) => situation.table.calls.includes(word));
    if (!call) return [];
    const compressor = soundRuns(situation, call).includes('compressor');
    const predicts = (hypothesis: Hypothesis, causes: readonly Cause[]) => {
      const display = displayOf(situation, hypothesis, causes);
      if (display === 'dark') return 0;
      if (display === 'dim' || has(causes, 'batteries-empty')) return 2;
      if (has(causes, 'timer-counting') && compressor) return 1;
      const { windowMin, volts } = situation.table;
      const own = volts[cellOf(situation, hypothesis, call)] ?? NaN;
      return windowMin !== null && own < windowMin ? 2 : 0;
    };
    return [
      {
        ...EYES,
        call,
        id: 'message',
        ask: `Call for ${callName(call)}: does the display show a message?`,
        how: 'Read it word for word; some devices show it under a small sign.',
        place: wallPlace(situation.wiring),
        minutes: 0.5,
        answers: MESSAGES,
        chances: chancesOf(situation, MESSAGES, predicts, MESSAGE_ERRS)
      }
    ];
  }
};

const CLICKS: readonly Answer[] = [
  { value: 'clicks', label: 'It clicks' },
  { value: 'silent', label: 'Not a sound' }
];
/** Some thermostats switch without a sound. */
const CLICK_ERRS = 0.2;

/** A relay that is heard says that the thermostat calls: what is wrong is further on. */
export const clicks: ObservationRule = {
  observationsOf: (situation) => {
    const call = (['heat1', 'cool1', 'fan'] as const).find((word) => situation.table.calls.includes(word));
    if (!call) return [];
    return [
      {
        ...EYES,
        call,
        id: 'click',
        ask: `Call for ${callName(call)}: does the thermostat click?`,
        how: 'Within ten seconds, an ear close to it.',
        place: wallPlace(situation.wiring),
        minutes: 0.5,
        answers: CLICKS,
        chances: chancesOf(
          situation,
          CLICKS,
          (hypothesis, causes) => {
            if (displayOf(situation, hypothesis, causes) !== 'lit') return 1;
            if (has(causes, 'set-up-system')) return null;
            const waits = has(causes, 'timer-counting') && soundRuns(situation, call).includes('compressor');
            return Number(waits);
          },
          CLICK_ERRS
        )
      }
    ];
  }
};

const ANY: readonly Answer[] = [
  { value: 'nothing', label: 'Nothing' },
  { value: 'something', label: 'Something runs' }
];

export const uncalled: ObservationRule = {
  observationsOf: (situation) => [
    {
      ...EYES,
      id: 'uncalled',
      ask: 'With nothing called, does something run all the same?',
      how: 'Set the thermostat to off and wait two minutes.',
      place: machineOf(situation),
      minutes: 2,
      answers: ANY,
      chances: chancesOf(situation, ANY, (hypothesis, causes) => {
        const runs = situation.table.loads.some(
          (load) => SHOWS.includes(load) && runsIn(situation, hypothesis, causes, 'idle', load) === true
        );
        return Number(runs);
      })
    }
  ]
};

const HUMS: readonly Answer[] = [
  { value: 'quiet', label: 'No' },
  { value: 'hums', label: 'It hums, buzzes or chatters' }
];

export const hums: ObservationRule = {
  observationsOf: (situation) => {
    const call = (['heat1', 'cool1', 'fan'] as const).find((word) => situation.table.calls.includes(word));
    if (!call) return [];
    return [
      {
        ...EYES,
        call,
        id: 'hum',
        ask: `Call for ${callName(call)}: does something at the machine hum or chatter?`,
        how: 'A relay that gets too little pulls in and lets go, or hums.',
        place: machineOf(situation),
        minutes: 1,
        answers: HUMS,
        chances: chancesOf(situation, HUMS, (hypothesis, causes) => {
          // A dark thermostat calls for nothing, and nothing hums for it.
          if (displayOf(situation, hypothesis, causes) !== 'lit') return 0;
          const flags = situation.table.flags[cellOf(situation, hypothesis, call)] ?? 0;
          return Number((flags & (FLAGS.chatter | FLAGS.starved)) !== 0);
        })
      }
    ];
  }
};

const AIR: readonly Answer[] = [
  { value: 'warm', label: 'Warm' },
  { value: 'cold', label: 'Cold' },
  { value: 'none', label: 'No air comes' }
];

/** A heat pump whose valve stands the wrong way cools when heat is called. */
export const warmAir: ObservationRule = {
  observationsOf: (situation) => {
    const { table } = situation;
    if (!table.loads.includes('reversing-valve') || !table.calls.includes('heat1')) return [];
    const sound = soundRuns(situation, 'heat1').includes('reversing-valve');
    return [
      {
        ...EYES,
        call: 'heat1',
        id: 'air',
        ask: 'Call for heat: is the air from the register warm after five minutes?',
        how: 'Hold a hand before a register.',
        place: wallPlace(situation.wiring),
        minutes: 6,
        answers: AIR,
        chances: chancesOf(situation, AIR, (hypothesis, causes) => {
          const runs = (load: LoadId) => runsIn(situation, hypothesis, causes, 'heat1', load);
          if (runs('blower') === null) return null;
          if (!runs('blower')) return 2;
          if (!runs('compressor')) return 1;
          const turned = has(causes, 'set-up-valve') !== (runs('reversing-valve') !== sound);
          return Number(turned);
        })
      }
    ];
  }
};

const TIMES: readonly Answer[] = [
  { value: 'comes', label: 'Now it runs' },
  { value: 'still', label: 'Still not' }
];

/** Nothing is called dead before its timer has run out. */
export const waiting: ObservationRule = {
  observationsOf: (situation) => {
    const call = situation.table.calls.find((word) => soundRuns(situation, word).includes('compressor'));
    if (!call) return [];
    return [
      {
        ...EYES,
        call,
        id: 'wait',
        ask: `Leave the call for ${callName(call)} on and wait five minutes: does the outdoor unit start?`,
        how: 'After each stop, and after power comes back, a compressor waits.',
        place: wallPlace(situation.wiring),
        // It waits by itself: the hands are free meanwhile.
        minutes: 4,
        answers: TIMES,
        chances: chancesOf(situation, TIMES, (hypothesis, causes) => {
          const mine = causes.filter(({ kind }) => kind !== 'timer-counting');
          const runs = runsIn(situation, hypothesis, mine, call, 'compressor');
          return runs === null ? null : Number(!runs);
        })
      }
    ];
  }
};
