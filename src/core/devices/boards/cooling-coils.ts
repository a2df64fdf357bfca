/** The air conditioner's contactors on Y1 and Y2, as a load of whichever board carries them. */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import { coilId, coilOn } from './board';

export function coolingCoils(board: Board): Fragment {
  return {
    elements: [...coilOn(board, 'Y1', COILS.contactor), ...coilOn(board, 'Y2', COILS.contactor)],
    loads: [
      { load: 'compressor', coils: [coilId(board, 'Y1')] },
      { load: 'compressor2', coils: [coilId(board, 'Y2')] }
    ]
  };
}
