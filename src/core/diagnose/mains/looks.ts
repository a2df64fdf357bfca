/**
 * What can be looked at: first with every cover on (what is warm, what runs, what a lever does), and only for somebody competent a tester on the
 * strip. Each look is made in a state of the controls; what it would show under a cause is read off the solved circuit.
 */
import { boilerContacts, mainsUnits, nodeFor } from '../../devices/mains/screws';
import type { SimulateFailure } from '../../circuit/simulate';
import { TRIED_STILL } from '../tried-code';
import { causesIn, triedCode } from './causes';
import { rowFor, unitsOf, type MainsInputs, type MainsRow } from '../../proof/mains/rows';
import { servesOf, solveRow, type RowState } from '../../proof/mains/ways';
import { HUB_SPOTS, hubOf, hubsAmong } from '../../trade/mains-hub';
import { capital } from '../../words/text';
import { joinedIn } from '../../wiring/joined';
import { landedTerminal, printedMark, type TerminalId, type Wiring } from '../../wiring/graph';

export type Probe = 'off' | 'heating' | 'water' | 'both';

export const PROBE_WORDS: Readonly<Record<Probe, string>> = {
  off: 'everything off, for five minutes',
  heating: 'heating on and the room calling, hot water off',
  water: 'hot water on and the cylinder cold, heating off',
  both: 'heating and hot water on'
};

/** What is asked of somebody, as plain data. */
export interface MainsQuestion {
  readonly id: string;
  readonly probe: Probe;
  readonly ask: string;
  readonly how: string;
  readonly answers: readonly { readonly value: string; readonly label: string }[];
  readonly minutes: number;
  /** Needs the cover of a mains part off: for somebody competent alone. */
  readonly openCover: boolean;
}

export interface MainsLook extends MainsQuestion {
  /** What a solved state shows. */
  shows(state: RowState, wiring: Wiring): string;
}

const yesNo = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' }
] as const;
const on = (is: boolean) => (is ? 'yes' : 'no');

export function askedOf({ shows: _shows, ...question }: MainsLook): MainsQuestion {
  return question;
}

/** The row of a probe; null where the house has no such channel. */
export function rowOfProbe(inputs: MainsInputs, probe: Probe): MainsRow | null {
  const wants = {
    heating: probe === 'heating' || probe === 'both',
    water: probe === 'water' || probe === 'both'
  };
  if (wants.water && !inputs.water) return null;
  return rowFor(inputs, wants);
}

export function looksIn(wiring: Wiring, inputs: MainsInputs): MainsLook[] {
  const probes = (['off', 'heating', 'water', 'both'] as const).filter(
    (probe) => rowOfProbe(inputs, probe) !== null
  );
  return [
    ...lampLooks(wiring),
    ...probes.flatMap((probe) => [...feltLooks(wiring, inputs, probe), ...leverLooks(wiring, probe)]),
    ...stripLooks(wiring, probes)
  ];
}

/** What runs and what gets warm. */
function feltLooks(wiring: Wiring, inputs: MainsInputs, probe: Probe): MainsLook[] {
  const look = (
    what: string,
    minutes: number,
    [ask, how]: readonly [string, string],
    is: (state: RowState) => boolean
  ): MainsLook => ({
    id: `${what}@${probe}`,
    probe,
    ask,
    how,
    answers: yesNo,
    minutes,
    openCover: false,
    shows: (state) => on(is(state))
  });
  const boiler = look(
    'boiler',
    3,
    ['Does the boiler run?', 'Listen at it and look at its display or flame window. Give it two minutes.'],
    (state) => state.boiler
  );
  const pump = look(
    'pump',
    2,
    ['Does the pump run?', 'A hand on it: it trembles lightly. Or the handle of a screwdriver at the ear.'],
    (state) => state.pump
  );
  const radiators = look(
    'radiators',
    10,
    ['Do the radiators get warm?', 'Feel the pipe of the nearest one after ten minutes.'],
    (state) => state.boiler && state.pump && state.heatingWay === 'open'
  );
  const cylinder = look(
    'cylinder',
    10,
    [
      'Does the pipe to the cylinder get warm?',
      'Feel it after ten minutes; let some hot water run before, so that the cylinder calls.'
    ],
    (state) => state.boiler && state.waterWay === 'open'
  );
  return [
    boiler,
    ...(unitsOf(wiring, 'pump').length > 0 ? [pump] : []),
    radiators,
    ...(inputs.water ? [cylinder] : [])
  ];
}

function leverLooks(wiring: Wiring, probe: Probe): MainsLook[] {
  const valves = [...unitsOf(wiring, 'two-port-valve'), ...unitsOf(wiring, 'mid-position-valve')];
  return valves.map((valve) => ({
    id: `lever-${valve.id}@${probe}`,
    probe,
    ask: `Is the lever of the ${valve.name}${serves(wiring, valve.id)} slack?`,
    how: 'Move it gently: driven by its motor it goes to and fro without resistance; at rest a spring pulls it back.',
    answers: [
      { value: 'yes', label: 'Slack: the motor holds it' },
      { value: 'no', label: 'A spring pulls back' }
    ],
    minutes: 2,
    openCover: false,
    shows: (state) => on(['motor', 'white'].some((coil) => state.coils.has(`${valve.id}:${coil}`)))
  }));
}

function serves(wiring: Wiring, valve: string): string {
  const unit = unitsOf(wiring, 'two-port-valve').find(({ id }) => id === valve);
  const is = unit ? servesOf(wiring, unit) : 'unknown';
  return is === 'unknown' || unit?.name.includes(is === 'water' ? 'water' : 'heating')
    ? ''
    : ` (${is === 'water' ? 'hot water' : 'heating'})`;
}

/** The controller's lamp is lit where it is fed. */
function lampLooks(wiring: Wiring): MainsLook[] {
  return unitsOf(wiring, 'controller').map((unit) => ({
    id: `lamp-${unit.id}@off`,
    probe: 'off',
    ask: `Is any lamp of the ${unit.name} lit?`,
    how: 'Look at the box itself, not at its wall part.',
    answers: yesNo,
    minutes: 1,
    openCover: false,
    shows: (state) => on(state.result.feeds.some((feed) => feed.device === unit.id && feed.fed))
  }));
}

/** Live or dead against neutral at each number that switches; at the boiler's terminals where there is no wiring centre. */
const LIVE_FROM = 150;

function stripLooks(wiring: Wiring, probes: readonly Probe[]): MainsLook[] {
  const [spur] = unitsOf(wiring, 'supply');
  const [hub] = hubsAmong(mainsUnits(wiring));
  if (!spur || !hub) return [];
  const neutral = nodeFor(spur, 'neutral');
  const used = new Set(
    wiring.strands.flatMap((strand) => [landedTerminal(strand.near), landedTerminal(strand.far)])
  );
  const joined = joinedIn(wiring);
  const contacts = boilerContacts(wiring);
  const isContact = (terminal: TerminalId) => contacts.some((contact) => joined.same(terminal, contact));
  return hub.screws
    .filter((screw) => used.has(screw.id) && !isContact(screw.id))
    .flatMap((screw) =>
      probes
        .filter((probe) => probe !== 'both')
        .map((probe): MainsLook => ({
          id: `strip-${screw.id}@${probe}`,
          probe,
          ask: `${capital(hub.name)}: is ${HUB_SPOTS[hubOf([hub])]} ${printedMark(wiring, screw.id)} live to neutral?`,
          how: 'For somebody competent only: cover off with the power on, a two-pole tester that is proven before and after.',
          answers: [
            { value: 'live', label: 'Live, about 230 V' },
            { value: 'dead', label: 'Dead' }
          ],
          minutes: 4,
          openCover: true,
          shows: (state) => ((volts(state, screw.id, neutral) ?? 0) > LIVE_FROM ? 'live' : 'dead')
        }))
    );
}

function volts(state: RowState, terminal: TerminalId, neutral: TerminalId): number | null {
  return state.meter.volts(terminal, neutral);
}

/** What each look would show in a wiring; nothing where it cannot be solved. */
export function shownIn(
  wiring: Wiring,
  inputs: MainsInputs,
  looks: readonly MainsLook[]
): ReadonlyMap<string, string> {
  const states = new Map<Probe, RowState | SimulateFailure | null>();
  const shown = new Map<string, string>();
  for (const look of looks) {
    if (!states.has(look.probe)) {
      const row = rowOfProbe(inputs, look.probe);
      states.set(look.probe, row === null ? null : solveRow(wiring, row));
    }
    const state = states.get(look.probe);
    if (state && !('ok' in state)) shown.set(look.id, look.shows(state, wiring));
  }
  return shown;
}

/** Answers written as `boiler@heating=no`, by the id of the look; or the first that is none, with its place. */
export function readMainsSeen(
  wiring: Wiring,
  inputs: MainsInputs,
  codes: readonly string[]
): { readonly seen: Readonly<Record<string, string>> } | { readonly unknown: string; readonly at: number } {
  const looks = looksIn(wiring, inputs);
  const causes = causesIn(wiring);
  const seen: Record<string, string> = {};
  for (const [at, code] of codes.entries()) {
    const cut = code.lastIndexOf('=');
    const name = code.slice(0, cut);
    const value = code.slice(cut + 1);
    if (value === TRIED_STILL && causes.some((cause) => triedCode(cause) === name)) {
      seen[name] = value;
      continue;
    }
    const look = looks.find(({ id }) => id === name);
    if (!look?.answers.some((answer) => answer.value === value)) return { unknown: code, at };
    seen[look.id] = value;
  }
  return { seen };
}
