import { placeOfEnd, STRAND_ENDS, type StrandEnd } from '../../wiring/graph';
import type { FaultRule } from '../types';
import { endName, landed, withStrand } from './change';

/** Two conductors that stand side by side have been swapped, at one end. */
export const conductorsSwapped: FaultRule = {
  kind: 'conductors-swapped',
  faultsOf: (wiring) => {
    const all = wiring.strands.filter(landed);
    return all.slice(1).flatMap((second, at) => {
      const first = all[at];
      if (!first) return [];
      // Hands swap what is before them: not a wire at one place with a wire at another.
      const together = (side: StrandEnd) =>
        placeOfEnd(wiring, first, side) === placeOfEnd(wiring, second, side) &&
        JSON.stringify(first[side]) !== JSON.stringify(second[side]);
      return STRAND_ENDS.filter(together).map((side) => ({
        id: `conductors-swapped:${first.id}:${second.id}:${side}`,
        kind: 'conductors-swapped' as const,
        hits: { strands: [first.id, second.id], end: side },
        says: `the ${first.name} and ${second.name} wires are swapped at ${endName(wiring, first, side)}`,
        apply: (before) => {
          const end = (id: string) => before.strands.find((it) => it.id === id)?.[side];
          const [a, b] = [end(first.id), end(second.id)];
          if (!a || !b) return before;
          const once = withStrand(before, first.id, (it) => ({ ...it, [side]: b }));
          return withStrand(once, second.id, (it) => ({ ...it, [side]: a }));
        }
      }));
    });
  }
};
