/**
 * A house with a known fault that answers what it is asked: for tests, for the measure of how well looks are chosen, and for practice. It
 * shows what its fault shows, and errs as often as it is told to.
 */
import { beliefAfter, rankedCauses, SETTLED, type CauseBelief, type Prepared } from './diagnosis';
import { againstOf } from './contradictions';
import {
  abilityOf,
  circumstancesAfter,
  minutesOf,
  nextLooks,
  type Circumstances,
  type NextLook
} from './next-look';
import { triedCauses, triedLook } from './observations/tried';
import { triedId } from './tried-code';
import type { Observation } from './observations/types';

export interface PlayOut {
  /** Looks in their order, with what was answered. */
  readonly looks: readonly { readonly id: string; readonly answer: string; readonly minutes: number }[];
  readonly minutes: number;
  readonly ranked: readonly CauseBelief[];
  /** Whether a true cause (or its class) is the likeliest at the end, and whether one is among the first three. */
  readonly found: boolean;
  readonly inThree: boolean;
}

/** What a look is chosen from. */
export interface Asked {
  readonly prepared: Prepared;
  readonly belief: Float64Array;
  readonly circumstances: Circumstances;
  readonly answered: ReadonlySet<string>;
}

const best = ({ prepared, belief, circumstances, answered }: Asked) =>
  nextLooks(prepared, belief, circumstances, answered)[0];

export interface PlayRules {
  readonly circumstances: Circumstances;
  /** It is settled once the likeliest class has this share. */
  readonly settled?: number;
  readonly mostLooks?: number;
  /** Seen before the first look: answers that the house gave by itself. */
  readonly first?: readonly string[];
  /** Says whether the next answer is wrong. */
  readonly errs?: () => boolean;
  /** Whether what does not fit is looked at once more before it counts as found; it is, unless this says not. */
  readonly secondLooks?: boolean;
  /** Whether what settles is put right and looked at again, before it counts as found; it is, unless this says not. */
  readonly tries?: boolean;
  /** Which look is taken; the best, unless somebody goes by an order of their own. */
  readonly choose?: (asked: Asked) => Pick<NextLook, 'observation' | 'minutes'> | undefined;
}

/** The answer that a hypothesis gives to an observation; the second likeliest where the answer errs. */
export function answerOf({ answers, chances }: Observation, truth: number, wrong = false): string {
  const order = answers
    .map(({ value }, at) => ({ value, chance: chances[at]![truth] ?? 0 }))
    .sort((first, second) => second.chance - first.chance);
  return (order[wrong ? 1 : 0] ?? order[0])!.value;
}

interface Answered {
  readonly observation: Observation;
  readonly answer: string;
}

/** What was asked so far, and where it leaves whoever asks. */
class Played {
  readonly seen: Answered[] = [];
  readonly looks: { id: string; answer: string; minutes: number }[] = [];
  readonly answered = new Set<string>();
  readonly #again = new Set<string>();
  circumstances: Circumstances;
  belief: Float64Array;

  constructor(
    readonly prepared: Prepared,
    readonly answerTo: (observation: Observation) => string,
    start: Circumstances
  ) {
    this.circumstances = start;
    this.belief = prepared.prior;
  }

  /** Shown by itself: nobody walked for it. */
  given(observation: Observation): void {
    this.#note(observation, 0);
  }

  look(observation: Observation, minutes = minutesOf(observation, this.circumstances)): void {
    this.#note(observation, minutes);
    this.circumstances = circumstancesAfter(observation, this.circumstances);
  }

  /** The first answer that does not fit and was not looked at twice: it is looked at once more. False where there is none. */
  lookAgain(): boolean {
    const doubtful = againstOf(this.seen, this.belief).find(
      ({ observation }) => !this.#again.has(observation.id)
    );
    if (!doubtful) return false;
    this.#again.add(doubtful.observation.id);
    this.seen.splice(this.seen.indexOf(doubtful), 1);
    this.look(doubtful.observation);
    return true;
  }

  ranked(): CauseBelief[] {
    const { prepared, belief, circumstances, seen } = this;
    return rankedCauses(prepared, belief, abilityOf(circumstances), triedCauses(prepared, seen));
  }

  #note(observation: Observation, minutes: number): void {
    const answer = this.answerTo(observation);
    this.seen.push({ observation, answer });
    this.looks.push({ id: observation.id, answer, minutes });
    this.answered.add(observation.id);
    this.belief = beliefAfter(this.prepared, this.seen);
  }
}

/** `truth`: the number of the hypothesis that is so. */
export function playOut(prepared: Prepared, truth: number, rules: PlayRules): PlayOut {
  const { settled = SETTLED, mostLooks = 25, first = [], errs = () => false } = rules;
  const { choose = best, secondLooks = true, tries = true } = rules;
  const { causes, list } = prepared.situation;
  const mine = new Set(list[truth]!.causes.map((cause) => causes[cause]!.id));
  const played = new Played(
    prepared,
    (observation) => answerOf(observation, truth, errs()),
    rules.circumstances
  );
  for (const id of first) {
    const observation = prepared.observations.find((candidate) => candidate.id === id);
    if (observation) played.given(observation);
  }
  while (played.looks.length < mostLooks) {
    const [top] = played.ranked();
    const settles = top !== undefined && top.probability >= settled;
    const next = settles ? undefined : choose(played);
    // Its remedy is done, and it is as before: that is an answer too. Where it was the cause, the trouble is gone.
    const tried = settles && tries ? remedyTried(prepared, top, mine) : undefined;
    if (next) played.look(next.observation, next.minutes);
    else if (tried && !played.answered.has(tried.id)) played.look(tried);
    else if (!secondLooks || !played.lookAgain()) break;
  }
  const ranked = played.ranked();
  const rank = ranked.findIndex(({ ids }) => ids.some((id) => mine.has(id)));
  return {
    looks: played.looks,
    minutes: played.looks.reduce((sum, look) => sum + look.minutes, 0),
    ranked,
    found: rank === 0,
    inThree: rank >= 0 && rank < 3
  };
}

function remedyTried(
  prepared: Prepared,
  top: CauseBelief,
  mine: ReadonlySet<string>
): Observation | undefined {
  return top.ids.some((id) => mine.has(id)) ? undefined : triedLook(prepared, triedId(top.cause.id));
}
