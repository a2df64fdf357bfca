/** What a way of supplying the common is: a function from graph to graph, with what no circuit knows said beside it. */
import type { DeviceFacts } from '../job/device-facts';
import type { Finding } from '../findings/finding';
import type { MethodId } from '../trade/vocabulary';
import type { Loss } from '../words/losses';
import type { Situation } from './situation';
import type { Wiring } from '../wiring/graph';

/** A situation, and the thermostat that is to be fed in it. */
export interface SupplySituation extends Situation {
  readonly device: DeviceFacts;
}

export interface Part {
  readonly id: string;
  readonly name: string;
  readonly quantity: number;
  readonly unit: string;
  /** Price for that quantity, dollars, for comparing ways with each other. */
  readonly cost: number;
  /** One run of cable, for cutting it from rolls. */
  readonly run?: CableRun;
  /** The machine that it is put into: one serves all that are wired to it. */
  readonly for?: string;
}

export interface CableRun {
  readonly conductors: number;
  /** AWG. */
  readonly gauge: number;
  readonly lengthM: number;
}

export interface Offer {
  /** The wiring it would make, or null when it cannot even be drawn. */
  readonly after: Wiring | null;
  /** Conditions, rules and remarks that no circuit knows. A stop refuses the method. */
  readonly findings: readonly Finding[];
  /** What is given up besides what the circuit shows. */
  readonly loses: readonly Loss[];
  readonly parts: readonly Part[];
  /** Minutes beyond the moves themselves: finding, pulling, patching. */
  readonly extraMinutes: number;
  /** Where it stands for this device, when that differs from what holds of the method. */
  readonly standing?: Standing;
}

/** Prefer what exists over what is added, and what is added over what is given up. */
export type Standing = 'exists' | 'spare' | 'added' | 'given-up' | 'left';

/** One of several ways in which a method may be done: which conductor, which cable, which run of a cord. */
export interface Variant {
  readonly id: string;
  readonly title: string;
}

export interface Method {
  readonly id: MethodId;
  readonly title: string;
  /** How it works, in a sentence for the hands. */
  readonly how: string;
  readonly standing: Standing;
  /** Where there is a choice, each is offered and proven by itself; none where the method can be done in one way only. */
  variants?(situation: SupplySituation): readonly Variant[];
  /** `variant`: the id of one of the variants, or null where there are none. */
  offer(situation: SupplySituation, variant: string | null): Offer;
}

/** An offer that cannot be drawn, with the reason. */
export function refused(...findings: Finding[]): Offer {
  return { after: null, findings, loses: [], parts: [], extraMinutes: 0 };
}
