/** Reads what the recorded wiring says about a terminal: whether a conductor on it at the wall arrives at the equipment. */
import { canonicalMark } from '../trade/terminals';
import { landedTerminal, splitTerminal, type Strand, type Wiring } from '../wiring/graph';
import type { Reading } from './types';

export type Arrival = 'both' | 'wall-only' | 'none';

/**
 * `both`: a conductor on one of the marks at the wall is landed at the equipment; `wall-only`: it is there but lands on nothing;
 * `none`: the wall was read and no conductor is on these marks. Null while an end that would decide is unseen.
 */
export function arrival(wiring: Wiring, marks: readonly string[]): Reading | null {
  const atWall = wiring.strands.filter((strand) => landedOnOneOf(strand, 'wall', marks));
  if (atWall.length === 0) return wallIsRead(wiring) ? { value: 'none', because: landedIds(wiring) } : null;
  const because = atWall.map((strand) => strand.id);
  if (atWall.some((strand) => strand.equipment.state === 'landed')) return { value: 'both', because };
  if (atWall.some((strand) => strand.equipment.state === 'unseen')) return null;
  return { value: 'wall-only', because };
}

export function landedOnOneOf(strand: Strand, side: 'wall' | 'equipment', marks: readonly string[]): boolean {
  const terminal = landedTerminal(strand[side]);
  return terminal !== null && marks.includes(splitTerminal(terminal).mark);
}

/** True once every recorded conductor's wall end was looked at. */
export function wallIsRead(wiring: Wiring): boolean {
  return wiring.strands.length > 0 && wiring.strands.every((strand) => strand.wall.state !== 'unseen');
}

function landedIds(wiring: Wiring): string[] {
  return wiring.strands.filter((strand) => strand.wall.state === 'landed').map((strand) => strand.id);
}

/** All marks recorded at the wall, on the plate or under a conductor, in canonical form. */
export function wallMarks(wiring: Wiring): string[] {
  const device = wiring.devices.find((one) => one.place === 'wall');
  return device ? device.marks.map(canonicalMark) : [];
}
