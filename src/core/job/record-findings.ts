/** Records that cannot be: a house cannot be like that, so somebody misread or mistyped. Said, never crashed on. */
import { ref } from '../findings/refs';
import { finding, type Finding } from '../findings/finding';
import { markFacts } from '../trade/terminals';
import { doubledIds, limitedLists } from './edit';
import type { StrandEnd } from './edits';
import { LIMITS } from './limits';
import { conductorName } from './names';
import type { Conductor, ConductorEnd, Job, ScrewRef, Thermostat, WhereId } from './schema';
import { findScrew, refName, screwsAt } from './screws';

const ENDS: readonly StrandEnd[] = ['near', 'far'];
const SIDES: Readonly<Record<StrandEnd, 'wall' | 'equipment'>> = { near: 'wall', far: 'equipment' };

/** Everything impossible in the whole job, each with its path in the file. */
export function recordFindings(job: Job): Finding[] {
  return [
    ...doubled(job, () => true),
    ...tooMany(job),
    ...job.thermostats.flatMap((thermostat, index) => ownFindings(job, thermostat, `thermostats[${index}]`))
  ];
}

/** Everything impossible in the record of one thermostat. */
export function thermostatFindings(job: Job, thermostat: Thermostat): Finding[] {
  const index = job.thermostats.findIndex((candidate) => candidate.id === thermostat.id);
  const path = `thermostats[${index}]`;
  return [...doubled(job, (list) => list.startsWith(`${path}.`)), ...ownFindings(job, thermostat, path)];
}

function ownFindings(job: Job, thermostat: Thermostat, path: string): Finding[] {
  return [
    ...thermostat.equipment.flatMap((id, index) =>
      job.equipment.some((machine) => machine.id === id)
        ? []
        : [
            finding(
              'stop',
              'unknown-reference',
              { what: 'machine', id },
              [ref.machine(id)],
              `${path}.equipment[${index}]`
            )
          ]
    ),
    ...thermostat.conductors.flatMap((conductor, index) =>
      conductorFindings(job, thermostat, conductor, `${path}.conductors[${index}]`)
    ),
    ...linkFindings(job, thermostat, path),
    ...sharedTerminals(job, thermostat, path),
    ...unknownMarks(job, thermostat, path)
  ];
}

/** Two members of one list under one id: an edit, a photo or a plan that names it could mean either. */
function doubled(job: Job, within: (path: string) => boolean): Finding[] {
  return limitedLists(job).flatMap(({ path, what, members }) => {
    if (!within(path)) return [];
    return doubledIds(members).map((id) => {
      const numbers = members.flatMap((member, at) =>
        (member as { id?: string }).id === id ? [at + 1] : []
      );
      const at = `${path}[${(numbers[1] ?? 1) - 1}].id`;
      return finding('stop', 'duplicate-id', { what, id, numbers }, [], at);
    });
  });
}

/** More of something than a house has, or than this program is made for. It is shown, and nothing more of it is added. */
function tooMany(job: Job): Finding[] {
  return limitedLists(job).flatMap(({ path, what, members }) => {
    const { most } = LIMITS[what];
    if (members.length <= most) return [];
    return [finding('warn', 'too-many', { what, count: members.length, most }, [], path)];
  });
}

function conductorFindings(job: Job, thermostat: Thermostat, conductor: Conductor, path: string): Finding[] {
  const found: Finding[] = [];
  if (!thermostat.cables.some((cable) => cable.id === conductor.cable)) {
    const fact = { what: 'cable', conductor: conductorName(conductor), id: conductor.cable } as const;
    found.push(finding('stop', 'unknown-reference', fact, [ref.conductor(conductor.id)], `${path}.cable`));
  }
  for (const side of ENDS) found.push(...endFindings(job, thermostat, conductor, side, `${path}.${side}`));
  return found;
}

function endFindings(
  job: Job,
  thermostat: Thermostat,
  conductor: Conductor,
  side: StrandEnd,
  path: string
): Finding[] {
  const end: ConductorEnd = conductor[side];
  const name = { conductor: conductorName(conductor) };
  const because = [ref.conductor(conductor.id)];
  const found: Finding[] = [];
  const screws = end.on.map((on) => refName(job, on));
  if (end.on.length > 1) {
    found.push(finding('stop', 'landed-twice', { ...name, end: SIDES[side], screws }, because, `${path}.on`));
  }
  if (end.state === 'landed' && end.on.length === 0) {
    found.push(finding('warn', 'landed-nowhere', { ...name, end: SIDES[side] }, because, `${path}.on`));
  }
  if (end.state !== 'landed' && end.on.length > 0) {
    const fact = { ...name, end: SIDES[side], state: end.state, screws };
    found.push(finding('stop', 'on-terminal-but-not-landed', fact, because, `${path}.state`));
  }
  for (const [index, on] of end.on.entries()) {
    if (!isKnownPlace(job, thermostat, on.at, side)) {
      const fact = { what: 'place', ...name, id: on.at, end: SIDES[side] } as const;
      found.push(finding('stop', 'unknown-reference', fact, because, `${path}.on[${index}].at`));
    } else if (!findScrew(job, on)) {
      const fact = { what: 'screw', ...name, id: on.screw, at: on.at } as const;
      found.push(finding('stop', 'unknown-reference', fact, because, `${path}.on[${index}].screw`));
    }
  }
  return found;
}

/** The near end is at the wall or at a place on the way; the far one at a machine of the thermostat's or at such a place. */
function isKnownPlace(job: Job, thermostat: Thermostat, where: WhereId, side: StrandEnd): boolean {
  if (job.places.some((place) => place.id === where)) return true;
  return side === 'near' ? where === thermostat.id : thermostat.equipment.some((id) => id === where);
}

function linkFindings(job: Job, thermostat: Thermostat, path: string): Finding[] {
  const seen = new Set<string>();
  return thermostat.links.flatMap((link, index) => {
    const at = `${path}.links[${index}]`;
    const key = (end: ScrewRef) => `${end.at}.${end.screw}`;
    const because = [ref.link(link.id)];
    const ends = [key(link.a), key(link.b)].sort().join(' ');
    const [a, b] = [refName(job, link.a), refName(job, link.b)];
    const found: Finding[] = [];
    if (key(link.a) === key(link.b)) {
      found.push(finding('stop', 'link-to-itself', { screw: a }, because, at));
    } else if (seen.has(ends)) {
      found.push(finding('note', 'link-doubled', { screws: [a, b] }, because, at));
    }
    seen.add(ends);
    const wall = link.at === thermostat.id;
    for (const side of ['a', 'b'] as const) {
      const there = link[side].at;
      const known = wall
        ? there === thermostat.id
        : thermostat.equipment.some((id) => id === there) || job.places.some((place) => place.id === there);
      const fact = { what: 'link', id: there, end: wall ? 'wall' : 'equipment' } as const;
      if (!known) found.push(finding('stop', 'unknown-reference', fact, because, `${at}.${side}.at`));
    }
    return found;
  });
}

/** Two conductors under one screw of the wall plate: possible, rare, and worth a second look. */
function sharedTerminals(job: Job, thermostat: Thermostat, path: string): Finding[] {
  const on = new Map<string, Conductor[]>();
  for (const conductor of thermostat.conductors) {
    for (const { screw } of conductor.near.on) on.set(screw, [...(on.get(screw) ?? []), conductor]);
  }
  return [...on].flatMap(([screw, conductors]) => {
    if (conductors.length < 2) return [];
    const name = refName(job, { at: thermostat.id, screw: screw as ScrewRef['screw'] });
    const because = conductors.map((conductor) => ref.conductor(conductor.id));
    const fact = { screw: name, conductors: conductors.map(conductorName) };
    return [finding('warn', 'terminal-shared', fact, because, `${path}.conductors`)];
  });
}

/** Prints that the trade does not know and nobody has explained. */
function unknownMarks(job: Job, thermostat: Thermostat, path: string): Finding[] {
  const plates: { at: WhereId; path: string }[] = [
    { at: thermostat.id, path: `${path}.screws` },
    ...job.equipment.flatMap((machine, index) =>
      thermostat.equipment.includes(machine.id)
        ? [{ at: machine.id, path: `equipment[${index}].screws` }]
        : []
    )
  ];
  const told = new Set<string>();
  return plates.flatMap((plate) =>
    screwsAt(job, plate.at).flatMap((screw, index) => {
      const { mark, role } = screw;
      if (mark === '' || role !== null || markFacts(mark) || told.has(mark)) return [];
      told.add(mark);
      const because = [ref.screw(plate.at, screw.id)];
      return [finding('note', 'unknown-mark', { mark }, because, `${plate.path}[${index}]`)];
    })
  );
}
