/** Boiler and a separate air conditioner: two machines, each with a transformer of its own; the marks on a strip tell which it is. */
import type { Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import type { MachineWorld } from '../world';
import { coilId, coilOn, coilScrew } from './board';
import { boilerControl, heatCallMark } from './boiler';
import { coolingOnlyBoard } from './cooling-only';
import { COILS } from '../../trade/loads';

export function boilerPlusAcBoard(board: Board, world: MachineWorld): Fragment {
  const cools = ['Y1', 'G'].some((mark) => coilScrew(board, mark) !== undefined);
  const heats = ['W1', 'T2', 'TT'].some((mark) => coilScrew(board, mark) !== undefined);
  if (!cools) return boilerControl(board);
  const cooling = coolingOnlyBoard(board, world);
  if (!heats) return cooling;
  // One strip with both, as some relay boxes have it: one transformer behind all.
  const call = heatCallMark(board);
  return {
    ...cooling,
    elements: [...cooling.elements, ...coilOn(board, call, COILS.boilerRelay)],
    loads: [
      ...cooling.loads,
      { load: 'boiler', coils: [coilId(board, call)] },
      { load: 'circulator', coils: [coilId(board, call)] }
    ]
  };
}
