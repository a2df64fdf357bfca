/** Conductors of a demo house as one writes them down: colour, wall, equipment. */
import { emptyConductor, landedOn, UNSEEN } from '$core/job/create';
import { makeId } from '$core/job/ids';
import type { Conductor, ConductorEnd, Equipment, Thermostat, WhereId } from '$core/job/schema';
import type { ColourCode } from '$core/trade/colours';

export type Line = readonly [
  colour: ColourCode,
  wall: string,
  equipment: string,
  continuity?: Conductor['continuity']
];

export function conductors(
  prefix: string,
  wallId: Thermostat['id'],
  boardId: Equipment['id'],
  lines: readonly Line[]
): Conductor[] {
  const cable = makeId('cable', prefix);
  return lines.map(([colour, wall, equipment, continuity = 'untested'], index) => ({
    ...emptyConductor(makeId('conductor', `${prefix}-${index + 1}`), cable, colour),
    near: endOn(wallId, wall),
    far: endOn(boardId, equipment),
    continuity
  }));
}

/** A state, or the first screw with this print. */
function endOn(at: WhereId, word: string): ConductorEnd {
  if (word === 'loose' || word === 'coiled') return { state: word, on: [] };
  return word === 'unseen' ? UNSEEN : landedOn(at, word);
}
