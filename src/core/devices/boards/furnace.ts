/** Board of a gas, oil or propane furnace, with or without an air conditioner on Y. In heating it runs the blower by itself. */
import { COIL_VA } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Fragment, LoadRule } from '../elements';
import type { World } from '../world';
import { coilId, coilOn, commonNode, hotMark, supplyElements } from './board';

export function furnaceBoard(board: Board, world: World): Fragment {
  const cooling = world.compressor;
  const blowerCoils = [coilId(board, 'G')];
  if (world.blowerInHeat === 'board') blowerCoils.push(coilId(board, 'W1'));
  const loads: LoadRule[] = [
    { load: 'burner', coils: [coilId(board, 'W1')] },
    { load: 'burner2', coils: [coilId(board, 'W2')] },
    { load: 'blower', coils: blowerCoils }
  ];
  if (cooling) {
    loads.push(
      { load: 'compressor', coils: [coilId(board, 'Y1')] },
      { load: 'compressor2', coils: [coilId(board, 'Y2')] }
    );
  }
  return {
    elements: [
      ...supplyElements(board, hotMark(board)),
      ...coilOn(board, 'W1', COIL_VA.gasValve),
      ...coilOn(board, 'W2', COIL_VA.fanRelay),
      ...coilOn(board, 'G', COIL_VA.fanRelay),
      ...(cooling
        ? [...coilOn(board, 'Y1', COIL_VA.contactor), ...coilOn(board, 'Y2', COIL_VA.contactor)]
        : [])
    ],
    loads,
    ground: commonNode(board)
  };
}
