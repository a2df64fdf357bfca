/** Answers that the likeliest hypothesis does not explain: one of them, or the other side, is wrong. They are worth a second look. */
import { chancesOfAnswer } from './diagnosis';
import type { Observation } from './observations/types';

/** Under this chance an answer speaks against a cause. */
const AGAINST = 0.1;

export interface Answered {
  readonly observation: Observation;
  readonly answer: string | number;
}

export function againstOf<T extends Answered>(all: readonly T[], belief: Float64Array): T[] {
  const member = belief.reduce((best, share, at) => (share > belief[best]! ? at : best), 0);
  return all.filter(({ observation, answer }) => {
    const chance = chancesOfAnswer(observation, answer)?.[member] ?? 1;
    // A reading has a chance for each volt: it is small for the best of causes.
    return chance < (typeof answer === 'number' ? AGAINST / 10 : AGAINST);
  });
}
