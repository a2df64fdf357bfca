import { finding, type Finding } from '../../trade/findings';
import { hasMark, isFree, terminalId, type Strand, type Wiring } from '../../wiring/graph';
import { boardWithCommon, continuityFindings, feedingBoard, noCommonMark } from '../equipment';
import { swapThermostat } from '../swap-thermostat';
import { refused, type Method } from '../types';

/** An unused conductor of the same cable becomes the common, at both ends. */
export const spareConductor: Method = {
  id: 'spare-conductor',
  title: 'Use a spare conductor',
  how: 'An unused conductor of the same cable is landed on C at both ends.',
  standing: 'spare',
  variants: ({ before }) => {
    const free = freeStrands(before);
    return free.length < 2 ? [] : free.map((one) => ({ id: one.id, title: `The ${one.name} conductor` }));
  },
  offer(situation, variant) {
    const { before, device } = situation;
    if (!hasMark(device, 'C')) {
      return refused(
        finding('stop', 'device-has-no-common', `The ${device.model} has no C terminal.`, [device.id])
      );
    }
    const board = boardWithCommon(before);
    const free = freeStrands(before);
    const strand = free.find((one) => one.id === variant) ?? free[0];
    if (!strand) return refused(...whyNone(before));
    if (!board) return refused(noCommonMark(feedingBoard(before)));
    const { wiring, findings } = swapThermostat(situation);
    const landed: Strand = {
      ...strand,
      wall: { state: 'landed', terminal: terminalId(device.id, 'C') },
      equipment: { state: 'landed', terminal: terminalId(board.id, 'C') }
    };
    return {
      after: { ...wiring, strands: wiring.strands.map((one) => (one.id === strand.id ? landed : one)) },
      findings: [...findings, ...continuityFindings(strand)],
      loses: [{ text: `the ${strand.name} conductor is no longer a spare` }],
      parts: [],
      extraMinutes: 0
    };
  }
};

/** Free at both ends and not known to be broken; proven ones first, then those without a hidden joint. */
export function freeStrands(wiring: Wiring): Strand[] {
  const order = { proven: 0, untested: 1, broken: 2 } as const;
  return wiring.strands
    .filter((one) => isFree(one.wall) && isFree(one.equipment) && one.continuity !== 'broken')
    .sort(
      (a, b) =>
        order[a.continuity] - order[b.continuity] ||
        Number(a.spliced === 'hidden') - Number(b.spliced === 'hidden')
    );
}

function whyNone(wiring: Wiring): Finding[] {
  const broken = wiring.strands.filter((one) => isFree(one.wall) && isFree(one.equipment));
  if (broken.length > 0) return broken.flatMap(continuityFindings);
  const halfSeen = wiring.strands.filter((one) => isFree(one.wall) && one.equipment.state === 'unseen');
  if (halfSeen.length > 0) {
    return halfSeen.map((one) =>
      finding(
        'stop',
        'spare-one-ended',
        `The ${one.name} conductor is free at the wall; nobody has found it at the equipment. Find it there (same cable, same colour) and this way may open.`,
        [one.id]
      )
    );
  }
  return [
    finding(
      'stop',
      'no-spare',
      'No conductor is free at both ends. Look once more into the wall and round the sheath at the equipment.'
    )
  ];
}
