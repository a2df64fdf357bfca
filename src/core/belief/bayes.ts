/**
 * Belief: a probability for each of several hypotheses, changed by what is observed (Bayes' rule, observations taken as independent given the
 * hypothesis), and which observation is worth making next. What the hypotheses are about is no matter here.
 */

/**
 * The beliefs after an observation whose chance under each hypothesis is `chances`. An observation that excludes every hypothesis teaches
 * nothing: the beliefs stay as they were.
 */
export function posterior(prior: ArrayLike<number>, chances: ArrayLike<number>): Float64Array {
  const after = Float64Array.from(prior, (belief, index) => belief * (chances[index] ?? 0));
  const total = after.reduce((sum, share) => sum + share, 0);
  return total > 0 ? after.map((share) => share / total) : Float64Array.from(prior);
}

/** Shannon entropy of a list of probabilities, in bits. */
export function entropy(shares: ArrayLike<number>): number {
  let sum = 0;
  for (let index = 0; index < shares.length; index += 1) {
    const share = shares[index] ?? 0;
    if (share > 0) sum -= share * Math.log2(share);
  }
  return sum;
}

/** What one answer to a question would make of the beliefs. */
export interface Expectation {
  /** Chance of the answer, 0 to 1. */
  readonly chance: number;
  /** Index of the likeliest hypothesis after it, and its probability. */
  readonly top: number;
  readonly probability: number;
}

export interface Expected {
  /** Doubt that the question is expected to take away, bits; never below 0. */
  readonly gain: number;
  readonly answers: readonly Expectation[];
}

/** What a question promises: `table` has a row for each answer, with its chance under each hypothesis. */
export function expectedFrom(prior: ArrayLike<number>, table: readonly ArrayLike<number>[]): Expected {
  const after = new Float64Array(prior.length);
  let left = 0;
  const answers = table.map((row): Expectation => {
    let chance = 0;
    let top = 0;
    for (let index = 0; index < prior.length; index += 1) {
      const joint = (prior[index] ?? 0) * (row[index] ?? 0);
      after[index] = joint;
      chance += joint;
      if (joint > (after[top] ?? 0)) top = index;
    }
    for (let index = 0; index < prior.length; index += 1) after[index]! /= chance || 1;
    left += chance * entropy(after);
    return { chance, top, probability: after[top] ?? 0 };
  });
  return { gain: Math.max(0, entropy(prior) - left), answers };
}

/** How much it takes to make an observation: a look where one is, a way to the equipment, a meter. */
export type Effort = 'look' | 'climb' | 'meter';

/** How many looks each is worth. */
const EFFORT_WEIGHT: Readonly<Record<Effort, number>> = { look: 1, climb: 2, meter: 3 };

/** A gain below this many bits is worth nobody's steps. */
const LEAST_GAIN = 0.005;

/** The questions that are worth asking, the most gain for its effort first. */
export function worthAsking<T extends { readonly gain: number }>(
  questions: readonly T[],
  effortOf: (question: T) => Effort
): T[] {
  const worth = (question: T) => question.gain / EFFORT_WEIGHT[effortOf(question)];
  return questions.filter((question) => question.gain >= LEAST_GAIN).sort((a, b) => worth(b) - worth(a));
}
