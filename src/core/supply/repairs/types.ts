/**
 * A repair: a function from graph to graph, as a method is, for something that is wrong with the house as it was found. It is offered where
 * its signs are there, and kept where the solved circuit shows that less is wrong with it and nothing more.
 */
import type { Finding } from '../../findings/finding';
import type { RepairId } from '../../trade/vocabulary';
import type { Wiring } from '../../wiring/graph';
import type { WeightedWorld } from '../../identify/worlds';

export interface RepairSituation {
  /** The house as it is, with unseen ends taken as everywhere else. */
  readonly wiring: Wiring;
  /** Strands whose far end nobody has seen: none of them is moved by a repair. */
  readonly assumed: readonly string[];
  readonly worlds: readonly WeightedWorld[];
}

/** The wiring with the repair made. */
export interface RepairOffer {
  readonly after: Wiring;
  /** What it is, and what has to hold before it is done. */
  readonly findings: readonly Finding[];
}

export interface Repair {
  readonly id: RepairId;
  /** A wire on a screw that does not fit is put right even where nothing is dead for it yet. */
  readonly always?: true;
  /** Every place where it could be made. */
  find(situation: RepairSituation): readonly RepairOffer[];
}
