/** Air handler of a heat pump: both heating and cooling go through Y; the blower runs on G and on nothing else. */
import { COIL_VA } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import { coilId, coilOn, commonNode, hotMark, supplyElements } from './board';

const stripMarks = ['W1', 'W2', 'AUX', 'E'];

export function heatPumpBoard(board: Board): Fragment {
  return {
    elements: [
      ...supplyElements(board, hotMark(board)),
      ...coilOn(board, 'Y1', COIL_VA.contactor),
      ...coilOn(board, 'G', COIL_VA.fanRelay),
      ...['O', 'B', 'OB'].flatMap((mark) => coilOn(board, mark, COIL_VA.reversingValve)),
      ...stripMarks.flatMap((mark) => coilOn(board, mark, COIL_VA.sequencer))
    ],
    loads: [
      { load: 'compressor', coils: [coilId(board, 'Y1')] },
      { load: 'blower', coils: [coilId(board, 'G')] },
      { load: 'reversing-valve', coils: ['O', 'B', 'OB'].map((mark) => coilId(board, mark)) },
      { load: 'strips', coils: stripMarks.map((mark) => coilId(board, mark)) }
    ],
    ground: commonNode(board)
  };
}
