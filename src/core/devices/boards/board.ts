/** What all boards share: a transformer behind a fuse and the switches in its way, and coils between a call terminal and common. */
import {
  coilOhms,
  CONTACT_OHMS,
  DROP_OUT_VOLTS,
  PULL_IN_VOLTS,
  LEAST_TRANSFORMER_VA,
  USUAL_FUSE_AMPS,
  USUAL_TRANSFORMER_VA,
  type CoilFacts
} from '../../trade/loads';
import { hasMark, terminalId, type Board } from '../../wiring/graph';
import type { Coil, Element, Fuse, Resistor } from '../elements';
import { secondary } from '../transformer';
import { switchesInFeed } from './feed-switches';

/** The board's own side of common: there whether or not a screw is marked C. */
export function commonNode(board: Board): string {
  return terminalId(board.id, 'C');
}

/**
 * Transformer, door switch, fuse, float switch and then the hot terminal (R, or the one that is there in its place). An unread size counts
 * as the usual 40 VA, and may be as little as 20.
 */
export function supplyElements(board: Board, hotMark: string, va = USUAL_TRANSFORMER_VA): Element[] {
  const inside = `${board.id}:hot`;
  const source = secondary(
    `${board.id}:secondary`,
    board.name,
    inside,
    commonNode(board),
    board.transformerVa ?? va,
    board.transformerVa ?? LEAST_TRANSFORMER_VA
  );
  const fuse = (a: string, b: string): Fuse => ({
    kind: 'fuse',
    id: `${board.id}:fuse`,
    a,
    b,
    amps: board.fuseAmps ?? USUAL_FUSE_AMPS
  });
  const { beforeFuse, afterFuse } = switchesInFeed(board);
  const hot = terminalId(board.id, hotMark);
  const toFuse = beforeFuse ? `${board.id}:before-fuse` : inside;
  const fromFuse = afterFuse ? `${board.id}:after-fuse` : hot;
  return [
    source,
    ...(beforeFuse ? [closedSwitch(beforeFuse, inside, toFuse)] : []),
    fuse(toFuse, fromFuse),
    ...(afterFuse ? [closedSwitch(afterFuse, fromFuse, hot)] : [])
  ];
}

/** A switch that is closed as long as all is well; a fault opens it. */
export function closedSwitch(id: string, a: string, b: string): Resistor {
  return { kind: 'resistor', of: 'joint', id, a, b, ohms: CONTACT_OHMS };
}

/** A coil between two nodes. */
export function coilBetween(id: string, a: string, b: string, facts: CoilFacts): Coil {
  const size = coilOhms(facts.va);
  return {
    kind: 'coil',
    id,
    a,
    b,
    ohms: size * facts.powerFactor,
    reactance: size * Math.sqrt(1 - facts.powerFactor * facts.powerFactor),
    pullIn: PULL_IN_VOLTS,
    dropOut: DROP_OUT_VOLTS,
    inrush: facts.inrush
  };
}

/** A coil between the mark and common, or none when the board has no such terminal. */
export function coilOn(board: Board, mark: string, facts: CoilFacts): Coil[] {
  if (!hasMark(board, mark)) return [];
  return [coilBetween(coilId(board, mark), terminalId(board.id, mark), commonNode(board), facts)];
}

export function coilId(board: Board, mark: string): string {
  return `${board.id}:coil-${mark}`;
}

export function hotMark(board: Board): string {
  return ['R', 'RH', 'RC', 'T1', 'T'].find((mark) => hasMark(board, mark)) ?? 'R';
}
