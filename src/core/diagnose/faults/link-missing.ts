import type { FaultRule } from '../types';
import { endName, markAt } from './change';

/** A link that has to be there was forgotten. */
export const linkMissing: FaultRule = {
  kind: 'link-missing',
  faultsOf: (wiring) =>
    wiring.links
      .filter((link) => link.kind !== 'inside')
      .map((link) => {
        const mark = (terminal: string) => markAt({ state: 'landed', terminal }) ?? '';
        return {
          id: `link-missing:${link.id}`,
          kind: 'link-missing' as const,
          says: `the link between ${mark(link.a)} and ${mark(link.b)} at ${endName(link.place)} is missing`,
          apply: (one) => ({ ...one, links: one.links.filter((it) => it.id !== link.id) })
        };
      })
};
