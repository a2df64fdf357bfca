/** Steam boiler: the low-water cut-off stands in series with the call, so that a dry boiler never fires. No circulator. */
import { COILS } from '../../trade/loads';
import { terminalId, type Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import { closedSwitch, coilBetween, coilId, commonNode, hotMark, supplyElements } from './board';
import { heatCallMark } from './boiler';

export function steamControl(board: Board): Fragment {
  const call = heatCallMark(board);
  const behind = `${board.id}:behind-cut-off`;
  return {
    elements: [
      ...supplyElements(board, hotMark(board)),
      closedSwitch(`${board.id}:low-water-cut-off`, terminalId(board.id, call), behind),
      coilBetween(coilId(board, call), behind, commonNode(board), COILS.boilerRelay)
    ],
    loads: [{ load: 'boiler', coils: [coilId(board, call)] }],
    ground: commonNode(board)
  };
}
