/** What evidence is: an observation with values, and how often each value is met in each family of systems. */
import type { Effort } from '../belief/bayes';
import { type Ref, ref } from '../findings/refs';
import { FAMILIES, type Family } from '../trade/vocabulary';
import type { Job, Thermostat } from '../job/schema';
import type { Wiring } from '../wiring/graph';

/** What a belief is held about: every family of the trade. What is none of them shows up as `unknown`. */
export const CANDIDATES = FAMILIES;
export type Candidate = Family;

export interface EvidenceValue {
  readonly value: string;
  /** The answer as a button says it. */
  readonly label: string;
  /** What the answer says about the house, as a sentence. */
  readonly sentence: string;
}

export interface Situation {
  readonly job: Job;
  readonly thermostat: Thermostat;
  readonly wiring: Wiring;
}

export interface Reading {
  readonly value: string;
  /** Ids of the recorded facts that it was read from. */
  readonly because: readonly Ref[];
}

/** The value of a wire that is landed at the wall and whose other end nobody has seen: it may be landed there or on nothing. */
export const WALL_UNSEEN = 'wall-unseen';

export interface Evidence {
  readonly id: string;
  /** Pieces of one witness say much the same: what is printed at the plate, and that a wire is on the screw beside it. */
  readonly witness?: 'letters';
  /** The question that has to be answered first: this one has a meaning only after it. */
  readonly after?: string;
  /** `asked`: the user answers; `read`: it follows from the recorded wiring. */
  readonly kind: 'asked' | 'measured' | 'read';
  readonly ask: string;
  /** How to find out, for the hands. */
  readonly how: string;
  readonly effort: Effort;
  /** Where the figures come from. */
  readonly source: string;
  readonly values: readonly EvidenceValue[];
  /** Chance of each value in each family, in the order of `values`. Rows need not add up to 1 exactly; they are normalised. */
  readonly likelihood: Readonly<Record<Exclude<Candidate, 'unknown'>, readonly number[]>>;
  /** The value in this situation, or null when it is not known yet. */
  read(situation: Situation): Reading | null;
}

/** Reads the answer that the user gave to this evidence's question. */
export function answered(id: string, values: readonly EvidenceValue[]) {
  return ({ thermostat }: Situation): Reading | null => {
    const answer = thermostat.observed[id];
    return values.some((value) => value.value === answer)
      ? { value: String(answer), because: [ref.observation(id)] }
      : null;
  };
}

/** Where the usual figures come from, until measured ones replace them. */
export const ESTIMATE = 'Estimate from the layouts in which each family is usually built; not a survey.';
