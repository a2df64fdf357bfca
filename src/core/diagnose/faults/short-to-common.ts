import { deviceOf, landedMark, landedTerminal, screwThat, type WireLink } from '../../wiring/graph';
import type { FaultRule } from '../types';
import { landed } from './change';

/** Bare copper of a conductor touches the common at the equipment: a strip too long, a stray strand. */
export const shortToCommon: FaultRule = {
  kind: 'short-to-common',
  faultsOf: (wiring) =>
    wiring.strands.filter(landed).flatMap((strand) => {
      const far = landedTerminal(strand.far);
      const device = far === null ? undefined : deviceOf(wiring, far);
      if (far === null || !device || landedMark(wiring, strand.far) === 'C') return [];
      // A board has a common inside even where no screw stands for it.
      const common = screwThat(device, 'C')?.id ?? `${device.id}:common`;
      const link: WireLink = {
        id: `short-${strand.id}`,
        at: device.at,
        a: far,
        b: common,
        kind: 'wire'
      };
      return [
        {
          id: `short-to-common:${strand.id}`,
          kind: 'short-to-common' as const,
          hits: { strands: [strand.id], end: 'far' as const },
          says: `the ${strand.name} wire touches common at the equipment`,
          apply: (before) => ({ ...before, links: [...before.links, link] })
        }
      ];
    })
};
