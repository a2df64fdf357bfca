/** Minutes and money of a plan, each with a band: what it may take when all goes well, as a rule, and when it does not. */
import type { Part } from '../supply/types';
import { WORST_LENGTH_M } from '../trade/cable';
import type { Wiring } from '../wiring/graph';
import type { Action } from '../job/log-schema';
import type { Move } from './move-types';

/** Low, usual and high. */
export interface Band {
  readonly low: number;
  readonly usual: number;
  readonly high: number;
}

const band = (low: number, usual: number, high: number): Band => ({ low, usual, high });

/** Estimates for somebody who does it for the second time, the first time, and with cold hands in a bad light. */
const minutesOf: Readonly<Record<Exclude<Action, 'pull'>, Band>> = {
  lift: band(1, 2, 5),
  land: band(2, 3, 8),
  link: band(2, 4, 10),
  unlink: band(1, 2, 5),
  cap: band(1, 2, 4),
  splice: band(4, 6, 12),
  mount: band(5, 8, 25),
  'power-off': band(3, 6, 15),
  check: band(5, 10, 20),
  'power-on': band(2, 3, 6)
};

/** For going to a machine at all: stairs, door, light. */
export const WAY_TO_EQUIPMENT = band(5, 10, 20);

/** A pull that snags takes half a day. */
const SNAG_MINUTES = 240;
/** What a part may cost against its usual price, from shop to shop. */
const PRICE = band(0.75, 1, 1.5);

export function sumBands(bands: readonly Band[]): Band {
  return bands.reduce(
    (sum, range) => band(sum.low + range.low, sum.usual + range.usual, sum.high + range.high),
    band(0, 0, 0)
  );
}

export function scaleBand(range: Band, factor: number): Band {
  return band(range.low * factor, range.usual * factor, range.high * factor);
}

/** Whole minutes, or whole dollars. */
export function rounded({ low, usual, high }: Band): Band {
  return band(Math.round(low), Math.round(usual), Math.round(high));
}

/**
 * Ways between wall and machine, or from machine to machine, as the list is walked, from the wall on; each direction counts. Power is switched on
 * the way. To measure a wire from end to end, two ends are joined at the wall first: for each such check after the first that is one way there and one back.
 */
export function walksIn(moves: readonly Pick<Move, 'end' | 'place' | 'action'>[]): number {
  let walks = 0;
  let checks = 0;
  let here = WALL;
  for (const { end, place, action } of moves) {
    if (action.startsWith('power-')) continue;
    if (action === 'check') checks += 1;
    const there = end === 'wall' ? WALL : place;
    if (there !== here) walks += 1;
    here = there;
  }
  return walks + 2 * Math.max(0, checks - 1);
}

const WALL = 'wall';

/** The same as times that one goes to a machine and back; once at least, for the power. */
export function tripsIn(moves: readonly Pick<Move, 'end' | 'place' | 'action'>[]): number {
  return Math.max(1, Math.ceil(walksIn(moves) / 2));
}

/** `extra`: minutes of the method beyond its moves; `before`: the wiring whose cables show how the path is. */
export function minutesFor(moves: readonly Move[], extra: number, before: Wiring): Band {
  if (moves.length === 0) return band(0, 0, 0);
  return rounded(
    sumBands([handsOn(moves, before), scaleBand(WAY_TO_EQUIPMENT, tripsIn(moves)), extraBand(extra)])
  );
}

export function extraBand(extra: number): Band {
  return band(extra * 0.6, extra, extra * 2);
}

/** The moves alone, without the way to the machine. */
export function handsOn(moves: readonly Move[], before: Wiring): Band {
  const sure = before.cables.every((cable) => cable.path === 'free');
  return sumBands(
    moves.map((move) => (move.action === 'pull' ? pullMinutes(move, sure) : minutesOf[move.action]))
  );
}

/** A cable comes in at three minutes a metre besides the setting up; the old one leaves in the same pull. */
function pullMinutes(move: Move, sure: boolean): Band {
  if (move.change?.kind !== 'cable-in') return band(3, 5, 10);
  const metres = move.change.cable.lengthM ?? WORST_LENGTH_M;
  const high = 25 + 6 * metres;
  return band(10 + 1.5 * metres, 15 + 3 * metres, sure ? high : Math.max(high, SNAG_MINUTES));
}

/** Dollars for the parts, without whoever has to be paid for mains work. */
export function costOf(parts: readonly Part[]): Band {
  const usual = parts.reduce((sum, part) => sum + part.cost, 0);
  return rounded(scaleBand(PRICE, usual));
}
