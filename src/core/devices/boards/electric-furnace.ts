/** Electric furnace: sequencers switch the strips. Whether they also start the blower depends on the make; both are worlds. */
import { COIL_VA } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Fragment, LoadRule } from '../elements';
import type { World } from '../world';
import { coilId, coilOn, commonNode, hotMark, supplyElements } from './board';

export function electricFurnaceBoard(board: Board, world: World): Fragment {
  const byBoard = world.blowerInHeat === 'board';
  const strips = [coilId(board, 'W1'), coilId(board, 'W2')];
  const loads: LoadRule[] = [
    { load: 'strips', coils: strips },
    { load: 'blower', coils: [coilId(board, 'G'), ...(byBoard ? strips : [])] }
  ];
  if (world.compressor) loads.push({ load: 'compressor', coils: [coilId(board, 'Y1')] });
  return {
    elements: [
      ...supplyElements(board, hotMark(board)),
      ...coilOn(board, 'W1', COIL_VA.sequencer),
      ...coilOn(board, 'W2', COIL_VA.sequencer),
      ...coilOn(board, 'G', COIL_VA.fanRelay),
      ...(world.compressor ? coilOn(board, 'Y1', COIL_VA.contactor) : [])
    ],
    loads,
    ground: commonNode(board)
  };
}
