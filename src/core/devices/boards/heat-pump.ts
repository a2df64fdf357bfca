/** Air handler of a heat pump: both heating and cooling go through Y; the blower runs on G and on nothing else. */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import { accessoriesOn } from './accessories';
import { coilId, coilOn, commonNode, supplyElements } from './board';

const stripMarks = ['W1', 'W2', 'AUX', 'E'];
export const valveMarks = ['O', 'B', 'OB'];

export function heatPumpBoard(board: Board): Fragment {
  const accessories = accessoriesOn(board);
  return {
    elements: [
      ...supplyElements(board),
      ...coilOn(board, 'Y1', COILS.contactor),
      ...coilOn(board, 'G', COILS.fanRelay),
      ...valveMarks.flatMap((mark) => coilOn(board, mark, COILS.reversingValve)),
      ...stripMarks.flatMap((mark) => coilOn(board, mark, COILS.sequencer)),
      ...accessories.elements
    ],
    loads: [
      { load: 'compressor', coils: [coilId(board, 'Y1')] },
      { load: 'blower', coils: [coilId(board, 'G')] },
      { load: 'reversing-valve', coils: valveMarks.map((mark) => coilId(board, mark)) },
      { load: 'strips', coils: stripMarks.map((mark) => coilId(board, mark)) },
      ...accessories.loads
    ],
    ground: commonNode(board)
  };
}
