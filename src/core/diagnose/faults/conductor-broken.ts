import type { FaultRule } from '../types';
import { landed, withStrand } from './change';

/** A conductor is broken on the way: a nail, a splice that has let go. */
export const conductorBroken: FaultRule = {
  kind: 'conductor-broken',
  faultsOf: (wiring) =>
    wiring.strands.filter(landed).map((strand) => ({
      id: `conductor-broken:${strand.id}`,
      kind: 'conductor-broken' as const,
      hits: { strands: [strand.id] },
      says: `the ${strand.name} wire is broken on the way`,
      apply: (before) => withStrand(before, strand.id, (it) => ({ ...it, continuity: 'broken' }))
    }))
};
