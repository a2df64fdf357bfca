/** A way of changing mains controls: a function from graph to graph, with what it leaves dead and what it says. */
import type { MainsFinding } from '../../findings/mains';
import type { ControllerFacts } from '../../job/controller-facts';
import type { MainsMethod } from '../../trade/mains';
import type { Wiring } from '../../wiring/graph';

export interface MainsVariant {
  readonly id: string;
  /** Id of the room thermostat that the controller stands in for; null where none goes. */
  readonly room: string | null;
  /** How the two terminals that it stood between are joined: a link, or the wire from the controller moved to the other one. */
  readonly join: 'link' | 'move' | null;
  /** What becomes of its cable. */
  readonly cable: 'dead' | 'low-voltage' | null;
}

export interface MainsChange {
  readonly after: Wiring;
  /** Cables that have to be dead from then on. */
  readonly dead: readonly string[];
  readonly findings: readonly MainsFinding[];
}

export interface MainsMethodRule {
  readonly id: MainsMethod;
  /** The ways in which it can be done in this house; empty where it makes no sense. */
  variants(now: Wiring, facts: ControllerFacts): readonly MainsVariant[];
  apply(
    now: Wiring,
    facts: ControllerFacts,
    variant: MainsVariant
  ): MainsChange | { readonly refused: MainsFinding };
}
