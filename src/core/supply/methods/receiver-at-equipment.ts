import { markForRole, roleOf } from '../../devices/roles';
import { finding } from '../../trade/findings';
import { canonicalMark } from '../../trade/terminals';
import {
  landedTerminal,
  splitTerminal,
  terminalId,
  wallThermostat,
  type Board,
  type Receiver,
  type WireLink
} from '../../wiring/graph';
import { boardWithCommon, feedingBoard, noCommonMark } from '../equipment';
import { refused, type Method, type SupplySituation } from '../types';

const RECEIVER_ID = 'receiver';

/** The wired part sits at the equipment, where a common is; the part on the wall is wireless and lives on cells. */
export const receiverAtEquipment: Method = {
  id: 'receiver-at-equipment',
  title: 'Receiver at the equipment',
  how: 'A receiver beside the board switches the calls and lives on its R and C; the part on the wall speaks to it by radio. The old cable is retired.',
  standing: 'added',
  offer(situation) {
    const { before, device } = situation;
    if (device.supply !== 'paired-receiver')
      return refused(
        finding(
          'stop',
          'device-has-no-receiver',
          `The ${device.model} is wired at the wall; it has no receiver.`,
          [device.id]
        )
      );
    const board = boardWithCommon(before);
    if (!board) return refused(noCommonMark(feedingBoard(before)));
    const receiver: Receiver = {
      kind: 'receiver',
      id: RECEIVER_ID,
      place: 'equipment',
      name: `receiver of the ${device.model}`,
      marks: device.marks,
      facts: device,
      beside: board.name
    };
    const old = wallThermostat(before);
    return {
      after: {
        ...before,
        devices: [...before.devices.filter((one) => one.id !== old.id), receiver],
        strands: before.strands.map((one) => ({
          ...one,
          wall: { state: 'coiled' },
          equipment: { state: 'coiled' }
        })),
        links: [...before.links.filter((one) => one.place === 'equipment'), ...piecesTo(situation, board)]
      },
      findings: [
        finding(
          'warn',
          'radio-must-reach',
          'Try the radio before anything is fixed: hold the wall part where it will hang, with the machine’s door closed.',
          [device.id]
        )
      ],
      loses: [{ text: 'the part on the wall lives on cells, which have to be changed' }],
      parts: [{ id: 'cells', name: 'Cells for the wall part', quantity: 1, unit: 'set', cost: 4 }],
      extraMinutes: 15
    };
  }
};

/** Short pieces from the receiver to every terminal of the machine that is in use, by what it does, and to common. */
function piecesTo({ before, device, world }: SupplySituation, board: Board): WireLink[] {
  const inUse = before.strands.flatMap((one) => landedTerminal(one.equipment) ?? []);
  return [...new Set([...inUse, terminalId(board.id, 'C')])].flatMap((far): WireLink[] => {
    const { device: at, mark } = splitTerminal(far);
    const role = roleOf(mark, world);
    const own = role === null ? null : markForRole(role, device.marks);
    if (own === null) return [];
    const id = `ln-receiver-${at}-${canonicalMark(mark).toLowerCase()}`;
    return [{ id, place: 'equipment', a: terminalId(RECEIVER_ID, own), b: far, kind: 'wire' }];
  });
}
