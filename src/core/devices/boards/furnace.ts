/** Board of a gas, oil or propane furnace, with or without an air conditioner on Y. In heating it runs the blower by itself. */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import { EMPTY_FRAGMENT, type Fragment } from '../elements';
import type { MachineWorld } from '../world';
import { coilId, coilOn, commonNode, supplyElements } from './board';
import { coolingCoils } from './cooling-coils';
import { accessoriesOn } from './accessories';

export function furnaceBoard(board: Board, world: MachineWorld): Fragment {
  const cooling = world.compressor ? coolingCoils(board) : EMPTY_FRAGMENT;
  const accessories = accessoriesOn(board);
  const blower = [coilId(board, 'G')];
  if (world.blowerInHeat === 'board') blower.push(coilId(board, 'W1'));
  if (world.compressor && world.blowerInCool === 'board') blower.push(coilId(board, 'Y1'));
  return {
    elements: [
      ...supplyElements(board),
      ...coilOn(board, 'W1', COILS.gasValve),
      ...coilOn(board, 'W2', COILS.fanRelay),
      ...coilOn(board, 'G', COILS.fanRelay),
      ...cooling.elements,
      ...accessories.elements
    ],
    loads: [
      { load: 'burner', coils: [coilId(board, 'W1')] },
      { load: 'burner2', coils: [coilId(board, 'W2')] },
      { load: 'blower', coils: blower },
      ...cooling.loads,
      ...accessories.loads
    ],
    ground: commonNode(board)
  };
}
