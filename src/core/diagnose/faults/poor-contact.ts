/** Copper that still joins, but badly: a corroded joint, and a conductor broken at the nick whose ends touch. */
import type { Strand, Wiring } from '../../wiring/graph';
import type { FaultKind, FaultRule } from '../types';
import { landed, withStrand } from './change';

/** A green joint passes a trickle as ever, and drops volts under a coil: estimate. */
export const CORRODED_OHMS = 15;
/** Ends that only touch: a meter reads full volts, and next to nothing gets through. Estimate. */
export const NICKED_OHMS = 300;

function poorContact(kind: FaultKind, ohms: number, says: (strand: Strand) => string): FaultRule {
  return {
    kind,
    faultsOf: (wiring: Wiring) =>
      wiring.strands.filter(landed).map((strand) => ({
        id: `${kind}:${strand.id}`,
        kind,
        hits: { strands: [strand.id] },
        says: says(strand),
        apply: (before) => withStrand(before, strand.id, (it) => ({ ...it, ohms: it.ohms + ohms }))
      }))
  };
}

export const jointCorroded = poorContact(
  'joint-corroded',
  CORRODED_OHMS,
  ({ name }) => `a joint of the ${name} wire is corroded`
);

export const conductorNicked = poorContact(
  'conductor-nicked',
  NICKED_OHMS,
  ({ name }) => `the ${name} wire is broken at the nick, and its ends still touch`
);
