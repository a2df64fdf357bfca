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
  /** Which look is taken; the best, unless somebody goes by an order of their own. */
  readonly choose?: (asked: Asked) => Pick<NextLook, 'observation' | 'minutes'> | undefined;
}

/** The answer that a hypothesis gives to an observation; the second likeliest where the answer errs. */
export function answerOf({ answers, chances }: Observation, truth: number, wrong = false): string {
  const order = answers
    .map(({ value }, at) => ({ value, chance: chances[at]![truth] ?? 0 }))
    .sort((one, other) => other.chance - one.chance);
  return (order[wrong ? 1 : 0] ?? order[0])!.value;
}

/** `truth`: the number of the hypothesis that is so. */
export function playOut(prepared: Prepared, truth: number, rules: PlayRules): PlayOut {
  const {
    settled = SETTLED,
    mostLooks = 25,
    first = [],
    errs = () => false,
    choose = best,
    secondLooks = true
  } = rules;
  let { circumstances } = rules;
  const ability = abilityOf(circumstances);
  const seen: { observation: Observation; answer: string }[] = [];
  const looks: { id: string; answer: string; minutes: number }[] = [];
  const answered = new Set<string>();
  const note = (observation: Observation, minutes: number) => {
    const answer = answerOf(observation, truth, errs());
    seen.push({ observation, answer });
    looks.push({ id: observation.id, answer, minutes });
    answered.add(observation.id);
  };
  for (const id of first) {
    const observation = prepared.observations.find((candidate) => candidate.id === id);
    if (observation) note(observation, 0);
  }
  let belief = beliefAfter(prepared, seen);
  const again = new Set<string>();
  while (looks.length < mostLooks) {
    const [top] = rankedCauses(prepared, belief, ability);
    const settles = top !== undefined && top.probability >= settled;
    const next = settles ? undefined : choose({ prepared, belief, circumstances, answered });
    // Before it counts as found, what does not fit is looked at once more.
    const doubtful =
      next || !secondLooks
        ? undefined
        : againstOf(seen, belief).find(({ observation }) => !again.has(observation.id));
    if (!next && !doubtful) break;
    const observation = next?.observation ?? doubtful!.observation;
    if (doubtful) {
      again.add(observation.id);
      seen.splice(seen.indexOf(doubtful), 1);
    }
    note(observation, next?.minutes ?? minutesOf(observation, circumstances));
    circumstances = circumstancesAfter(observation, circumstances);
    belief = beliefAfter(prepared, seen);
  }
  const ranked = rankedCauses(prepared, belief, ability);
  const { causes, list } = prepared.situation;
  const mine = list[truth]!.causes.map((cause) => causes[cause]!.id);
  const rank = ranked.findIndex(({ ids }) => mine.some((id) => ids.includes(id)));
  return {
    looks,
    minutes: looks.reduce((sum, look) => sum + look.minutes, 0),
    ranked,
    found: rank === 0,
    inThree: rank >= 0 && rank < 3
  };
}
