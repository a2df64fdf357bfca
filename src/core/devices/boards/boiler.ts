/** Boiler control of one zone: a relay that starts burner and circulator. Its call terminals may be R and W, or a pair T T. */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import { coilId, coilOn, coilScrew, commonNode, supplyElements } from './board';
import { zonePumpPanel } from './zone-pump-panel';
import { zoneValvePanel } from './zone-valve-panel';

/** The terminal that calls for heat. */
export function heatCallMark(board: Board): string {
  return ['W1', 'T2', 'TT'].find((mark) => coilScrew(board, mark)) ?? 'W1';
}

export function boilerControl(board: Board): Fragment {
  if (board.machine === 'zone-panel') return zoneValvePanel(board);
  if (board.machine === 'zone-pump-panel') return zonePumpPanel(board);
  const call = heatCallMark(board);
  return {
    elements: [...supplyElements(board), ...coilOn(board, call, COILS.boilerRelay)],
    loads: [
      { load: 'boiler', coils: [coilId(board, call)] },
      { load: 'circulator', coils: [coilId(board, call)] }
    ],
    ground: commonNode(board)
  };
}
