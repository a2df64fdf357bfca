/** Records that cannot be: a house cannot be like that, so somebody misread or mistyped. Said, never crashed on. */
import { finding, type Finding } from '../trade/findings';
import { markFacts } from '../trade/terminals';
import { END_SIDES } from '../trade/vocabulary';
import { conductorName } from './edits';
import type { Conductor, ConductorEnd, Job, TerminalRef, Thermostat } from './schema';

/** Everything impossible in the whole job, each with its path in the file. */
export function recordFindings(job: Job): Finding[] {
  return [
    ...duplicates(job.equipment, 'equipment', 'machines'),
    ...duplicates(job.thermostats, 'thermostats', 'thermostats'),
    ...duplicates(job.devices, 'devices', 'devices'),
    ...job.thermostats.flatMap((thermostat, index) =>
      thermostatFindings(job, thermostat, `thermostats[${index}]`)
    )
  ];
}

/** Everything impossible in the record of one thermostat. */
export function thermostatFindings(job: Job, thermostat: Thermostat, path = 'thermostat'): Finding[] {
  return [
    ...duplicates(thermostat.cables, `${path}.cables`, 'cables'),
    ...duplicates(thermostat.conductors, `${path}.conductors`, 'conductors'),
    ...duplicates(thermostat.links, `${path}.links`, 'links'),
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
      conductorFindings(thermostat, one, `${path}.conductors[${index}]`)
    ),
    ...linkFindings(thermostat, path),
    ...sharedTerminals(thermostat, path),
    ...unknownMarks(job, thermostat, path)
  ];
}

function duplicates(items: readonly { readonly id: string }[], path: string, what: string): Finding[] {
  const first = new Map<string, number>();
  return items.flatMap((item, index) => {
    const earlier = first.get(item.id);
    if (earlier === undefined) {
      first.set(item.id, index);
      return [];
    }
    const text = `Two ${what} carry the id ${item.id} (numbers ${earlier + 1} and ${index + 1} in the list): give one of them an id of its own.`;
    return [finding('stop', 'duplicate-id', text, [item.id], `${path}[${index}].id`)];
  });
}

function missing(text: string, id: string, path: string): Finding {
  return finding('stop', 'unknown-reference', text, [id], path);
}

function conductorFindings(thermostat: Thermostat, conductor: Conductor, path: string): Finding[] {
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
  for (const side of END_SIDES)
    found.push(...endFindings(thermostat, conductor, conductor[side], side, `${path}.${side}`));
  return found;
}

function endFindings(
  thermostat: Thermostat,
  conductor: Conductor,
  end: ConductorEnd,
  side: 'wall' | 'equipment',
  path: string
): Finding[] {
  const name = capital(conductorName(conductor));
  const because = [conductor.id];
  const found: Finding[] = [];
  if (end.on.length > 1) {
    const marks = end.on.map((one) => one.mark).join(' and ');
    const text = `${name} is recorded as landed twice at the ${side} (${marks}). A conductor ends once: record the piece between the two as a link.`;
    found.push(finding('stop', 'landed-twice', text, because, `${path}.on`));
  }
  if (end.state === 'landed' && end.on.length === 0) {
    const text = `${name} is recorded as landed at the ${side}, but not on which terminal.`;
    found.push(finding('warn', 'landed-nowhere', text, because, `${path}.on`));
  }
  if (end.state !== 'landed' && end.on.length > 0) {
    const text = `${name} is recorded as ${end.state} at the ${side} and yet on ${end.on.map((one) => one.mark).join(', ')}.`;
    found.push(finding('stop', 'on-terminal-but-not-landed', text, because, `${path}.state`));
  }
  for (const [index, ref] of end.on.entries()) {
    if (!isKnownPlace(thermostat, ref, side)) {
      found.push(
        missing(
          `${name} is landed at ${ref.at}, which is not at the ${side} of this thermostat.`,
          conductor.id,
          `${path}.on[${index}].at`
        )
      );
    }
  }
  return found;
}

function isKnownPlace(thermostat: Thermostat, ref: TerminalRef, side: 'wall' | 'equipment'): boolean {
  return side === 'wall' ? ref.at === thermostat.id : thermostat.equipment.some((id) => id === ref.at);
}

function linkFindings(thermostat: Thermostat, path: string): Finding[] {
  const seen = new Set<string>();
  return thermostat.links.flatMap((link, index) => {
    const at = `${path}.links[${index}]`;
    const ends = [`${link.a.at}.${link.a.mark}`, `${link.b.at}.${link.b.mark}`].sort().join(' ');
    const found: Finding[] = [];
    if (link.a.at === link.b.at && link.a.mark === link.b.mark) {
      found.push(
        finding(
          'stop',
          'link-to-itself',
          `A link joins ${link.a.mark} to itself: which two terminals does it join?`,
          [link.id],
          at
        )
      );
    } else if (seen.has(ends)) {
      found.push(
        finding(
          'note',
          'link-doubled',
          `${link.a.mark} and ${link.b.mark} are linked twice in the record.`,
          [link.id],
          at
        )
      );
    }
    seen.add(ends);
    for (const side of ['a', 'b'] as const) {
      if (!isKnownPlace(thermostat, link[side], link.end)) {
        found.push(
          missing(
            `A link stands at ${link[side].at}, which is not at the ${link.end} of this thermostat.`,
            link.id,
            `${at}.${side}.at`
          )
        );
      }
    }
    return found;
  });
}

/** Two conductors under one screw of the wall plate: possible, rare, and worth a second look. */
function sharedTerminals(thermostat: Thermostat, path: string): Finding[] {
  const on = new Map<string, Conductor[]>();
  for (const conductor of thermostat.conductors) {
    for (const ref of conductor.wall.on) on.set(ref.mark, [...(on.get(ref.mark) ?? []), conductor]);
  }
  return [...on].flatMap(([mark, conductors]) =>
    conductors.length < 2
      ? []
      : [
          finding(
            'warn',
            'terminal-shared',
            `${conductors.length} conductors are recorded on ${mark} at the wall: ${conductors.map(conductorName).join(', ')}. Look again which of them is there.`,
            conductors.map((one) => one.id),
            `${path}.conductors`
          )
        ]
  );
}

function unknownMarks(job: Job, thermostat: Thermostat, path: string): Finding[] {
  const places: { mark: string; path: string }[] = [
    ...thermostat.marks.map((mark, index) => ({ mark, path: `${path}.marks[${index}]` })),
    ...thermostat.conductors.flatMap((conductor, index) =>
      END_SIDES.flatMap((side) =>
        conductor[side].on.map((ref) => ({ mark: ref.mark, path: `${path}.conductors[${index}].${side}.on` }))
      )
    ),
    ...job.equipment.flatMap((one, index) =>
      thermostat.equipment.includes(one.id)
        ? one.marks.map((mark) => ({ mark, path: `equipment[${index}].marks` }))
        : []
    )
  ];
  const told = new Set<string>();
  return places.flatMap((place) => {
    if (markFacts(place.mark) || told.has(place.mark)) return [];
    told.add(place.mark);
    const text = `Nothing is known of a terminal marked ${place.mark}: it is kept as read, and no plan moves anything onto it.`;
    return [finding('note', 'unknown-mark', text, [], place.path)];
  });
}

export function capital(sentence: string): string {
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}
