/** Minutes of the moves. Estimates for somebody who does it for the second time; a band comes with measured jobs. */
import { WORST_LENGTH_M } from '../trade/cable';
import type { Action, Move } from './moves';

const minutesOf: Readonly<Record<Exclude<Action, 'pull'>, number>> = {
  lift: 2,
  land: 3,
  link: 4,
  unlink: 2,
  cap: 2,
  splice: 6,
  mount: 8,
  'power-off': 6,
  check: 10,
  'power-on': 3
};

/** Extra minutes for going to the machine at all: stairs, door, light. */
const WAY_TO_EQUIPMENT = 10;

export function minutesFor(moves: readonly Move[], extra: number): number {
  if (moves.length === 0) return 0;
  const own = moves.reduce(
    (sum, move) => sum + (move.action === 'pull' ? pullMinutes(move) : minutesOf[move.action]),
    0
  );
  return Math.round(own + WAY_TO_EQUIPMENT + extra);
}

/** A cable comes in at three minutes a metre besides the setting up; the old one leaves in the same pull. */
function pullMinutes(move: Move): number {
  if (move.change?.kind !== 'cable-in') return 5;
  return 15 + 3 * (move.change.cable.lengthM ?? WORST_LENGTH_M);
}

/** Everything needs these, whichever way is taken. */
export const TOOLS = [
  'small flat screwdriver',
  'wire stripper',
  'tape and pen for labels',
  'meter',
  'torch',
  'level'
] as const;
