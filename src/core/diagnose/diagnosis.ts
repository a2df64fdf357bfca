/**
 * Finding out why, apart from any page: what may be wrong with a wiring, what was seen of it so far, how likely each cause is, and what to look
 * at next. A diagnosis is prepared once for a wiring (all faults and pairs are solved); after that each answer takes some milliseconds.
 */
import { posterior } from '../belief/bayes';
import type { LongRun } from '../circuit/long-run';
import type { SimulateFailure } from '../circuit/simulate';
import type { World } from '../devices/world';
import { callsOf } from '../devices/calls';
import type { Call } from '../trade/calls';
import type { Wiring } from '../wiring/graph';
import { hypothesesOf } from './causes/hypotheses';
import { UNTOUCHED, type Touched } from './causes/touched';
import type { Cause } from './causes/types';
import { faultTableRun, type ReadingPoint } from './fault-table';
import { observationsOf } from './observations/registry';
import type { Observation, Situation } from './observations/types';
import { placeOfPoint, pointsOf, readingChances, readingOf } from './observations/volts';

export interface DiagnosisRequest {
  readonly wiring: Wiring;
  readonly world: World;
  readonly touched?: Touched;
  /** Points of readings that somebody took, besides those that are proposed. */
  readonly points?: readonly ReadingPoint[];
}

/** What somebody can do beyond looking and tugging. */
export type Ability = 'hands' | 'meter';

export interface Prepared {
  readonly situation: Situation;
  readonly prior: Float64Array;
  readonly observations: readonly Observation[];
  /** Chance, by hypothesis, that the display is lit: a dark thermostat calls for nothing. */
  readonly lit: Float32Array;
  /** Which hypotheses no look tells apart, by what somebody can do. */
  readonly alike: Readonly<Record<Ability, Int32Array>>;
}

/** What was seen: the answer to an observation, or a reading in volts. */
export interface Seen {
  readonly observation: string;
  readonly answer: string | number;
}

export function prepareRun(request: DiagnosisRequest): LongRun<Prepared> | SimulateFailure {
  const { wiring, world, touched = UNTOUCHED, points = [] } = request;
  const own = pointsOf(wiring);
  const all = [...own, ...points.filter(([a, b]) => !own.some(([c, d]) => a === c && b === d))];
  const run = faultTableRun({ wiring, world, calls: callsOf(world, wiring), pairs: true, points: all });
  if ('ok' in run) return run;
  return {
    ...run,
    result: () => {
      const table = run.result();
      const { causes, list, prior } = hypothesesOf(wiring, world, table, touched);
      const situation = { wiring, world, table, causes, list };
      const observations = observationsOf(situation);
      const simple = observations.filter(({ needs }) => needs === 'eyes' || needs === 'hands');
      return {
        situation,
        prior,
        observations,
        lit: observations.find(({ id }) => id === 'display')!.chances[0]!,
        alike: { hands: alikeOf(simple, list.length), meter: alikeOf(observations, list.length) }
      };
    }
  };
}

/** A reading at screws of somebody's own choice, as an observation; its point was given when the diagnosis was prepared. */
export function ownReading(
  { situation }: Prepared,
  point: ReadingPoint,
  call: Call,
  headOff: boolean
): Observation {
  return readingOf(
    situation,
    { point, call, headOff },
    placeOfPoint(situation.wiring, point),
    'the screws that were read'
  );
}

/** Chance of what was seen under each hypothesis. */
export function chancesOfAnswer(
  { answers, chances, volts }: Observation,
  answer: string | number
): ArrayLike<number> | null {
  if (volts && typeof answer === 'number') return readingChances(volts, answer);
  const at = answers.findIndex(({ value }) => value === String(answer));
  return at < 0 ? null : (chances[at] ?? null);
}

/** Belief in each hypothesis after all that was seen. */
export function beliefAfter(
  prepared: Prepared,
  seen: readonly { readonly observation: Observation; readonly answer: string | number }[]
): Float64Array {
  return seen.reduce((belief, { observation, answer }) => {
    const chances = chancesOfAnswer(observation, answer);
    return chances === null ? belief : posterior(belief, chances);
  }, prepared.prior);
}

/** A cause with its share of the belief, by itself or with another; several where no look tells them apart. */
export interface CauseBelief {
  readonly id: string;
  /** As clauses; more than one where they cannot be told apart. */
  readonly says: readonly string[];
  readonly probability: number;
  /** The likeliest cause of the class, and all of it by their ids. */
  readonly cause: Cause;
  readonly ids: readonly string[];
  readonly touched: boolean;
}

/** A class with this share of the belief is worth its remedy: it costs less to try than to look on. */
export const SETTLED = 0.8;

const NONE_TRIED: ReadonlySet<string> = new Set();

/** Clauses of one class that are said; the rest of it would say the same again. */
const MOST_CLAUSES = 4;

/**
 * Causes, the likeliest first: each with all that is believed of it, alone or together with another. Those that nothing tells apart when they
 * are alone are one, for they have one answer. What was `tried` (ids) is put right already: it is no cause any more.
 */
export function rankedCauses(
  { situation, alike: alikes }: Prepared,
  belief: Float64Array,
  ability: Ability,
  tried: ReadonlySet<string> = NONE_TRIED
): CauseBelief[] {
  const { causes, list } = situation;
  const shares = new Float64Array(causes.length);
  const classOf = new Int32Array(causes.length);
  list.forEach((hypothesis, at) => {
    for (const cause of hypothesis.causes) shares[cause]! += belief[at] ?? 0;
    if (hypothesis.causes.length === 1) classOf[hypothesis.causes[0]!] = alikes[ability][at]!;
  });
  const groups = new Map<number, number[]>();
  causes.forEach(({ id }, at) => {
    if (!tried.has(id)) groups.set(classOf[at]!, [...(groups.get(classOf[at]!) ?? []), at]);
  });
  return [...groups.values()]
    .map((members) => {
      const sorted = members.sort((first, second) => shares[second]! - shares[first]!);
      const own = sorted.map((at) => causes[at]!);
      const cause = own[0]!;
      return {
        id: cause.id,
        says: own.slice(0, MOST_CLAUSES).map(({ says }) => says),
        probability: Math.min(
          1,
          sorted.reduce((sum, at) => sum + shares[at]!, 0)
        ),
        cause,
        ids: own.map(({ id }) => id),
        touched: own.some(({ touched }) => touched)
      };
    })
    .sort((first, second) => second.probability - first.probability);
}

/** Hypotheses with the same chances of every answer, to the hundredth, are alike. */
function alikeOf(observations: readonly Observation[], count: number): Int32Array {
  const numbers = new Map<string, number>();
  const columns = observations.flatMap(({ chances }) => chances);
  return Int32Array.from({ length: count }, (_, at) => {
    let key = '';
    for (const column of columns) key += String.fromCharCode(33 + Math.round((column[at] ?? 0) * 100));
    const known = numbers.get(key) ?? numbers.size;
    numbers.set(key, known);
    return known;
  });
}
