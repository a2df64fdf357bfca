/** Electric furnace: sequencers switch the strips. Whether they also start the blower depends on the make; both are worlds. */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import { EMPTY_FRAGMENT, type Fragment } from '../elements';
import type { MachineWorld } from '../world';
import { coilId, coilOn, commonNode, supplyElements } from './board';
import { accessoriesOn } from './accessories';
import { coolingCoils } from './cooling-coils';

export function electricFurnaceBoard(board: Board, world: MachineWorld): Fragment {
  const byBoard = world.blowerInHeat === 'board';
  const strips = [coilId(board, 'W1'), coilId(board, 'W2')];
  const cooling = world.compressor ? coolingCoils(board) : EMPTY_FRAGMENT;
  const inCool = world.compressor && world.blowerInCool === 'board' ? [coilId(board, 'Y1')] : [];
  const accessories = accessoriesOn(board);
  return {
    elements: [
      ...supplyElements(board),
      ...coilOn(board, 'W1', COILS.sequencer),
      ...coilOn(board, 'W2', COILS.sequencer),
      ...coilOn(board, 'G', COILS.fanRelay),
      ...cooling.elements,
      ...accessories.elements
    ],
    loads: [
      { load: 'strips', coils: strips },
      { load: 'blower', coils: [coilId(board, 'G'), ...(byBoard ? strips : []), ...inCool] },
      ...cooling.loads,
      ...accessories.loads
    ],
    ground: commonNode(board)
  };
}
