import { landedTerminal, terminalId, splitTerminal, type WireLink } from '../../wiring/graph';
import type { FaultRule } from '../types';
import { landed, markAt } from './change';

/** Bare copper of a conductor touches the common at the equipment: a strip too long, a stray strand. */
export const shortToCommon: FaultRule = {
  kind: 'short-to-common',
  faultsOf: (wiring) =>
    wiring.strands.filter(landed).flatMap((strand) => {
      const far = landedTerminal(strand.equipment);
      if (far === null || markAt(strand.equipment) === 'C') return [];
      const link: WireLink = {
        id: `short-${strand.id}`,
        place: 'equipment',
        a: far,
        b: terminalId(splitTerminal(far).device, 'C'),
        kind: 'wire'
      };
      return [
        {
          id: `short-to-common:${strand.id}`,
          kind: 'short-to-common' as const,
          says: `the ${strand.name} conductor touches common at the equipment`,
          apply: (one) => ({ ...one, links: [...one.links, link] })
        }
      ];
    })
};
