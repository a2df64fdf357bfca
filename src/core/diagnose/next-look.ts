/**
 * What to look at next: the look with the greatest expected loss of doubt over its effort, the way to it and the switching of the power
 * counted in; two looks ahead among the best of them, where a pair of looks at one place is worth more than the dearer one alone.
 *
 * Doubt is 1 less the root of the sum of the squared shares (Arimoto's entropy of order 2, to a factor): nearly the chance that the likeliest
 * cause is not the one. Bits count every distinction among causes that are unlikely anyway, and lead to what is settled in more minutes.
 */
import { expectedFrom } from '../belief/bayes';
import { wallPlace, type Wiring } from '../wiring/graph';
import type { Ability, Prepared } from './diagnosis';
import type { Observation } from './observations/types';

/** Where somebody stands, and what they can do. */
export interface Circumstances {
  /** Id of the place where they stand, and of the wall that the thermostat hangs on. */
  readonly at: string;
  readonly wall: string;
  readonly power: 'on' | 'off';
  /** They say that they can use a meter on live low voltage. */
  readonly meter: boolean;
  /** A second person is there. */
  readonly helper: boolean;
}

export interface NextLook {
  readonly observation: Observation;
  /** Expected loss of doubt, of 1. */
  readonly gain: number;
  /** With the way to it and the switch. */
  readonly minutes: number;
  /** What each answer would leave as the likeliest hypothesis (its number; one of its class), with the share of the class. */
  readonly answers: readonly {
    readonly value: string;
    readonly chance: number;
    readonly likeliest: number;
    readonly share: number;
  }[];
}

/** From the wall to the machine, or back, minutes. */
export const WALK_MINUTES = 2;
/** To switch the power, beside a machine, and see that it is so, minutes. */
export const SWITCH_MINUTES = 2;
/** Looks that take away less doubt are worth nobody's steps. */
const LEAST_GAIN = 0.01;
/** Below this chance that the display is lit, nothing is asked that needs a call. */
const CALLS_FROM = 0.5;
/** So many of the best are looked at two steps deep. */
const DEEP = 10;

export function abilityOf({ meter, helper }: Circumstances): Ability {
  return meter || helper ? 'meter' : 'hands';
}

export function startAt(wiring: Wiring): Circumstances {
  const wall = wallPlace(wiring);
  return { at: wall, wall, power: 'on', meter: false, helper: false };
}

/** Whether somebody in these circumstances can make it at all. */
export function canMake({ needs }: Observation, { meter, helper }: Circumstances): boolean {
  if (needs === 'meter') return meter;
  return needs !== 'helper' || helper || meter;
}

/** Minutes of a look from where one stands. The switch is beside a machine: who stands at the wall and looks there again walks both ways. */
export function minutesOf(observation: Observation, { at, wall, power, helper }: Circumstances): number {
  const turns = observation.power !== 'either' && observation.power !== power;
  const there = observation.place === at;
  const walks = there ? (turns && at === wall ? 2 : 0) : 1;
  const alone = observation.needs === 'helper' && !helper ? 2 * WALK_MINUTES : 0;
  return observation.minutes + walks * WALK_MINUTES + (turns ? SWITCH_MINUTES : 0) + alone;
}

export function circumstancesAfter(observation: Observation, before: Circumstances): Circumstances {
  const { place, power } = observation;
  return { ...before, at: place, power: power === 'either' ? before.power : power };
}

/** Looks worth making, the best first; empty where nothing that they can do tells more. */
export function nextLooks(
  prepared: Prepared,
  belief: Float64Array,
  circumstances: Circumstances,
  answered: ReadonlySet<string>
): NextLook[] {
  const live = liveOf(prepared, belief, abilityOf(circumstances));
  const lit = belief.reduce((sum, share, at) => sum + share * prepared.lit[at]!, 0);
  const open = prepared.observations.filter(
    (observation) =>
      !answered.has(observation.id) &&
      canMake(observation, circumstances) &&
      (observation.call === null || lit >= CALLS_FROM)
  );
  const looked = open
    .map((observation) => ({ observation, ...expected(live, observation) }))
    .filter(({ gain }) => gain >= LEAST_GAIN)
    .map((look) => ({ ...look, minutes: minutesOf(look.observation, circumstances) }))
    .sort((first, second) => second.gain / second.minutes - first.gain / first.minutes);
  const deep = looked
    .slice(0, DEEP)
    .map((look) => ({ look, worth: worthAhead(live, look, looked, circumstances) }));
  deep.sort((first, second) => second.worth - first.worth);
  return [...deep.map(({ look }) => look), ...looked.slice(DEEP)];
}

/** Hypotheses that still have a share worth reckoning with, by class: what is alike is one. */
interface Live {
  /** One hypothesis of each class, by its number. */
  readonly members: readonly number[];
  readonly shares: Float64Array;
}

const LEAST_SHARE = 1e-5;

function liveOf({ alike: alikes }: Prepared, belief: Float64Array, ability: Ability): Live {
  const alike = alikes[ability];
  const numbers = new Map<number, number>();
  const members: number[] = [];
  const sums: number[] = [];
  belief.forEach((share, at) => {
    if (share < LEAST_SHARE) return;
    const known = numbers.get(alike[at]!);
    if (known !== undefined) {
      sums[known]! += share;
      return;
    }
    numbers.set(alike[at]!, sums.length);
    members.push(at);
    sums.push(share);
  });
  return { members, shares: Float64Array.from(sums) };
}

interface Expected {
  readonly gain: number;
  readonly answers: NextLook['answers'];
}

/** The doubt after an answer, weighed by its chance, is its chance less the root of the squared joint shares: no share is divided. */
function expected({ members, shares }: Live, { chances, answers }: Observation): Expected {
  const total = sumOf(shares);
  let left = 0;
  const outcomes = chances.map((column, at) => {
    let chance = 0;
    let squares = 0;
    let top = 0;
    let most = 0;
    for (let index = 0; index < members.length; index += 1) {
      const joint = (shares[index]! / total) * column[members[index]!]!;
      chance += joint;
      squares += joint * joint;
      if (joint <= most) continue;
      most = joint;
      top = index;
    }
    left += chance - Math.sqrt(squares);
    return {
      value: answers[at]!.value,
      chance,
      likeliest: members[top] ?? 0,
      share: chance > 0 ? most / chance : 0
    };
  });
  return { gain: Math.max(0, doubtOf(shares, total) - left), answers: outcomes };
}

function sumOf(shares: Float64Array): number {
  let sum = 0;
  for (const share of shares) sum += share;
  return sum;
}

function doubtOf(shares: Float64Array, total: number): number {
  let squares = 0;
  for (const share of shares) squares += share * share;
  return 1 - Math.sqrt(squares) / total;
}

/** Shannon's measure of what a look is expected to tell, bits. */
export function bitsOf(
  prepared: Prepared,
  belief: Float64Array,
  circumstances: Circumstances,
  { chances }: Observation
): number {
  const { members, shares } = liveOf(prepared, belief, abilityOf(circumstances));
  const rows = chances.map((column) => members.map((member) => column[member]!));
  const total = sumOf(shares);
  return expectedFrom(
    shares.map((share) => share / total),
    rows
  ).gain;
}

/** Doubt that goes in a minute of a look with the best that would follow it from where one then stands. */
function worthAhead(
  live: Live,
  look: NextLook,
  others: readonly NextLook[],
  circumstances: Circumstances
): number {
  const there = circumstancesAfter(look.observation, circumstances);
  const candidates = others.filter((other) => other !== look).slice(0, 2 * DEEP);
  let best = look.gain / look.minutes;
  let gone = look.gain;
  let minutes = look.minutes;
  for (const [at, outcome] of look.answers.entries()) {
    if (outcome.chance < 0.02) continue;
    const column = look.observation.chances[at]!;
    const shares = Float64Array.from(live.shares, (share, index) => share * column[live.members[index]!]!);
    const after: Live = { ...live, shares };
    let most = 0;
    let itsMinutes = 1;
    for (const { observation } of candidates) {
      const { gain } = expected(after, observation);
      const cost = minutesOf(observation, there);
      if (gain / cost <= most / itsMinutes) continue;
      most = gain;
      itsMinutes = cost;
    }
    if (most < LEAST_GAIN) continue;
    gone += outcome.chance * most;
    minutes += outcome.chance * itsMinutes;
  }
  best = Math.max(best, gone / minutes);
  return best;
}
