/** Board of a gas, oil or propane furnace, with or without an air conditioner on Y. In heating it runs the blower by itself. */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import { EMPTY_FRAGMENT, type Fragment } from '../elements';
import type { World } from '../world';
import { coilId, coilOn, commonNode, hotMark, supplyElements } from './board';
import { coolingCoils } from './cooling-coils';
import { humidifierOn } from './humidifier';

export function furnaceBoard(board: Board, world: World): Fragment {
  const cooling = world.compressor ? coolingCoils(board) : EMPTY_FRAGMENT;
  const humidifier = humidifierOn(board);
  const blower = [coilId(board, 'G')];
  if (world.blowerInHeat === 'board') blower.push(coilId(board, 'W1'));
  if (world.compressor && world.blowerInCool === 'board') blower.push(coilId(board, 'Y1'));
  return {
    elements: [
      ...supplyElements(board, hotMark(board)),
      ...coilOn(board, 'W1', COILS.gasValve),
      ...coilOn(board, 'W2', COILS.fanRelay),
      ...coilOn(board, 'G', COILS.fanRelay),
      ...cooling.elements,
      ...humidifier.elements
    ],
    loads: [
      { load: 'burner', coils: [coilId(board, 'W1')] },
      { load: 'burner2', coils: [coilId(board, 'W2')] },
      { load: 'blower', coils: blower },
      ...cooling.loads,
      ...humidifier.loads
    ],
    ground: commonNode(board)
  };
}
