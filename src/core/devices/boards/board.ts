/** What all boards share: a transformer behind a fuse, and coils between a call terminal and common. */
import {
  coilOhms,
  DROP_OUT_VOLTS,
  PULL_IN_VOLTS,
  USUAL_FUSE_AMPS,
  USUAL_TRANSFORMER_VA
} from '../../trade/loads';
import { hasMark, terminalId, type Board } from '../../wiring/graph';
import type { Coil, Element } from '../elements';
import { secondary } from '../transformer';

/** The board's own side of common: there whether or not a screw is marked C. */
export function commonNode(board: Board): string {
  return terminalId(board.id, 'C');
}

/** Transformer, fuse and the hot terminal (R, or the one that is there in its place). An unread size counts as the usual 40 VA. */
export function supplyElements(board: Board, hotMark: string): Element[] {
  const inside = `${board.id}:hot`;
  return [
    secondary(
      `${board.id}:secondary`,
      board.name,
      inside,
      commonNode(board),
      board.transformerVa ?? USUAL_TRANSFORMER_VA,
      1
    ),
    {
      kind: 'fuse',
      id: `${board.id}:fuse`,
      a: inside,
      b: terminalId(board.id, hotMark),
      amps: board.fuseAmps ?? USUAL_FUSE_AMPS
    }
  ];
}

/** A coil between the mark and common, or none when the board has no such terminal. */
export function coilOn(board: Board, mark: string, va: number): Coil[] {
  if (!hasMark(board, mark)) return [];
  return [
    {
      kind: 'coil',
      id: coilId(board, mark),
      a: terminalId(board.id, mark),
      b: commonNode(board),
      ohms: coilOhms(va),
      pullIn: PULL_IN_VOLTS,
      dropOut: DROP_OUT_VOLTS
    }
  ];
}

export function coilId(board: Board, mark: string): string {
  return `${board.id}:coil-${mark}`;
}

export function hotMark(board: Board): string {
  return ['R', 'RH', 'RC', 'T1', 'T'].find((mark) => hasMark(board, mark)) ?? 'R';
}
