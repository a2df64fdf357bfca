/**
 * What hangs on the accessory terminals of a board of air: a humidifier on HUM, its valve straight on the terminal, or, where it has a relay
 * of its own, that relay on the terminal and the valve behind its contact; a dehumidifier and a ventilator by relays of their own. An
 * unknown humidifier counts as the heavier of the two for the contact that switches it: the valve itself.
 */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Fragment } from '../elements';
import { coilBetween, coilId, coilOn, coilScrew, commonNode, hotNode } from './board';

export function accessoriesOn(board: Board): Fragment {
  const humidifier = humidifierOn(board);
  return {
    elements: [
      ...humidifier.elements,
      ...coilOn(board, 'DEHUM', COILS.accessoryRelay),
      ...coilOn(board, 'V', COILS.accessoryRelay)
    ],
    loads: [
      ...humidifier.loads,
      { load: 'dehumidifier', coils: [coilId(board, 'DEHUM')] },
      { load: 'ventilator', coils: [coilId(board, 'V')] }
    ]
  };
}

function humidifierOn(board: Board): Fragment {
  const screw = coilScrew(board, 'HUM');
  if (!screw) return { elements: [], loads: [] };
  const valve = coilId(board, 'HUM');
  const own = board.accessories.find((accessory) => accessory.kind === 'humidifier')?.ownRelay === 'yes';
  if (!own)
    return {
      elements: coilOn(board, 'HUM', COILS.humidifierValve),
      loads: [{ load: 'humidifier', coils: [valve] }]
    };
  const relay = `${board.id}:relay-HUM`;
  const behind = `${board.id}:behind-HUM`;
  const common = commonNode(board);
  const coil = (mark: string) => ({ device: board.id, part: 'coil', mark }) as const;
  return {
    elements: [
      coilBetween(relay, coil('relay on HUM'), [screw.id, common], COILS.fanRelay),
      {
        kind: 'contact',
        id: `${board.id}:contact-HUM`,
        a: hotNode(board),
        b: behind,
        coil: relay,
        closedWhen: 'energised',
        part: { device: board.id, part: 'contact', mark: 'HUM' }
      },
      coilBetween(valve, coil('HUM'), [behind, common], COILS.humidifierValve)
    ],
    loads: [{ load: 'humidifier', coils: [valve] }]
  };
}
