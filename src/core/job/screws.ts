/** Screws of a record: made from marks, found by their mark, told apart in words. */
import { canonicalMark, markSlug } from '../trade/terminals';
import { freeId, makeId, type ScrewId } from './ids';
import type { Job, Screw, ScrewRef, Thermostat, WhereId } from './schema';

/** The id that the first screw with this print gets. */
export function screwIdFor(mark: string): ScrewId {
  return makeId('screw', markSlug(mark));
}

/** A list of screws from what is printed beside them; two of one print are two screws. */
export function screwsFrom(marks: readonly string[]): Screw[] {
  return marks.reduce<Screw[]>((screws, mark) => [...screws, newScrew(screws, mark)], []);
}

/** One screw more for a list. */
export function newScrew(screws: readonly Screw[], mark: string): Screw {
  const taken = screws.map((screw) => screw.id);
  return { id: freeId('screw', markSlug(mark), taken), mark, role: null };
}

/** The screws at a place of the job; nothing where it has no such place. */
export function screwsAt(
  job: Pick<Job, 'equipment' | 'thermostats' | 'places'>,
  at: string
): readonly Screw[] {
  return (
    job.thermostats.find((thermostat) => thermostat.id === at)?.screws ??
    job.equipment.find((machine) => machine.id === at)?.screws ??
    job.places.find((place) => place.id === at)?.screws ??
    []
  );
}

export function findScrew(job: Job, ref: ScrewRef): Screw | undefined {
  return screwsAt(job, ref.at).find((screw) => screw.id === ref.screw);
}

/**
 * What a person calls a screw among those beside it: its print, with a number where several carry it (`W`, `W#2`) or where nothing is
 * printed (`#1`).
 */
export function screwName(screws: readonly Screw[], id: string): string {
  const screw = screws.find((candidate) => candidate.id === id);
  if (!screw) return '?';
  const same = screws.filter((candidate) => candidate.mark === screw.mark);
  const number = same.indexOf(screw) + 1;
  if (screw.mark === '') return `#${number}`;
  return number === 1 ? screw.mark : `${screw.mark}#${number}`;
}

/** The name of the screw that an end or a link is on. */
export function refName(job: Job, ref: ScrewRef): string {
  return screwName(screwsAt(job, ref.at), ref.screw);
}

/** A name as it is typed: `W`, `W#2`, `#1`. Null where it is none. */
export function readScrewName(text: string): { readonly mark: string; readonly number: number } | null {
  const match = /^([A-Z0-9+\-/().* ]{0,12})(?:#([1-9][0-9]?))?$/.exec(text.trim().toUpperCase());
  if (!match || (match[1] === '' && match[2] === undefined)) return null;
  return { mark: (match[1] ?? '').trim(), number: Number(match[2] ?? 1) };
}

/** The screw of a name, by the letter of its print, else by another spelling of the same mark; undefined where there is none. */
export function screwNamed(screws: readonly Screw[], mark: string, number = 1): Screw | undefined {
  const exact = screws.filter((screw) => screw.mark === mark);
  if (exact.length > 0 || mark === '') return exact[number - 1];
  return screws.filter((screw) => markSlug(screw.mark) === markSlug(mark))[number - 1];
}

/** Kinds of machine on which each zone has a call screw of its own, all of them often with one and the same print. */
const ZONED: ReadonlySet<string> = new Set(['zone-panel', 'zone-pump-panel']);
const ZONE_CALLS: ReadonlySet<string> = new Set(['W1', 'T2', 'TT', 'T']);

/**
 * Whether a screw is another thermostat's alone: the call screw of a zone panel that a conductor of another thermostat is on. Any other
 * screw of a machine belongs to all who are wired to it.
 */
export function isAnothersZone(
  job: Pick<Job, 'equipment' | 'thermostats'>,
  thermostat: Pick<Thermostat, 'id'>,
  at: WhereId,
  screw: Screw
): boolean {
  const machine = job.equipment.find((candidate) => candidate.id === at);
  if (!machine || !ZONED.has(machine.kind)) return false;
  const mark = canonicalMark(screw.mark);
  if (!ZONE_CALLS.has(mark) && !/^Z\d+$/.test(mark)) return false;
  const isOn = (other: Thermostat) =>
    other.conductors.some((conductor) =>
      [...conductor.near.on, ...conductor.far.on].some((ref) => ref.at === at && ref.screw === screw.id)
    );
  const own = job.thermostats.find((candidate) => candidate.id === thermostat.id);
  return (
    !(own && isOn(own)) &&
    job.thermostats.some((candidate) => candidate.id !== thermostat.id && isOn(candidate))
  );
}
