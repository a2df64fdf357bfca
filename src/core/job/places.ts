/** The places where the ends of a thermostat's conductors can be, with their screws and what they are called. */
import type { Conductor, Job, Screw, Thermostat, WhereId } from './schema';
import { whereIs } from './edits';
import type { StrandEnd } from './edits';

export interface ScrewsThere {
  readonly id: WhereId;
  readonly name: string;
  readonly screws: readonly Screw[];
}

/** What a place is called; the id where the job has no such place. */
export function placeName(job: Job, where: WhereId): string {
  if (job.thermostats.some((thermostat) => thermostat.id === where)) return 'the wall';
  return [...job.equipment, ...job.places].find((place) => place.id === where)?.name ?? where;
}

/**
 * Where the end of a conductor may be: the wall or an outlet near the thermostat; a machine, a strip or a joint further on. The place where
 * it is, or where its cable goes, comes first.
 */
export function placesFor(
  job: Job,
  thermostat: Thermostat,
  end: StrandEnd,
  conductor: Conductor | null = null
): ScrewsThere[] {
  const own = new Set<string>(thermostat.equipment);
  const places: ScrewsThere[] =
    end === 'near'
      ? [
          { id: thermostat.id, name: 'The wall', screws: thermostat.screws },
          ...job.places.filter((place) => place.kind !== 'wiring-centre')
        ]
      : [...job.equipment.filter((machine) => own.has(machine.id)), ...job.places];
  const first = conductor === null ? null : whereIs(job, thermostat, conductor, end);
  return [...places.filter((place) => place.id === first), ...places.filter((place) => place.id !== first)];
}
