/** Records that cannot be: a house cannot be like that, so somebody misread or mistyped. Said, never crashed on. */
import { finding, type Finding } from '../trade/findings';
import { markFacts } from '../trade/terminals';
import { doubledIds, limitedLists } from './edit';
import type { StrandEnd } from './edits';
import { LIMITS } from './limits';
import { capital, conductorName } from './names';
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
  const index = job.thermostats.findIndex((one) => one.id === thermostat.id);
  const path = `thermostats[${index}]`;
  return [...doubled(job, (list) => list.startsWith(`${path}.`)), ...ownFindings(job, thermostat, path)];
}

function ownFindings(job: Job, thermostat: Thermostat, path: string): Finding[] {
  return [
    ...thermostat.equipment.flatMap((id, index) =>
      job.equipment.some((one) => one.id === id)
        ? []
        : [
            missing(
              `The thermostat names equipment ${id}, which the job does not hold.`,
              id,
              `${path}.equipment[${index}]`
            )
          ]
    ),
    ...thermostat.conductors.flatMap((one, index) =>
      conductorFindings(job, thermostat, one, `${path}.conductors[${index}]`)
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
      const numbers = members.flatMap((one, at) => ((one as { id?: string }).id === id ? [at + 1] : []));
      const text = `Two ${what} carry the id ${id} (numbers ${numbers.join(' and ')} in the list): give one of them an id of its own.`;
      return finding('stop', 'duplicate-id', text, [id], `${path}[${(numbers[1] ?? 1) - 1}].id`);
    });
  });
}

/** More of something than a house has, or than this program is made for. It is shown, and nothing more of it is added. */
function tooMany(job: Job): Finding[] {
  return limitedLists(job).flatMap(({ path, what, members }) => {
    const { most } = LIMITS[what];
    if (members.length <= most) return [];
    const text = `${members.length} ${what} are recorded; more than ${most} are not worked with here. Take out what does not belong to this job.`;
    return [finding('warn', 'too-many', text, [], path)];
  });
}

function missing(text: string, id: string, path: string): Finding {
  return finding('stop', 'unknown-reference', text, [id], path);
}

function conductorFindings(job: Job, thermostat: Thermostat, conductor: Conductor, path: string): Finding[] {
  const found: Finding[] = [];
  if (!thermostat.cables.some((one) => one.id === conductor.cable)) {
    found.push(
      missing(
        `${capital(conductorName(conductor))} belongs to cable ${conductor.cable}, which is not recorded.`,
        conductor.id,
        `${path}.cable`
      )
    );
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
  const name = capital(conductorName(conductor));
  const because = [conductor.id];
  const found: Finding[] = [];
  const names = end.on.map((ref) => refName(job, ref));
  if (end.on.length > 1) {
    const text = `${name} is recorded as landed twice at the ${SIDES[side]} (${names.join(' and ')}). A conductor ends once: record the piece between the two as a link.`;
    found.push(finding('stop', 'landed-twice', text, because, `${path}.on`));
  }
  if (end.state === 'landed' && end.on.length === 0) {
    const text = `${name} is recorded as landed at the ${SIDES[side]}, but not on which terminal.`;
    found.push(finding('warn', 'landed-nowhere', text, because, `${path}.on`));
  }
  if (end.state !== 'landed' && end.on.length > 0) {
    const text = `${name} is recorded as ${end.state} at the ${SIDES[side]} and yet on ${names.join(', ')}.`;
    found.push(finding('stop', 'on-terminal-but-not-landed', text, because, `${path}.state`));
  }
  for (const [index, ref] of end.on.entries()) {
    if (!isKnownPlace(job, thermostat, ref.at, side)) {
      found.push(
        missing(
          `${name} is landed at ${ref.at}, which is not at the ${SIDES[side]} of this thermostat.`,
          conductor.id,
          `${path}.on[${index}].at`
        )
      );
    } else if (!findScrew(job, ref)) {
      found.push(
        missing(
          `${name} is landed on ${ref.screw} at ${ref.at}, which has no such terminal.`,
          conductor.id,
          `${path}.on[${index}].screw`
        )
      );
    }
  }
  return found;
}

/** The near end is at the wall or at a place on the way; the far one at a machine of the thermostat's or at such a place. */
function isKnownPlace(job: Job, thermostat: Thermostat, where: WhereId, side: StrandEnd): boolean {
  if (job.places.some((one) => one.id === where)) return true;
  return side === 'near' ? where === thermostat.id : thermostat.equipment.some((id) => id === where);
}

function linkFindings(job: Job, thermostat: Thermostat, path: string): Finding[] {
  const seen = new Set<string>();
  return thermostat.links.flatMap((link, index) => {
    const at = `${path}.links[${index}]`;
    const key = (ref: ScrewRef) => `${ref.at}.${ref.screw}`;
    const ends = [key(link.a), key(link.b)].sort().join(' ');
    const [a, b] = [refName(job, link.a), refName(job, link.b)];
    const found: Finding[] = [];
    if (key(link.a) === key(link.b)) {
      const text = `A link joins ${a} to itself: which two terminals does it join?`;
      found.push(finding('stop', 'link-to-itself', text, [link.id], at));
    } else if (seen.has(ends)) {
      found.push(
        finding('note', 'link-doubled', `${a} and ${b} are linked twice in the record.`, [link.id], at)
      );
    }
    seen.add(ends);
    const wall = link.at === thermostat.id;
    for (const side of ['a', 'b'] as const) {
      const there = link[side].at;
      const known = wall
        ? there === thermostat.id
        : thermostat.equipment.some((id) => id === there) || job.places.some((one) => one.id === there);
      if (!known)
        found.push(
          missing(
            `A link stands at ${there}, which is not at the ${wall ? 'wall' : 'equipment'} of this thermostat.`,
            link.id,
            `${at}.${side}.at`
          )
        );
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
    const text = `${conductors.length} conductors are recorded on ${name} at the wall: ${conductors.map(conductorName).join(', ')}. Look again which of them is there.`;
    const because = conductors.map((one) => one.id);
    return [finding('warn', 'terminal-shared', text, because, `${path}.conductors`)];
  });
}

/** Prints that the trade does not know and nobody has explained. */
function unknownMarks(job: Job, thermostat: Thermostat, path: string): Finding[] {
  const plates: { at: WhereId; path: string }[] = [
    { at: thermostat.id, path: `${path}.screws` },
    ...job.equipment.flatMap((one, index) =>
      thermostat.equipment.includes(one.id) ? [{ at: one.id, path: `equipment[${index}].screws` }] : []
    )
  ];
  const told = new Set<string>();
  return plates.flatMap((plate) =>
    screwsAt(job, plate.at).flatMap((screw, index) => {
      const { mark, role } = screw;
      if (mark === '' || role !== null || markFacts(mark) || told.has(mark)) return [];
      told.add(mark);
      const text = `Nothing is known of a terminal marked ${mark}: it is kept as read, and no plan moves anything onto it.`;
      return [finding('note', 'unknown-mark', text, [], `${plate.path}[${index}]`)];
    })
  );
}
