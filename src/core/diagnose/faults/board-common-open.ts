import { commonNode } from '../../devices/boards/board';
import { boards } from '../../wiring/graph';
import type { FaultRule } from '../types';
import { withUpset } from './change';

/** Behind its C screw a board has lost the way to its own coils: they hang together on nothing, and the display stays lit. */
export const boardCommonOpen: FaultRule = {
  kind: 'board-common-open',
  faultsOf: (wiring, elements) =>
    boards(wiring).flatMap((board) => {
      const common = commonNode(board);
      const inside = elements.filter(
        (element) => element.kind === 'coil' && element.part?.device === board.id && element.b === common
      );
      if (inside.length < 2) return [];
      return [
        {
          id: `board-common-open:${board.id}`,
          kind: 'board-common-open' as const,
          hits: { device: board.id },
          says: `the common is open inside ${board.name}, behind its screw`,
          apart: true as const,
          apply: (before) => withUpset(before, { element: common, kind: 'bus-open' })
        }
      ];
    })
};
