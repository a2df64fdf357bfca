/**
 * The order of the options, as the trade weighs them: nobody hurt and nothing damaged; every function of the equipment works, not only those
 * that did before; what rests on nothing unread before what a look would have to settle; what exists before what is added, before what is given
 * up; what stays in the wall before what hangs on it; least work in places hard to reach; cost. The user may weigh work, cost and looks, below
 * harm and functions and never against them.
 */
import type { Minds } from '../job/schema';
import type { MethodId, Verdict } from '../trade/vocabulary';
import type { Standing } from './types';

export interface RankFacts {
  readonly method: MethodId;
  readonly title: string;
  readonly verdict: Verdict;
  readonly standing: Standing;
  /** Functions that no longer work, or go on not working. */
  readonly functionsLost: number;
  /** It rests on something of its own that nobody has looked at. */
  readonly unread: boolean;
  /** Everything of it is in a wall or a machine, and the old cable is sound: no hidden joint, no brittle insulation. */
  readonly lasts: boolean;
  readonly minutes: number;
  readonly cost: number;
  /** Something stays in sight that was not there: a cord, a raceway. */
  readonly shows: boolean;
}

interface Criterion {
  readonly id: string;
  /** Lower is better. */
  measure(facts: RankFacts, minds: Minds): number;
  /** Why the better of two stands above the other. */
  because(better: RankFacts, worse: RankFacts): string;
}

const verdictTier: Readonly<Record<Verdict, number>> = { go: 0, care: 0, pro: 1, no: 2 };
const standingOrder: Readonly<Record<Standing, number>> = {
  exists: 0,
  spare: 1,
  added: 2,
  'given-up': 3,
  left: 4
};

export const CRITERIA: readonly Criterion[] = [
  {
    id: 'harm',
    measure: (rankFacts) => verdictTier[rankFacts.verdict],
    because: (_, worse) =>
      worse.verdict === 'no' ? 'the other is refused' : 'the other takes a licensed person'
  },
  {
    id: 'gives-up-the-aim',
    measure: (rankFacts) => (rankFacts.standing === 'left' ? 1 : 0),
    because: () => 'it gives the new thermostat what it needs'
  },
  {
    id: 'functions',
    measure: (rankFacts) => rankFacts.functionsLost,
    because: (better) =>
      better.functionsLost === 0 ? 'every function works afterwards' : 'fewer functions are lost'
  },
  {
    id: 'unread',
    measure: (rankFacts) => (rankFacts.unread ? 1 : 0),
    because: () => 'it rests on nothing that nobody has looked at'
  },
  {
    // Only where the user said that something counts more or less than usual.
    id: 'minds',
    measure: (rankFacts, minds) => (isUsual(minds) ? 0 : burden(rankFacts, minds)),
    because: () => 'of what you said counts more'
  },
  {
    id: 'permanence',
    measure: (rankFacts) => standingOrder[rankFacts.standing],
    because: (better) =>
      better.standing === 'added'
        ? 'something is added and nothing given up'
        : 'it uses what is there already'
  },
  {
    id: 'lasts',
    measure: (rankFacts) => (rankFacts.lasts ? 0 : 1),
    because: () => 'all of it is out of sight, on sound wires with no hidden joint'
  },
  {
    id: 'conditions',
    measure: (rankFacts) => (rankFacts.verdict === 'care' ? 1 : 0),
    because: () => 'nothing has to be watched with it'
  },
  {
    id: 'work',
    measure: (rankFacts) => rankFacts.minutes,
    because: (better, worse) => `it is less work (${better.minutes} against ${worse.minutes} minutes)`
  },
  {
    id: 'cost',
    measure: (rankFacts) => rankFacts.cost,
    because: (better, worse) => `it costs less (${better.cost} against ${worse.cost})`
  }
];

export const USUAL_MINDS: Minds = { cost: 1, work: 1, looks: 1 };

function isUsual({ cost, work, looks }: Minds): boolean {
  return cost === 1 && work === 1 && looks === 1;
}

/** An hour of work, fifty dollars and a cord in sight weigh the same to somebody who minds all three alike. Leaving it counts nothing. */
function burden({ minutes, cost, shows, standing }: RankFacts, minds: Minds): number {
  const givenUp = standing === 'given-up' ? 1 : 0;
  return (minds.work * minutes) / 60 + (minds.cost * cost) / 50 + (shows ? minds.looks : 0) + givenUp;
}

export function compareOptions(a: RankFacts, b: RankFacts, minds: Minds = USUAL_MINDS): number {
  for (const criterion of CRITERIA) {
    const difference = criterion.measure(a, minds) - criterion.measure(b, minds);
    if (difference !== 0) return difference;
  }
  return 0;
}

/** Why `better` stands above `worse`, in words; null where nothing decides between them or both are refused. */
export function whyAbove(better: RankFacts, worse: RankFacts, minds: Minds = USUAL_MINDS): string | null {
  if (better.verdict === 'no') return null;
  const criterion = CRITERIA.find(
    (candidate) => candidate.measure(better, minds) !== candidate.measure(worse, minds)
  );
  return criterion ? `above “${worse.title}” because ${criterion.because(better, worse)}` : null;
}
