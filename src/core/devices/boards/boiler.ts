/** Boiler control of one zone: a relay that starts burner and circulator. Its call terminals may be R and W, or a pair T T. */
import { COIL_VA } from '../../trade/loads';
import { hasMark, type Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import { coilId, coilOn, commonNode, hotMark, supplyElements } from './board';

export function boilerControl(board: Board): Fragment {
  const call = ['W1', 'T2', 'TT'].find((mark) => hasMark(board, mark)) ?? 'W1';
  return {
    elements: [...supplyElements(board, hotMark(board)), ...coilOn(board, call, COIL_VA.boilerRelay)],
    loads: [
      { load: 'boiler', coils: [coilId(board, call)] },
      { load: 'circulator', coils: [coilId(board, call)] }
    ],
    ground: commonNode(board)
  };
}
