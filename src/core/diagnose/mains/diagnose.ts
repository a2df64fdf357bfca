/** Finding out why mains controls do not do what they should: all single causes solved, Bayes' rule over what was seen, the look worth most for its minutes. */
import { expectedFrom, posterior } from '../../belief/bayes';
import type { MainsInputs } from '../../proof/mains/rows';
import type { Wiring } from '../../wiring/graph';
import { TRIED_STILL } from '../tried-code';
import { causesIn, triedCode, type MainsCause } from './causes';
import { askedOf, looksIn, shownIn, type MainsLook, type MainsQuestion } from './looks';

export interface MainsDiagnosisInput {
  readonly wiring: Wiring;
  readonly inputs: MainsInputs;
  /** Answers, by the id of the look; and remedies that changed nothing, by `triedCode`. */
  readonly seen: Readonly<Record<string, string>>;
  readonly touched?: ReadonlySet<string>;
  /** Somebody competent may open covers. */
  readonly competent: boolean;
}

/** A cause without the wiring that it makes. */
export type NamedCause = Omit<MainsCause, 'wiring'>;

export interface MainsCauseBelief {
  /** Causes that no look of this person tells apart are one: the first names them. */
  readonly causes: readonly NamedCause[];
  readonly probability: number;
}

export interface MainsDiagnosis {
  readonly causes: readonly MainsCauseBelief[];
  /** The likeliest, where its remedy is worth more than another look. */
  readonly settled: MainsCauseBelief | null;
  readonly next: { readonly look: MainsQuestion; readonly gain: number } | null;
  readonly looks: readonly MainsQuestion[];
  /** Causes whose remedy was done, and it is as before: they are out. */
  readonly tried: readonly NamedCause[];
  /** The sound wiring would show all that was seen. */
  readonly sound: boolean;
}

/** An eye errs three times in a hundred. */
const ERR = 0.03;
/** Where nothing is solved (something else) every answer is as likely. */
const EVEN = 0.5;
/** From here a remedy is worth more than another look. */
export const MAINS_SETTLED = 0.8;
/** Below this many bits no look is worth its minutes. */
const LEAST_GAIN = 0.02;

export function diagnoseMains(input: MainsDiagnosisInput): MainsDiagnosis {
  const { wiring, inputs, seen, touched, competent } = input;
  const looks = looksIn(wiring, inputs);
  const causes = causesIn(wiring, touched);
  const table = causes.map((cause) => (cause.wiring === null ? null : shownIn(cause.wiring, inputs, looks)));
  const chance = (at: number, look: MainsLook, answer: string): number => {
    const shown = table[at]?.get(look.id);
    if (shown === undefined) return EVEN;
    return shown === answer ? 1 - ERR : ERR;
  };
  const isTried = (cause: NamedCause) => seen[triedCode(cause) ?? ''] === TRIED_STILL;
  const oddsOf = (cause: MainsCause) => (isTried(cause) ? 0 : cause.odds);
  const total = causes.reduce((sum, cause) => sum + oddsOf(cause), 0);
  const prior = Float64Array.from(causes, (cause) => oddsOf(cause) / total);
  const answered = looks.filter(({ id }) => seen[id] !== undefined);
  const beliefs = answered.reduce<Float64Array>(
    (now, look) =>
      posterior(
        now,
        causes.map((_, at) => chance(at, look, seen[look.id] ?? ''))
      ),
    prior
  );
  const open = looks.filter(({ id, openCover }) => seen[id] === undefined && (!openCover || competent));
  const next = open
    .map((look) => ({
      look,
      gain: expectedFrom(
        beliefs,
        look.answers.map(({ value }) => causes.map((_, at) => chance(at, look, value)))
      ).gain
    }))
    .filter(({ gain }) => gain >= LEAST_GAIN)
    .sort((a, b) => b.gain / b.look.minutes - a.gain / a.look.minutes);
  const sound = shownIn(wiring, inputs, looks);
  // What is out is named no more, not as the last of its kind either.
  const grouped = groups(causes, beliefs, table, looks, competent).flatMap((group) => {
    const left = group.causes.filter((cause) => !isTried(cause));
    return left.length > 0 ? [{ ...group, causes: left }] : [];
  });
  const [top] = grouped;
  const settled = top && top.probability >= MAINS_SETTLED ? top : null;
  return {
    causes: grouped,
    settled,
    next: settled || !next[0] ? null : { ...next[0], look: askedOf(next[0].look) },
    looks: looks.map(askedOf),
    tried: causes.filter(isTried).map(named),
    sound: answered.length > 0 && answered.every((look) => sound.get(look.id) === seen[look.id])
  };
}

function named({ wiring: _wiring, ...cause }: MainsCause): NamedCause {
  return cause;
}

/** Causes that show the same in every look that this person can make are told as one. */
function groups(
  causes: readonly MainsCause[],
  beliefs: Float64Array,
  table: readonly (ReadonlyMap<string, string> | null)[],
  looks: readonly MainsLook[],
  competent: boolean
): MainsCauseBelief[] {
  const own = looks.filter(({ openCover }) => !openCover || competent);
  const byShown = new Map<string, { causes: NamedCause[]; probability: number }>();
  causes.forEach((cause, at) => {
    const shown = table[at];
    const key = shown ? own.map(({ id }) => shown.get(id) ?? '').join() : cause.id;
    const group = byShown.get(key) ?? { causes: [], probability: 0 };
    group.causes.push(named(cause));
    group.probability += beliefs[at] ?? 0;
    byShown.set(key, group);
  });
  const belief = new Map(causes.map((cause, at) => [cause.id, beliefs[at] ?? 0]));
  return [...byShown.values()]
    .map((group) => ({
      ...group,
      causes: [...group.causes].sort((a, b) => (belief.get(b.id) ?? 0) - (belief.get(a.id) ?? 0))
    }))
    .sort((a, b) => b.probability - a.probability);
}
