import { finding } from '../../findings/finding';
import { ref } from '../../findings/refs';
import type { Wiring } from '../../wiring/graph';
import { continuityFindings } from '../equipment';
import { freeStrands } from '../spares';
import type { Repair } from './types';

/** A wire that was measured open: a spare of the same cable takes its job at both ends. */
export const replaceBroken: Repair = {
  id: 'replace-broken',
  find: ({ wiring }) =>
    wiring.strands.flatMap((broken) => {
      if (broken.continuity !== 'broken' || broken.near.state !== 'landed' || broken.far.state !== 'landed')
        return [];
      const spare = freeStrands(wiring).find((strand) => strand.cable === broken.cable);
      if (!spare) return [];
      const after: Wiring = {
        ...wiring,
        strands: wiring.strands.map((strand) => {
          if (strand.id === broken.id)
            return { ...strand, near: { state: 'coiled' }, far: { state: 'coiled' } };
          return strand.id === spare.id ? { ...strand, near: broken.near, far: broken.far } : strand;
        })
      };
      const fact = { what: 'replace-broken', conductor: broken.name, spare: spare.name } as const;
      return [
        {
          after,
          findings: [
            finding('warn', 'repair', fact, [ref.conductor(broken.id), ref.conductor(spare.id)]),
            ...continuityFindings(spare)
          ]
        }
      ];
    })
};
