/** Why something does not work: a fault that the circuit shows, or one of the causes that no wire shows. */
import type { FaultHit, FaultKind } from '../types';

export const UNSEEN_KINDS = [
  'timer-counting',
  'batteries-empty',
  'set-up-system',
  'set-up-valve',
  'set-up-stages',
  'set-up-fan',
  'set-up-supplies',
  'machine-fault',
  'something-else'
] as const;
export type UnseenKind = (typeof UNSEEN_KINDS)[number];
export type CauseKind = FaultKind | UnseenKind;

export interface Cause {
  /** Stable for one wiring: the id of the fault, or the kind. */
  readonly id: string;
  readonly kind: CauseKind;
  /** As a clause: "the red wire is loose at the wall". */
  readonly says: string;
  /** Its number among the faults of the table; null for what no wire shows. */
  readonly fault: number | null;
  readonly hits: FaultHit;
  /** How likely it is against the others, before anything is looked at. */
  readonly odds: number;
  /** A step of this job could have caused it. */
  readonly touched: boolean;
}

/** One cause, or two at once; which row of the fault table shows it. */
export interface Hypothesis {
  readonly causes: readonly number[];
  readonly row: number;
}
