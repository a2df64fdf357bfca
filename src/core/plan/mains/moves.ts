/**
 * The moves of a way: the difference of the two graphs in the order of the hands. Off and proven dead first; wires off the old plate one by one, each
 * labelled by what it does; the new plate; the wires on; links last. Applied one after the other the changes lead from now to after.
 */
import { doesOf, mainsTerminal, mainsUnits } from '../../devices/mains/screws';
import { MAINS_FUNCTION_NAMES, MAINS_PART_NAMES, type MainsPart } from '../../trade/mains';
import { HUB_COVERS, hubOf, hubsAmong } from '../../trade/mains-hub';
import type { EndSide } from '../../trade/vocabulary';
import { difference, type Change } from '../../wiring/difference';
import {
  landedTerminal,
  printedMark,
  sideOf,
  terminalAt,
  type Landing,
  type Strand,
  type TerminalId,
  type Wiring
} from '../../wiring/graph';
import { capital, counted } from '../../words/text';
import type { Draft, Move } from '../move-types';

type EndChange = Extract<Change, { kind: 'end' }>;
const LOOSE: Landing = { state: 'loose' };

/** The order of the hands, and what is between. */
export function mainsChanges(now: Wiring, after: Wiring): Change[] {
  const changes = difference(now, after);
  const goes = new Set(
    changes.flatMap((change) =>
      change.kind === 'device-off' ? change.device.screws.map((screw) => screw.id) : []
    )
  );
  const comes = new Set(
    changes.flatMap((change) =>
      change.kind === 'device-on' ? change.device.screws.map((screw) => screw.id) : []
    )
  );
  const ends = changes.filter((change): change is EndChange => change.kind === 'end');
  const is =
    <K extends Change['kind']>(...kinds: K[]) =>
    (change: Change) =>
      (kinds as string[]).includes(change.kind);
  const needsPlate = ({ to }: EndChange) => to.state === 'landed' && comes.has(to.terminal);
  const onOld = ({ from }: EndChange) => from.state === 'landed' && goes.has(from.terminal);
  const isCap = ({ to }: EndChange) => to.state !== 'landed';
  const lifted = ends.filter((change) => needsPlate(change) && change.from.state === 'landed');
  const rest = ends.filter((change) => !needsPlate(change));
  return [
    ...changes.filter(is('link-off')),
    // What comes off the old plates and goes nowhere new, and the same wires' other ends.
    ...rest.filter(isCap),
    ...rest.filter((change) => onOld(change) && !isCap(change)),
    ...lifted.map((change): Change => ({ ...change, to: LOOSE })),
    ...changes.filter(is('device-off')),
    ...changes.filter(is('device-on')),
    ...changes.filter(is('cable-in', 'cable-out')),
    ...rest.filter((change) => !onOld(change) && !isCap(change)),
    ...ends.filter(needsPlate).map((change): Change => ({
      ...change,
      from: change.from.state === 'landed' ? LOOSE : change.from
    })),
    ...changes.filter(is('link-on'))
  ];
}

/** `begun`: wires were moved before, so that what has to be right before the fuse goes back stands in the list when none is left to move. */
export function mainsMoves(now: Wiring, after: Wiring, dead: readonly string[], begun = false): Move[] {
  const changes = mainsChanges(now, after);
  if (changes.length === 0 && !begun) return [];
  const drafts = [
    ...(changes.length > 0 ? offDrafts(now) : []),
    ...changes.map((change) => changeDraft(change, now, after)),
    ...endDrafts(now, after, dead)
  ];
  return drafts.map((draft, at) => ({
    ...draft,
    id: `m${at + 1}`,
    text: capital(draft.text),
    tools: toolsFor(draft),
    strip: draft.action === 'land' ? '6 to 10 mm, as the plate’s gauge says' : null
  }));
}

const POWER_TESTER = 'approved two-pole voltage tester';

function toolsFor({ action, what }: Draft): readonly string[] {
  switch (action) {
    case 'power-off':
      return ['lock or a label for the switch'];
    case 'check':
      return what.startsWith('dead') || what === 'tester' ? [POWER_TESTER] : [];
    case 'lift':
    case 'land':
    case 'link':
    case 'unlink':
      return ['insulated screwdriver'];
    case 'cap':
      return ['insulated screwdriver', 'terminal block or insulated crimp'];
    case 'mount':
      return ['screwdriver', 'level'];
    default:
      return [];
  }
}

const PLAIN = { from: '', to: '', change: null } as const;

function supplies(wiring: Wiring) {
  return mainsUnits(wiring).filter((unit) => unit.part === 'supply');
}

/** Off, and dead by a tester that is proven itself before and after. */
function offDrafts(now: Wiring): Draft[] {
  const spurs = supplies(now);
  const hub = hubOf(mainsUnits(now));
  const where = spurs[0]?.name ?? 'the fused spur';
  const check = (what: string, text: string): Draft => ({
    ...PLAIN,
    end: 'equipment',
    place: where,
    action: 'check',
    what,
    text
  });
  return [
    ...spurs.map((spur): Draft => ({
      ...PLAIN,
      end: 'equipment',
      place: spur.name,
      action: 'power-off',
      what: spur.id,
      text: `Switch the ${spur.name} off at both poles, take its fuse out, keep it with you, and put a label on it. A boiler with a supply of its own is off as well.`
    })),
    check('tester-before', 'Prove the tester on something that is live for certain.'),
    check('dead-l-n', `${HUB_COVERS[hub]}: live to neutral. It reads nothing.`),
    check('dead-l-e', 'Live to earth. It reads nothing.'),
    check('dead-n-e', 'Neutral to earth. It reads nothing.'),
    check('tester-after', 'Prove the tester once more on the live thing. Only now is it dead.'),
    check(
      'photo',
      `Take a photo of the ${hub === 'boiler' ? 'boiler’s terminals' : MAINS_PART_NAMES[hub]} and of the old plate, every mark readable; label each wire by what it does before it is loosened.`
    )
  ];
}

/** What has to be right before the fuse goes back. */
function endDrafts(now: Wiring, after: Wiring, dead: readonly string[]): Draft[] {
  const spurs = supplies(after);
  const place = spurs[0]?.name ?? '';
  const check = (what: string, text: string): Draft => ({
    ...PLAIN,
    end: 'equipment',
    place,
    action: 'check',
    what,
    text
  });
  const cables = dead.flatMap((id) => now.cables.find((cable) => cable.id === id)?.name ?? []);
  return [
    check(
      'tug',
      'Tug every wire that was touched; no bare copper outside a terminal; sleeves on every switched live.'
    ),
    check('earths', 'Continuity from the earth of the spur to every earth terminal, the parked ones too.'),
    ...cables.map((name) =>
      check('dead-cable', `Cable of the ${name}: both ends capped, both ends labelled “not in use”.`)
    ),
    ...spurs.map((spur): Draft => ({
      ...PLAIN,
      end: 'equipment',
      place: spur.name,
      action: 'power-on',
      what: spur.id,
      text: `Covers on, then the fuse back into the ${spur.name}, then switch it on. Stand clear and watch for a minute.`
    }))
  ];
}

interface Spot {
  readonly end: EndSide;
  readonly place: string;
}

function spotOf(now: Wiring, after: Wiring, terminal: TerminalId): Spot {
  const wiring = terminalAt(now, terminal) ? now : after;
  const device = terminalAt(wiring, terminal)?.device;
  return {
    end: device ? sideOf(wiring, device.at) : 'equipment',
    place: device?.name ?? ''
  };
}

/** `3 (heating on)`: the print, and what it does where that is more than joining. */
export function screwText(wiring: Wiring, terminal: TerminalId): string {
  const found = mainsTerminal(wiring, terminal);
  const mark = printedMark(wiring, terminal);
  if (!found || found.does === 'joint' || found.does === 'unknown') return mark;
  return `${mark} (${MAINS_FUNCTION_NAMES[found.does]})`;
}

function changeDraft(change: Change, now: Wiring, after: Wiring): Draft {
  switch (change.kind) {
    case 'end':
      return endDraft(change, now, after);
    case 'link-on':
    case 'link-off': {
      const wiring = change.kind === 'link-on' ? after : now;
      const spot = spotOf(now, after, change.link.a);
      const [a, b] = [screwText(wiring, change.link.a), screwText(wiring, change.link.b)];
      const on = change.kind === 'link-on';
      return {
        ...spot,
        action: on ? 'link' : 'unlink',
        what: change.link.id,
        from: on ? '' : `${a}–${b}`,
        to: on ? `${a}–${b}` : '',
        text: on
          ? `${spot.place}: link ${a} to ${b} with a short piece of the same size of wire, sleeved brown.`
          : `${spot.place}: take the link between ${a} and ${b} out.`,
        change
      };
    }
    case 'device-on':
    case 'device-off': {
      const on = change.kind === 'device-on';
      const part = change.device.kind === 'mains' ? change.device.part : null;
      const end = change.place.kind === 'wall' ? 'wall' : 'equipment';
      return {
        end,
        place: change.device.name,
        action: on ? 'mount' : 'pull',
        what: change.device.id,
        from: on ? '' : change.place.name,
        to: on ? change.place.name : '',
        text: on
          ? mountWords(part, change.device.name, hubAt(now, change.place.id))
          : `Take the ${change.device.name} off.`,
        change
      };
    }
    case 'cable-in':
    case 'cable-out':
      return {
        end: 'equipment',
        place: change.cable.name,
        action: 'pull',
        what: change.cable.id,
        from: '',
        to: change.cable.name,
        text: `Bring in the cable of the ${change.cable.name}: flex of 0.75 mm² or more, clamped at both ends; ${counted(change.strands.length, 'wire', 'wires')}.`,
        change
      };
    case 'transformer':
      throw new Error('No transformer is exchanged in mains controls');
  }
}

/** The wiring centre or the boiler that a new device is set beside; null where it takes the place of an old one. */
function hubAt(now: Wiring, place: string): string | null {
  return hubsAmong(mainsUnits(now)).find(({ at }) => at === place)?.name ?? null;
}

function mountWords(part: MainsPart | null, name: string, hub: string | null): string {
  switch (part) {
    case 'wiring-centre':
      return `Set the ${name} inside the box: a terminal block with a cover.`;
    case 'wall-part':
      return `Put the ${name} up where the room thermostat was, over its box: no mains behind it.`;
    default:
      return `Fix the back plate of the ${name}${hub === null ? '' : ` beside the ${hub}`}. Its own words for each terminal are on it: read them, not the numbers.`;
  }
}

function strandOf(wiring: Wiring, id: string): Strand | undefined {
  return wiring.strands.find((strand) => strand.id === id);
}

function endDraft(change: EndChange, now: Wiring, after: Wiring): Draft {
  const strand = strandOf(now, change.strand) ?? strandOf(after, change.strand);
  const wire = strand?.name ?? change.strand;
  const cable = [...now.cables, ...after.cables].find(({ id }) => id === strand?.cable)?.name ?? '';
  const [from, to] = [landedTerminal(change.from), landedTerminal(change.to)];
  const wiring = (terminal: TerminalId) => (terminalAt(now, terminal) ? now : after);
  const spot = spotOf(now, after, from ?? to ?? '');
  const words = {
    from: from === null ? change.from.state : screwText(wiring(from), from),
    to: to === null ? change.to.state : screwText(wiring(to), to)
  };
  const what = `the ${wire} wire (cable of the ${cable})`;
  const base = { what: change.strand, ...words, change };
  if (to === null && change.to.state === 'coiled')
    return {
      ...spot,
      ...base,
      action: 'cap',
      text: `${spot.place}: take ${what} off ${words.from}, cap its end and lay it by. It is not in use any more.`
    };
  if (to === null)
    return {
      ...spot,
      ...base,
      action: 'lift',
      text: `${spot.place}: take ${what} off ${words.from}${labelFor(now, from)}.`
    };
  const landing = spotOf(now, after, to);
  if (from === null)
    return { ...landing, ...base, action: 'land', text: `${landing.place}: land ${what} on ${words.to}.` };
  return {
    ...landing,
    ...base,
    action: 'land',
    text: `${spot.place}: move ${what} from ${words.from} to ${landing.place === spot.place ? '' : `${landing.place} `}${words.to}.`
  };
}

/** The label that the wire gets: what it does, in the words of the new plate. */
function labelFor(now: Wiring, terminal: TerminalId | null): string {
  const found = terminal === null ? undefined : terminalAt(now, terminal);
  const does = found ? doesOf(found.screw) : 'unknown';
  return does === 'unknown' || does === 'joint' ? '' : ` and label it “${MAINS_FUNCTION_NAMES[does]}”`;
}
