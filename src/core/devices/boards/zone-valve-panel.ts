/** A panel of zone valves: the call opens the valve, and the valve's end switch starts boiler and circulator. */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import { zonePanel } from './zone-panel';

export function zoneValvePanel(board: Board): Fragment {
  return zonePanel(board, COILS.zoneValve, 'zone-valve', 'end-switch');
}
