/** An air handler that only cools: blower on G, contactor on Y. */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import type { MachineWorld } from '../world';
import { coilId, coilOn, commonNode, supplyElements } from './board';
import { coolingCoils } from './cooling-coils';

export function coolingOnlyBoard(board: Board, world: MachineWorld): Fragment {
  const cooling = coolingCoils(board);
  const blower = [coilId(board, 'G'), ...(world.blowerInCool === 'board' ? [coilId(board, 'Y1')] : [])];
  return {
    elements: [...supplyElements(board), ...coilOn(board, 'G', COILS.fanRelay), ...cooling.elements],
    loads: [{ load: 'blower', coils: blower }, ...cooling.loads],
    ground: commonNode(board)
  };
}
