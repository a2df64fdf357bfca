/** Steam boiler: the low-water cut-off stands in series with the call, so that a dry boiler never fires. No circulator. */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import { closedSwitch, coilBetween, coilId, coilScrew, commonNode, supplyElements } from './board';
import { heatCallMark } from './boiler';

export function steamControl(board: Board): Fragment {
  const call = heatCallMark(board);
  const behind = `${board.id}:behind-cut-off`;
  return {
    elements: [
      ...supplyElements(board),
      closedSwitch(board, 'low-water-cut-off', coilScrew(board, call)?.id ?? `${board.id}:no-call`, behind),
      coilBetween(
        coilId(board, call),
        { device: board.id, part: 'coil', mark: call },
        [behind, commonNode(board)],
        COILS.boilerRelay
      )
    ],
    loads: [{ load: 'boiler', coils: [coilId(board, call)] }],
    ground: commonNode(board)
  };
}
