/** Questions that the methods share about what was read at the equipment. */
import { ref } from '../findings/refs';
import type { DeviceFacts } from '../job/device-facts';
import { finding, type Finding } from '../findings/finding';
import { canonicalMark, isHot } from '../trade/terminals';
import {
  boards,
  deviceOf,
  hasMark,
  landedMark,
  landedTerminal,
  meansAt,
  sideOf,
  type Board,
  type Strand,
  type Wiring
} from '../wiring/graph';
import { reachable } from '../wiring/trace';

/**
 * The board whose hot conductor feeds the wall; the first board when none does yet. Where two supplies reach the wall and the device is
 * known, the one on the rail that its electronics live on.
 */
export function feedingBoard(wiring: Wiring, device?: DeviceFacts): Board | undefined {
  const all = boards(wiring);
  const feeding = wiring.strands.flatMap((strand) => {
    const far = landedTerminal(strand.far);
    if (far === null || strand.near.state !== 'landed') return [];
    if (!['R', 'RH', 'RC', 'T1'].includes(landedMark(wiring, strand.far) ?? '')) return [];
    const board = all.find((candidate) => candidate.id === deviceOf(wiring, far)?.id);
    return board ? [{ board, rail: landedMark(wiring, strand.near) }] : [];
  });
  const rail = device && countSupplies(wiring) > 1 ? canonicalMark(device.electronicsFrom) : null;
  return (feeding.find((candidate) => candidate.rail === rail) ?? feeding[0])?.board ?? all[0];
}

/** The wiring that a way begins with, and the record: what stands in the one alone was taken to be so. */
export interface Boards {
  readonly before: Wiring;
  readonly recorded: Wiring;
}

/** A common that somebody has seen: on one that an unread wire is only taken to be on, nothing new is landed. */
function hasCommon(board: Board, recorded: Wiring): boolean {
  return boards(recorded).some((candidate) => candidate.id === board.id && hasMark(candidate, 'C'));
}

export function boardWithCommon({ before, recorded }: Boards, device?: DeviceFacts): Board | undefined {
  const board = feedingBoard(before, device);
  return board && hasCommon(board, recorded) ? board : undefined;
}

/** Machines whose common could be landed: the one that feeds the electronics first, others only where they bring a supply of their own. */
export function commonBoards(wirings: Boards, device: DeviceFacts): Board[] {
  const first = boardWithCommon(wirings, device);
  const { before, recorded } = wirings;
  const others =
    countSupplies(before) > 1
      ? boards(before).filter((board) => hasCommon(board, recorded) && board.id !== first?.id)
      : [];
  return first ? [first, ...others] : others;
}

export function noCommonMark(board: Board | undefined, recorded: Wiring): Finding {
  const because = board ? [ref.machine(board.id)] : [];
  const read = boards(recorded).some(({ id, screws }) => id === board?.id && screws.length > 0);
  return finding('stop', 'board-mark-missing', { machine: board?.name ?? null, read }, because);
}

/** Strands landed on the given mark at the equipment. */
export function strandsAt(wiring: Wiring, board: Board, mark: string): Strand[] {
  return wiring.strands.filter((strand) => {
    const far = landedTerminal(strand.far);
    return far !== null && deviceOf(wiring, far)?.id === board.id && meansAt(wiring, far).includes(mark);
  });
}

/** What a conductor that is to carry the common must have shown, beyond where its ends are. */
export function continuityFindings(strand: Strand): Finding[] {
  const found: Finding[] = [];
  const fact = { conductor: strand.name };
  const because = [ref.conductor(strand.id)];
  if (strand.continuity === 'broken') {
    found.push(finding('stop', 'continuity-broken', fact, because));
  }
  if (strand.continuity === 'untested') {
    found.push(finding('warn', 'continuity-not-proven', fact, because));
  }
  if (strand.spliced === 'hidden') {
    found.push(finding('warn', 'hidden-splice', { what: 'colour-changes', ...fact }, because));
  }
  return found;
}

/** Transformers that reach the wall by hot conductors of their own, links at the equipment taken into account. */
export function countSupplies(wiring: Wiring): number {
  const groups: Set<string>[] = [];
  const atEquipment = {
    strands: [],
    links: wiring.links.filter((link) => sideOf(wiring, link.at) === 'equipment')
  };
  for (const strand of wiring.strands) {
    const far = landedTerminal(strand.far);
    const rail = landedMark(wiring, strand.near);
    if (far === null || rail === null || !isHot(rail)) continue;
    const device = deviceOf(wiring, far)?.id ?? far;
    if (groups.some((group) => group.has(device))) continue;
    const reach = reachable(atEquipment, far);
    groups.push(new Set([...reach].map((terminal) => deviceOf(wiring, terminal)?.id ?? terminal)));
  }
  return groups.length;
}
