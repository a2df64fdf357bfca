/**
 * A humidifier on HUM: its valve straight on the terminal, or, where it has a relay of its own, that relay on the terminal and the valve
 * behind its contact. An unknown one counts as the heavier of the two for the contact that switches it: the valve itself.
 */
import { COILS } from '../../trade/loads';
import { hasMark, terminalId, type Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import { coilBetween, coilOn, commonNode, hotMark } from './board';

export function humidifierOn(board: Board): Fragment {
  if (!hasMark(board, 'HUM')) return { elements: [], loads: [] };
  const valve = `${board.id}:coil-HUM`;
  const own = board.accessories.find((one) => one.kind === 'humidifier')?.ownRelay === 'yes';
  if (!own)
    return {
      elements: coilOn(board, 'HUM', COILS.humidifierValve),
      loads: [{ load: 'humidifier', coils: [valve] }]
    };
  const relay = `${board.id}:relay-HUM`;
  const behind = `${board.id}:behind-HUM`;
  return {
    elements: [
      coilBetween(relay, terminalId(board.id, 'HUM'), commonNode(board), COILS.fanRelay),
      {
        kind: 'contact',
        id: `${board.id}:contact-HUM`,
        a: terminalId(board.id, hotMark(board)),
        b: behind,
        coil: relay,
        closedWhen: 'energised'
      },
      coilBetween(valve, behind, commonNode(board), COILS.humidifierValve)
    ],
    loads: [{ load: 'humidifier', coils: [valve] }]
  };
}
