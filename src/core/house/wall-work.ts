/** The work at the wall as a schedule: what is done, what dries, and how long no thermostat hangs on the wall. Hours. */
import type { WallFace } from '../job/survey-schema';

export interface WallTask {
  readonly id: string;
  readonly name: string;
  /** Hours from the moment at which the old thermostat comes off. */
  readonly start: number;
  readonly hours: number;
  readonly drying: boolean;
}

/** Usual times of filler and paint at about 18 °C; the tin's own words win. */
const FILL_DRIES_H = { screws: 3, large: 24 } as const;
const PRIMER_DRIES_H = 2;
const PAINT_DRIES_H = 4;
/** Changing over the wires and setting up, where no way is chosen yet: with a usual one. */
const SWAP_MINUTES = 90;

/** Tasks one after the other. Under a cover plate nothing has to dry. `wayMinutes`: what the chosen way takes, trips and all. */
export function wallTasks(face: WallFace, wayMinutes: number | null = null): WallTask[] {
  const tasks: WallTask[] = [];
  let at = 0;
  const add = (id: string, name: string, hours: number, drying = false) => {
    tasks.push({ id, name, start: at, hours, drying });
    at += hours;
  };
  add('off', 'Old thermostat off, paint scored round its plate', 0.3);
  if (face.finish === 'patch' || face.finish === 'both') {
    const large = face.holes !== 'screws' && face.holes !== 'none';
    add('fill', large ? 'Patch the large hole' : 'Fill the screw holes', large ? 0.7 : 0.3);
    add('fill-dries', 'Filler dries', large ? FILL_DRIES_H.large : FILL_DRIES_H.screws, true);
    add('sand', 'Sand, wipe off', 0.3);
    if (face.finish === 'patch') {
      add('prime', 'Prime', 0.2);
      add('primer-dries', 'Primer dries', PRIMER_DRIES_H, true);
      add('paint', 'Paint', 0.3);
      add('paint-dries', 'Paint dries until it can be screwed on', PAINT_DRIES_H, true);
    }
  }
  if (face.finish === 'plate' || face.finish === 'both') add('plate', 'Fix the cover plate', 0.3);
  add(
    'swap',
    'Wires changed at both ends, new thermostat on, power up, set up',
    (wayMinutes ?? SWAP_MINUTES) / 60
  );
  return tasks;
}

/** Hours during which the heating is off. */
export function hoursWithoutHeat(face: WallFace, wayMinutes: number | null = null): number {
  return wallTasks(face, wayMinutes).reduce((end, task) => Math.max(end, task.start + task.hours), 0);
}
