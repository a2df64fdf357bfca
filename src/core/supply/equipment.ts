/** Questions that the methods share about what was read at the equipment. */
import { finding, type Finding } from '../trade/findings';
import {
  boards,
  hasMark,
  landedTerminal,
  splitTerminal,
  type Board,
  type Strand,
  type Wiring
} from '../wiring/graph';

/** The board whose hot conductor feeds the wall; the first board when none does yet. */
export function feedingBoard(wiring: Wiring): Board | undefined {
  const all = boards(wiring);
  for (const strand of wiring.strands) {
    const far = landedTerminal(strand.equipment);
    const wall = landedTerminal(strand.wall);
    if (far === null || wall === null || !['R', 'RH', 'RC', 'T1'].includes(splitTerminal(far).mark)) continue;
    const board = all.find((one) => one.id === splitTerminal(far).device);
    if (board) return board;
  }
  return all[0];
}

export function boardWithCommon(wiring: Wiring): Board | undefined {
  const board = feedingBoard(wiring);
  return board && hasMark(board, 'C') ? board : undefined;
}

export function noCommonMark(board: Board | undefined): Finding {
  const text = board
    ? `No terminal marked C is recorded at ${board.name}. Look again at its board; if it has none, trace the transformer’s other side (Strands, “Find the common”): nothing is landed on what was not read.`
    : 'No machine is recorded: read the equipment end first.';
  return finding('stop', 'board-mark-missing', text, board ? [board.id] : []);
}

/** Strands landed on the given mark at the equipment. */
export function strandsAt(wiring: Wiring, board: Board, mark: string): Strand[] {
  return wiring.strands.filter((strand) => {
    const far = landedTerminal(strand.equipment);
    return far !== null && splitTerminal(far).device === board.id && splitTerminal(far).mark === mark;
  });
}

/** What a conductor that is to carry the common must have shown, beyond where its ends are. */
export function continuityFindings(strand: Strand): Finding[] {
  const found: Finding[] = [];
  if (strand.continuity === 'broken') {
    found.push(
      finding(
        'stop',
        'continuity-broken',
        `The ${strand.name} conductor measured open: it is broken somewhere on the way.`,
        [strand.id]
      )
    );
  }
  if (strand.continuity === 'untested') {
    found.push(
      finding(
        'warn',
        'continuity-not-proven',
        `With the power off, prove that the ${strand.name} conductor is one and the same at both ends: join it to another at one end and measure at the other.`,
        [strand.id]
      )
    );
  }
  if (strand.spliced === 'hidden') {
    found.push(
      finding(
        'warn',
        'hidden-splice',
        `The ${strand.name} conductor changes colour on the way: a hidden joint. Only a continuity check tells the ends apart.`,
        [strand.id]
      )
    );
  }
  return found;
}
