import { END_SIDES } from '../../trade/vocabulary';
import type { FaultRule } from '../types';
import { endName, landed, LOOSE, withStrand } from './change';

/** A conductor has slipped out of its screw, at one end. */
export const conductorLoose: FaultRule = {
  kind: 'conductor-loose',
  faultsOf: (wiring) =>
    wiring.strands.filter(landed).flatMap((strand) =>
      END_SIDES.map((side) => ({
        id: `conductor-loose:${strand.id}:${side}`,
        kind: 'conductor-loose' as const,
        says: `the ${strand.name} conductor is loose at ${endName(side)}`,
        apply: (one) => withStrand(one, strand.id, (it) => ({ ...it, [side]: LOOSE }))
      }))
    )
};
