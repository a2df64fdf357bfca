/**
 * Unit or workshop heater with a pair T1 T2: it makes its own small control voltage, kept apart from every other, and fires when the two
 * are joined. Its own board runs its fan.
 */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import { coilId, coilOn, commonNode, supplyElements } from './board';
import { heatCallMark } from './boiler';

/** Control transformers of such heaters are small. */
const OWN_VA = 20;

export function contactHeater(board: Board): Fragment {
  const call = heatCallMark(board);
  return {
    elements: [...supplyElements(board, OWN_VA), ...coilOn(board, call, COILS.boilerRelay)],
    loads: [
      { load: 'burner', coils: [coilId(board, call)] },
      { load: 'blower', coils: [coilId(board, call)] }
    ],
    ground: commonNode(board)
  };
}
