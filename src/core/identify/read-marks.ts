/** Reads what the recorded wiring says about a terminal: whether a conductor on it at the wall arrives at the equipment. */
import { ref } from '../findings/refs';
import type { Job, Thermostat } from '../job/schema';
import { ROLE_MARKS, type ScrewRole } from '../trade/roles';
import { canonicalMark, markClass } from '../trade/terminals';
import {
  landedMark,
  landedTerminal,
  markAt,
  meansAt,
  terminalAt,
  wallThermostat,
  type Landing,
  type Strand,
  type StrandEnd,
  type Wiring
} from '../wiring/graph';
import { agree, purposeOf } from '../explain/agreement';
import { WALL_UNSEEN, type Reading } from './types';

/**
 * `both`: a conductor on one of the marks at the wall is landed at the equipment; `wall-only`: it is there but lands on nothing;
 * `none`: the wall was read and no conductor is on these marks; `WALL_UNSEEN`: it is landed at the wall and nobody has seen its other end.
 * Null while the wall is not read. What a wire is on at the equipment outweighs what it is on at the wall.
 */
export function arrival(wiring: Wiring, marks: readonly string[]): Reading | null {
  const atWall = wiring.strands.filter(
    (strand) =>
      strand.near.state === 'landed' &&
      (isOtherwiseThere(wiring, strand)
        ? landedOnOneOf(wiring, strand, 'far', marks)
        : landedOnOneOf(wiring, strand, 'near', marks))
  );
  if (atWall.length === 0)
    return wallIsRead(wiring) ? { value: 'none', because: landedIds(wiring).map(ref.conductor) } : null;
  const because = atWall.map((strand) => ref.conductor(strand.id));
  if (atWall.some((strand) => strand.far.state === 'landed')) return { value: 'both', because };
  if (atWall.some((strand) => strand.far.state === 'unseen')) return { value: WALL_UNSEEN, because };
  return { value: 'wall-only', because };
}

/** A wire that the machine's own mark shows to be something else than the wall says. */
function isOtherwiseThere(wiring: Wiring, { near, far }: Strand): boolean {
  const words = (end: Landing) =>
    meansAt(wiring, landedTerminal(end)).flatMap((mark) => purposeOf(mark) ?? []);
  const [wall, there] = [words(near), words(far)];
  const around = { family: 'heat-pump', servesFirstStage: true } as const;
  return (
    wall.length > 0 &&
    there.length > 0 &&
    !wall.some((wallMark) => there.some((other) => agree({ near: wallMark, far: other }, around)))
  );
}

export function landedOnOneOf(
  wiring: Wiring,
  strand: Strand,
  end: StrandEnd,
  marks: readonly string[]
): boolean {
  const terminal = landedTerminal(strand[end]);
  const means = meansAt(wiring, terminal);
  if (means.length > 0) return means.some((mark) => marks.includes(mark));
  // A print that means one thing or another is still seen there.
  const screw = terminal === null ? undefined : terminalAt(wiring, terminal)?.screw;
  return screw?.role === null && marks.includes(canonicalMark(screw.mark));
}

/** True once every recorded conductor's near end was looked at. */
export function wallIsRead(wiring: Wiring): boolean {
  return wiring.strands.length > 0 && wiring.strands.every((strand) => strand.near.state !== 'unseen');
}

function landedIds(wiring: Wiring): string[] {
  return wiring.strands.filter((strand) => strand.near.state === 'landed').map((strand) => strand.id);
}

/** All marks at the wall, as printed, or as somebody stated them to mean. */
export function wallMarks(wiring: Wiring): string[] {
  return wallThermostat(wiring).screws.map((screw) => said(screw.mark, screw.role));
}

function said(mark: string, role: ScrewRole | null): string {
  return role === null ? mark : (ROLE_MARKS[role] ?? '');
}

export type MarksClass = 'low-voltage' | 'mains' | 'contact' | 'data';

/**
 * What a set of marks belongs to, the dangerous readings first: one mains mark is enough, two data marks are (a single digit may be a
 * number of something else). Null where nothing can be told.
 */
export function classOfMarks(marks: readonly string[]): MarksClass | null {
  const classes = marks.map(markClass);
  const count = (wanted: string) => classes.filter((candidate) => candidate === wanted).length;
  if (count('mains') > 0) return 'mains';
  if (count('data') > 1) return 'data';
  if (classes.some((candidate) => candidate === 'hot' || candidate === 'call' || candidate === 'common'))
    return 'low-voltage';
  return count('contact') > 0 ? 'contact' : null;
}

/** The class of the marks recorded at the thermostat's machines, outdoor units left aside. */
export function equipmentMarkClass(job: Job, thermostat: Thermostat): Reading | null {
  const own = job.equipment.filter(
    (machine) =>
      thermostat.equipment.includes(machine.id) &&
      machine.kind !== 'outdoor-unit' &&
      machine.screws.length > 0
  );
  const value = classOfMarks(
    own.flatMap((machine) => machine.screws.map((screw) => said(screw.mark, screw.role?.means ?? null)))
  );
  return value === null ? null : { value, because: own.map((machine) => ref.machine(machine.id)) };
}

/** What the inventory holds for this thermostat, by the kinds that the user gave the machines. */
export function machines(job: Job, thermostat: Thermostat): Reading | null {
  const own = job.equipment.filter((machine) => thermostat.equipment.includes(machine.id));
  const has = (kind: string) => own.some((machine) => machine.kind === kind);
  const because = own.map((machine) => ref.machine(machine.id));
  if (has('boiler')) return { value: has('air-handler') ? 'boiler-and-air' : 'boiler', because };
  const value = (['furnace', 'air-handler', 'room-heater'] as const).find(has);
  return value === undefined ? null : { value, because };
}

/** Hot conductors at the wall, and whether a link joins RH and RC there. */
export function hotAtWall(wiring: Wiring): Reading | null {
  if (!wallIsRead(wiring)) return null;
  const hot = wiring.strands.filter((strand) => landedOnOneOf(wiring, strand, 'near', ['R', 'RH', 'RC']));
  const marks = new Set(hot.map((strand) => landedMark(wiring, strand.near)));
  const because = hot.map((strand) => ref.conductor(strand.id));
  const wall = wallThermostat(wiring).at;
  if (hot.length === 0) return { value: 'none', because: landedIds(wiring).map(ref.conductor) };
  if (marks.size < 2) return { value: 'one', because };
  const link = wiring.links.find(
    (candidate) =>
      candidate.at === wall &&
      [candidate.a, candidate.b].every((end) => marks.has(markAt(wiring, end))) &&
      candidate.a !== candidate.b
  );
  return link
    ? { value: 'two-linked', because: [...because, ref.link(link.id)] }
    : { value: 'two-apart', because };
}
