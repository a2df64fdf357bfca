import { landedTerminal, type Strand, type WireLink } from '../../wiring/graph';
import type { FaultRule } from '../types';
import { landed } from './change';

/** Two conductors of one cable touch inside it: a staple, a nail, insulation that has crumbled. */
export const conductorsShorted: FaultRule = {
  kind: 'conductors-shorted',
  faultsOf: (wiring) => {
    const all = wiring.strands.filter(landed);
    const pairs = all.flatMap((first, at) =>
      all.slice(at + 1).map((second): [Strand, Strand] => [first, second])
    );
    return pairs.flatMap(([first, second]) => {
      const [a, b] = [landedTerminal(first.far), landedTerminal(second.far)];
      if (first.cable !== second.cable || a === null || b === null || a === b) return [];
      const at = wiring.cables.find((cable) => cable.id === first.cable)?.far ?? 'machine';
      const link: WireLink = { id: `touch-${first.id}-${second.id}`, at, a, b, kind: 'wire' };
      return [
        {
          id: `conductors-shorted:${first.id}:${second.id}`,
          kind: 'conductors-shorted' as const,
          hits: { strands: [first.id, second.id] },
          says: `the ${first.name} and ${second.name} wires touch inside the cable`,
          apply: (before) => ({ ...before, links: [...before.links, link] })
        }
      ];
    });
  }
};
