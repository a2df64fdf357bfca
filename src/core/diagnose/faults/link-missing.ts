import type { FaultRule } from '../types';
import { markName, placeName } from './change';

/** A link that has to be there was forgotten. */
export const linkMissing: FaultRule = {
  kind: 'link-missing',
  faultsOf: (wiring) =>
    wiring.links
      .filter((link) => link.kind !== 'inside')
      .map((link) => {
        const [a, b] = [markName(wiring, link.a), markName(wiring, link.b)];
        return {
          id: `link-missing:${link.id}`,
          kind: 'link-missing' as const,
          hits: { link: link.id },
          says: `the jumper between ${a} and ${b} at ${placeName(wiring, link.at)} is missing`,
          apply: (before) => ({ ...before, links: before.links.filter((it) => it.id !== link.id) })
        };
      })
};
