import { STRAND_ENDS } from '../../wiring/graph';
import type { FaultRule } from '../types';
import { endName, landed, LOOSE, withStrand } from './change';

/** A conductor has slipped out of its screw, at one end. */
export const conductorLoose: FaultRule = {
  kind: 'conductor-loose',
  faultsOf: (wiring) =>
    wiring.strands.filter(landed).flatMap((strand) =>
      STRAND_ENDS.map((end) => ({
        id: `conductor-loose:${strand.id}:${end}`,
        kind: 'conductor-loose' as const,
        hits: { strands: [strand.id], end },
        says: `the ${strand.name} wire is loose at ${endName(wiring, strand, end)}`,
        apply: (before) => withStrand(before, strand.id, (it) => ({ ...it, [end]: LOOSE }))
      }))
    )
};
