/** A fault is a function from graph to graph, as a plan is: the same circuit shows what it does. */
import type { PartName } from '../trade/parts';
import type { Element } from '../devices/elements';
import type { StrandEnd, Wiring } from '../wiring/graph';

export const FAULT_KINDS = [
  'conductor-loose',
  'conductor-broken',
  'conductors-swapped',
  'wrong-terminal',
  'link-missing',
  'link-left-in',
  'short-to-common',
  'conductors-shorted',
  'conductor-to-earth',
  'conductor-nicked',
  'joint-corroded',
  'fuse-open',
  'coil-open',
  'coil-shorted',
  'contact-welded',
  'board-common-open',
  'supply-off',
  'weak-transformer',
  'switch-open',
  'head-not-seated'
] as const;
export type FaultKind = (typeof FAULT_KINDS)[number];

/** What a fault hits: a conductor (at one end, or on the way), two that are swapped, a link, a device, or a part of one. */
export interface FaultHit {
  readonly strands?: readonly string[];
  readonly end?: StrandEnd;
  readonly link?: string;
  readonly device?: string;
  readonly part?: string;
  /** Which part of a device that is. */
  readonly partName?: PartName;
}

export interface Fault {
  /** Kind, a colon, and what is hit: stable for one wiring. */
  readonly id: string;
  readonly kind: FaultKind;
  readonly hits: FaultHit;
  /** As a clause: "the red conductor is loose at the wall". */
  readonly says: string;
  /** It changes what is joined to what, so that it cannot be laid over the sound circuit. */
  readonly apart?: true;
  /** The wiring with the fault in it. Of a wiring that has another fault already, the two together. */
  apply(wiring: Wiring): Wiring;
}

export interface FaultRule {
  readonly kind: FaultKind;
  /** Every place of the wiring that this kind of fault may hit. */
  faultsOf(wiring: Wiring, elements: readonly Element[]): readonly Fault[];
}
