import { landedMark, landedTerminal } from '../../wiring/graph';
import type { FaultRule } from '../types';
import { landed, withUpset } from './change';

/** A conductor touches earthed metal: a cabinet edge, a screw through the cable. It shows where the common is earthed as well. */
export const conductorToEarth: FaultRule = {
  kind: 'conductor-to-earth',
  faultsOf: (wiring) =>
    wiring.strands.filter(landed).flatMap((strand) => {
      const far = landedTerminal(strand.far);
      if (far === null || landedMark(wiring, strand.far) === 'C') return [];
      return [
        {
          id: `conductor-to-earth:${strand.id}`,
          kind: 'conductor-to-earth' as const,
          hits: { strands: [strand.id] },
          says: `the ${strand.name} wire touches earthed metal`,
          apply: (before) => withUpset(before, { element: far, kind: 'earthed' })
        }
      ];
    })
};
