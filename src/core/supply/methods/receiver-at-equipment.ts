import { ref } from '../../findings/refs';
import { markForRole, roleOf } from '../../devices/roles';
import { finding, type Finding } from '../../findings/finding';
import {
  deviceOf,
  landedTerminal,
  markAt,
  marksOf,
  screwsOfMarks,
  screwThat,
  sideOf,
  wallThermostat,
  type Board,
  type Receiver,
  type Strand,
  type WireLink
} from '../../wiring/graph';
import { boardWithCommon, feedingBoard, noCommonMark, strandsAt } from '../equipment';
import { commonNotRead } from './existing-c';
import { swapThermostat } from '../swap-thermostat';
import { refused, type Method, type Offer, type Part, type SupplySituation } from '../types';

const RECEIVER_ID = 'receiver';

/** The wired part sits at the equipment, where a common is; the part on the wall is wireless and runs on batteries. */
export const receiverAtEquipment: Method = {
  id: 'receiver-at-equipment',
  title: 'Receiver at the equipment',
  how: 'A receiver beside the board switches the calls and is fed by its R and C; the part on the wall speaks to it by radio. The old cable is retired.',
  standing: 'added',
  variants(situation) {
    if (situation.device.supply !== 'paired-receiver') return [];
    return [
      { id: 'cells', title: 'At the equipment; the part on the wall runs on batteries' },
      ...(situation.thermostat.outlet === 'none'
        ? []
        : [
            {
              id: 'small-supply',
              title: 'At the equipment; the part on the wall has a small supply in an outlet'
            }
          ]),
      ...(commonAtWall(situation)
        ? [{ id: 'at-the-wall', title: 'In place of the old plate, on the wires that are there' }]
        : [])
    ];
  },
  offer(situation, variant) {
    const { before, recorded, device } = situation;
    if (device.supply !== 'paired-receiver')
      return refused(
        finding('stop', 'device-has-no-receiver', { model: device.model }, [ref.device(device.id)])
      );
    const board = boardWithCommon(situation, device);
    if (!board) return refused(noCommonMark(feedingBoard(before, device), recorded));
    if (variant === 'at-the-wall') return atTheWall(situation, board);
    const supplied = variant === 'small-supply';
    const receiver: Receiver = {
      kind: 'receiver',
      id: RECEIVER_ID,
      at: board.at,
      name: `receiver of the ${device.model}`,
      screws: screwsOfMarks(RECEIVER_ID, device.marks),
      control: situation.thermostat.id,
      facts: device
    };
    const old = wallThermostat(before);
    return {
      after: {
        ...before,
        devices: [...before.devices.filter((candidate) => candidate.id !== old.id), receiver],
        strands: before.strands.map((strand) => ({
          ...strand,
          near: { state: 'coiled' },
          far: { state: 'coiled' }
        })),
        links: [
          ...before.links.filter((link) => sideOf(before, link.at) === 'equipment'),
          ...piecesTo(situation, board, receiver)
        ]
      },
      findings: [radioMustReach(device.id), ...(supplied ? outletFindings(situation) : [])],
      loses: [{ what: supplied ? 'outlet-and-cord' : 'wall-part-cells' }],
      parts: [supplied ? SMALL_SUPPLY : CELLS],
      extraMinutes: 15
    };
  }
};

const CELLS: Part = { id: 'cells', name: 'Cells for the wall part', quantity: 1, unit: 'set', cost: 4 };
const SMALL_SUPPLY: Part = {
  id: 'wall-part-supply',
  name: 'The maker’s small supply for the wall part',
  quantity: 1,
  unit: 'piece',
  cost: 18
};

function radioMustReach(device: string): Finding {
  return finding('warn', 'radio-must-reach', {}, [ref.device(device)]);
}

function outletFindings({ thermostat }: SupplySituation): Finding[] {
  if (thermostat.outlet === 'near') return [];
  return [finding('warn', 'outlet-not-known', {}, [ref.outlet])];
}

/** True when a common is landed at both ends: the receiver can live where the old thermostat hangs. */
function commonAtWall(situation: SupplySituation): boolean {
  return atWallOnCommon(situation).length > 0;
}

function atWallOnCommon(situation: SupplySituation): Strand[] {
  const board = boardWithCommon(situation, situation.device);
  const on = board ? strandsAt(situation.before, board, 'C') : [];
  return on.filter((strand) => strand.near.state === 'landed');
}

/** The wired part on the old plate's place, as a thermostat; its wireless part hangs anywhere. */
function atTheWall(situation: SupplySituation, board: Board): Offer {
  if (!commonAtWall(situation))
    return refused(finding('stop', 'no-common-found', { what: 'wall' }, [ref.machine(board.id)]));
  const { wiring, findings } = swapThermostat(situation, board);
  return {
    after: wiring,
    findings: [
      ...findings,
      ...atWallOnCommon(situation).flatMap(({ id }) => commonNotRead(situation.recorded, id)),
      radioMustReach(situation.device.id)
    ],
    loses: [{ what: 'read-part-cells' }],
    parts: [CELLS],
    extraMinutes: 10
  };
}

/** Short pieces from the receiver to every terminal of the machine that is in use, by what it does, and to common. */
function piecesTo({ before, world }: SupplySituation, board: Board, receiver: Receiver): WireLink[] {
  const inUse = before.strands.flatMap((strand) => landedTerminal(strand.far) ?? []);
  const common = screwThat(board, 'C')?.id;
  const ends = new Set([...inUse, ...(common === undefined ? [] : [common])]);
  return [...ends].flatMap((far): WireLink[] => {
    const mark = markAt(before, far);
    const machine = deviceOf(before, far);
    const role = roleOf(mark, world);
    const own = role === null ? null : markForRole(role, marksOf(receiver));
    const screw = own === null ? undefined : screwThat(receiver, own);
    if (!screw || !machine || mark === null) return [];
    const id = `ln-receiver-${machine.id}-${mark.toLowerCase()}`;
    return [{ id, at: machine.at, a: screw.id, b: far, kind: 'wire' }];
  });
}
