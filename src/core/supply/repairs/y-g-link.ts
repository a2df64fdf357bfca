/** The link between Y and G at a machine, from a fan wire that was given away: missing, or left behind. */
import { finding } from '../../findings/finding';
import { ref } from '../../findings/refs';
import {
  boards,
  landedMark,
  meansAt,
  screwThat,
  type Board,
  type WireLink,
  type Wiring
} from '../../wiring/graph';
import { isTaken } from './land-loose-end';
import type { Repair } from './types';

export function yGLink(wiring: Wiring, board: Board): WireLink | undefined {
  return wiring.links.find(
    (link) =>
      link.at === board.at &&
      [
        ['Y1', 'G'],
        ['G', 'Y1']
      ].some(([a = '', b = '']) => meansAt(wiring, link.a).includes(a) && meansAt(wiring, link.b).includes(b))
  );
}

/** The fan wire serves as C, and nothing starts the blower in cooling. */
export const addYGLink: Repair = {
  id: 'add-y-g-link',
  find: ({ wiring }) =>
    boards(wiring).flatMap((board) => {
      const [y, g] = [screwThat(board, 'Y1'), screwThat(board, 'G')];
      const fanReachesWall = wiring.strands.some(
        (strand) => strand.near.state === 'landed' && landedMark(wiring, strand.near) === 'G'
      );
      if (!y || !g || isTaken(wiring, g.id) || fanReachesWall || yGLink(wiring, board)) return [];
      const link: WireLink = { id: `ln-y-g-${board.id}`, at: board.at, a: y.id, b: g.id, kind: 'wire' };
      return [
        {
          after: { ...wiring, links: [...wiring.links, link] },
          findings: [
            finding('warn', 'repair', { what: 'add-y-g-link', machine: board.name }, [ref.machine(board.id)])
          ]
        }
      ];
    })
};

/** G has a wire of its own again, and the link makes the fan start the compressor. */
export const removeYGLink: Repair = {
  id: 'remove-y-g-link',
  find: ({ wiring }) =>
    boards(wiring).flatMap((board) => {
      const link = yGLink(wiring, board);
      if (!link) return [];
      return [
        {
          after: { ...wiring, links: wiring.links.filter((candidate) => candidate.id !== link.id) },
          findings: [
            finding('warn', 'repair', { what: 'remove-y-g-link', machine: board.name }, [ref.link(link.id)])
          ]
        }
      ];
    })
};
