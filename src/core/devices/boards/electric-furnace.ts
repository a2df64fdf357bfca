/** Electric furnace: sequencers switch the strips. Whether they also start the blower depends on the make; both are worlds. */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import { EMPTY_FRAGMENT, type Fragment } from '../elements';
import type { World } from '../world';
import { coilId, coilOn, commonNode, hotMark, supplyElements } from './board';
import { coolingCoils } from './cooling-coils';

export function electricFurnaceBoard(board: Board, world: World): Fragment {
  const byBoard = world.blowerInHeat === 'board';
  const strips = [coilId(board, 'W1'), coilId(board, 'W2')];
  const cooling = world.compressor ? coolingCoils(board) : EMPTY_FRAGMENT;
  const inCool = world.compressor && world.blowerInCool === 'board' ? [coilId(board, 'Y1')] : [];
  return {
    elements: [
      ...supplyElements(board, hotMark(board)),
      ...coilOn(board, 'W1', COILS.sequencer),
      ...coilOn(board, 'W2', COILS.sequencer),
      ...coilOn(board, 'G', COILS.fanRelay),
      ...cooling.elements
    ],
    loads: [
      { load: 'strips', coils: strips },
      { load: 'blower', coils: [coilId(board, 'G'), ...(byBoard ? strips : []), ...inCool] },
      ...cooling.loads
    ],
    ground: commonNode(board)
  };
}
