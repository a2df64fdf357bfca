/** Moves under heads: what follows each other at one place is one visit. */
import type { Move } from '$core/plan/move-types';

export interface MoveGroup<M extends Pick<Move, 'place'>> {
  /** What the moves of the group have in common. */
  readonly key: string;
  /** Number of the first move in the whole list, from 1. */
  readonly first: number;
  readonly moves: readonly [M, ...M[]];
}

/** In the order of the list; a place that is come back to later is a group of its own again. */
export function groupMoves<M extends Pick<Move, 'place'>>(
  moves: readonly M[],
  keyOf: (move: M) => string = (move) => move.place
): MoveGroup<M>[] {
  const groups: { key: string; first: number; moves: [M, ...M[]] }[] = [];
  moves.forEach((move, index) => {
    const key = keyOf(move);
    const last = groups.at(-1);
    if (last?.key === key) last.moves.push(move);
    else groups.push({ key, first: index + 1, moves: [move] });
  });
  return groups;
}

/** The head over moves at a place that is no machine. */
export function placeHead(place: string): string {
  return `At the ${place}`;
}
