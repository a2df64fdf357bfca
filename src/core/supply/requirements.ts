/** What several methods ask for before they can be drawn at all. */
import { finding, type Finding } from '../trade/findings';
import { hasMark, type Board, type Strand } from '../wiring/graph';
import { boardWithCommon, feedingBoard, noCommonMark, strandsAt } from './equipment';
import type { SupplySituation } from './types';

/** The board that feeds the wall, with a common, for a device that takes one; or why not. */
export function commonAtBothPlates({ before, device }: SupplySituation): Board | Finding {
  if (!hasMark(device, 'C'))
    return finding('stop', 'device-has-no-common', `The ${device.model} has no C terminal.`, [device.id]);
  return boardWithCommon(before) ?? noCommonMark(feedingBoard(before));
}

export interface CallPair {
  readonly y: Strand;
  readonly g: Strand;
}

/** The conductors on Y and on G at both ends; or the finding that says which is missing. */
export function callPair({ before }: SupplySituation, board: Board): CallPair | Finding {
  const on = (mark: string) => strandsAt(before, board, mark).find((one) => one.wall.state === 'landed');
  const [y, g] = [on('Y1'), on('G')];
  if (y && g) return { y, g };
  return finding(
    'stop',
    'fan-conductor-missing',
    `No conductor is on ${y ? 'G' : 'Y'} at both ends: both Y and G are needed to put two calls on one conductor.`,
    [board.id]
  );
}

export function isFinding(one: object): one is Finding {
  return 'code' in one;
}
