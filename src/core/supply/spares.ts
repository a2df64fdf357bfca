/** Wires that nothing uses. */
import { isFree, type Strand, type Wiring } from '../wiring/graph';

/** Free at both ends and not known to be broken; proven ones first, then those without a hidden joint. */
export function freeStrands(wiring: Wiring): Strand[] {
  const order = { proven: 0, untested: 1, broken: 2 } as const;
  return wiring.strands
    .filter((strand) => isFree(strand.near) && isFree(strand.far) && strand.continuity !== 'broken')
    .sort(
      (a, b) =>
        order[a.continuity] - order[b.continuity] ||
        Number(a.spliced === 'hidden') - Number(b.spliced === 'hidden')
    );
}
