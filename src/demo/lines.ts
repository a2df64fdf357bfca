/** Conductors of a demo house as one writes them down: colour, wall, equipment. */
import { emptyConductor } from '$core/job/create';
import { endFrom } from '$core/job/edits';
import { makeId } from '$core/job/ids';
import type { Conductor, Equipment, Thermostat } from '$core/job/schema';
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
    wall: endFrom(wall, wallId),
    equipment: endFrom(equipment, boardId),
    continuity
  }));
}
