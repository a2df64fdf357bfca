/** A panel of zone pumps: the call works a relay, whose contacts run the zone's pump and start the boiler. */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import { zonePanel } from './zone-panel';

export function zonePumpPanel(board: Board): Fragment {
  return zonePanel(board, COILS.boilerRelay, 'pump', 'pump-relay');
}
