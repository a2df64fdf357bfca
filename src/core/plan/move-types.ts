/** What a move is. */
import type { Action } from '../job/log-schema';
import type { EndSide } from '../trade/vocabulary';
import type { Change } from '../wiring/difference';

/** Where the hands are: at the thermostat, at a machine, or at an outlet. */
export type Spot = 'wall' | 'equipment' | 'outlet';

export interface Move {
  readonly id: string;
  readonly end: EndSide;
  /** Where one stands: `wall`, `outlet`, or the name of the machine. */
  readonly place: string;
  readonly action: Action;
  /** Id of the conductor, link, cable, device or supply. */
  readonly what: string;
  readonly from: string;
  readonly to: string;
  /** The move in words. */
  readonly text: string;
  /** What the hands need for it. */
  readonly tools: readonly string[];
  /** How much insulation comes off, where an end is landed; null where nothing is stripped. */
  readonly strip: string | null;
  /** What it does to the graph; null for power, which changes no wiring. */
  readonly change: Change | null;
}

/** What tells a move from every other of its list, and stays while others are done: its number changes with them. */
export function moveKey({ action, place, what, from, to }: Move): string {
  return [action, place, what, from, to].join(' ');
}

/** A move before it has its number and its tools. */
export type Draft = Omit<Move, 'id' | 'tools' | 'strip'>;

/** A supply that the wiring does not show, such as the outdoor unit's own: its id and its name. */
export interface OtherSupply {
  readonly id: string;
  readonly name: string;
}
