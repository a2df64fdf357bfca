/**
 * How likely each cause is against the others, where nothing has been looked at: odds for each place that a cause may hit. They are
 * estimates of the trade's order (what is met every week, every year, hardly ever), not counts of anybody's; they only have to rank.
 */
import type { CauseKind } from './types';

export const CAUSE_ODDS: Readonly<Record<CauseKind, number>> = {
  'conductor-loose': 1,
  'conductor-broken': 0.15,
  'conductors-swapped': 0.25,
  'wrong-terminal': 0.3,
  'link-missing': 0.8,
  'link-left-in': 0.8,
  'short-to-common': 0.15,
  'conductors-shorted': 0.05,
  'conductor-to-earth': 0.05,
  'conductor-nicked': 0.3,
  'joint-corroded': 0.1,
  'fuse-open': 2,
  'coil-open': 0.1,
  'coil-shorted': 0.05,
  'contact-welded': 0.03,
  'board-common-open': 0.03,
  'supply-off': 2,
  'weak-transformer': 0.3,
  'switch-open': 1.5,
  'head-not-seated': 1.5,
  'timer-counting': 3,
  'batteries-empty': 0.5,
  'set-up-system': 1,
  'set-up-valve': 1,
  'set-up-stages': 0.5,
  'set-up-fan': 0.5,
  'set-up-supplies': 0.5,
  'machine-fault': 0.5,
  'something-else': 0.5
};

/** What a step of this job could have caused counts so many times: what was touched last is the likeliest. */
export const TOUCHED_FACTOR = 6;

/** Share of the belief, before anything is looked at, that two causes are there at once. */
export const SHARE_OF_PAIRS = 0.15;
