import { finding } from '../../findings/finding';
import { ref } from '../../findings/refs';
import { isHot } from '../../trade/terminals';
import { markAt, printedMark, sideOf } from '../../wiring/graph';
import type { Repair } from './types';

/** A link between two hot screws, or two commons, ties supplies that have nothing to do with each other: it comes out. */
export const partSupplies: Repair = {
  id: 'part-supplies',
  find: ({ wiring }) =>
    wiring.links.flatMap((link) => {
      const marks = [link.a, link.b].map((end) => markAt(wiring, end) ?? '');
      if (!marks.every(isHot) && !marks.every((mark) => mark === 'C')) return [];
      return [
        {
          after: { ...wiring, links: wiring.links.filter((candidate) => candidate.id !== link.id) },
          findings: [
            finding(
              'warn',
              'repair',
              {
                what: 'part-supplies',
                a: printedMark(wiring, link.a),
                b: printedMark(wiring, link.b),
                end: sideOf(wiring, link.at)
              },
              [ref.link(link.id)]
            )
          ]
        }
      ];
    })
};
