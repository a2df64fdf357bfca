/**
 * One channel in a room thermostat's place: a receiver where the cables meet, fed there, its contact between the two sides of the thermostat. In a
 * house without a wiring centre that is the boiler, and its terminals take what its maker allows.
 */
import { boilerContacts, doesOf, mainsUnits, nodeFor } from '../../devices/mains/screws';
import { mainsFinding, type MainsFinding } from '../../findings/mains';
import { hubsAmong } from '../../trade/mains-hub';
import { joinedIn } from '../../wiring/joined';
import {
  landedTerminal,
  printedMark,
  type MainsUnit,
  type TerminalId,
  type Wiring
} from '../../wiring/graph';
import {
  controllerUnit,
  endsOn,
  firstScrew,
  unitOf,
  withCable,
  withLink,
  withUnit,
  type NewWire
} from './edits';
import { apart, roomsOf, roomVariants, withoutRoom, type RoomGone } from './room-thermostat';
import type { MainsMethodRule } from './types';
import { withWallPart } from './wall-part';

export const singleChannel: MainsMethodRule = {
  id: 'single-channel',
  variants: (now, facts) =>
    hubsAmong(mainsUnits(now)).length > 0
      ? roomVariants(now, facts, false).map((variant) => ({
          ...variant,
          id: variant.id.replace('link-', ''),
          join: null
        }))
      : [],
  apply: (now, facts, variant) => {
    const room = roomsOf(now).find(({ id }) => id === variant.room);
    const spur = unitOf(now, 'supply');
    if (!room) return { refused: mainsFinding('stop', 'mains-no-room-thermostat', {}) };
    if (!spur) return { refused: mainsFinding('stop', 'mains-spur-missing', {}) };
    const gone = withoutRoom(now, room, variant);
    if ('refused' in gone) return gone;
    const meeting = meetingOf(gone.wiring, spur, gone.stood);
    if (meeting === null) return apart(room);
    const controller = controllerUnit(facts, meeting.hub.at, false);
    const wired = withController(withUnit(gone.wiring, controller), controller, meeting, gone.stood);
    const walled = withWallPart({ ...gone, wiring: wired }, room, facts, controller, variant);
    return {
      after: walled.wiring,
      dead: walled.dead,
      findings: [
        ...gone.findings.filter(({ code }) => code !== 'mains-room-open'),
        ...(unitOf(now, 'timer') ? [mainsFinding('warn', 'mains-timer-heating-unused', {})] : []),
        ...sharedTerminals(walled.wiring, meeting.hub),
        ...walled.findings
      ]
    };
  }
};

/** Where the controller's cable ends: one device that has live, neutral and what it needs of the thermostat's line. */
interface Meeting {
  readonly hub: MainsUnit;
  readonly live: TerminalId;
  readonly neutral: TerminalId;
  readonly earth: TerminalId | null;
  /** A boiler's contact brings a voltage of its own: the controller's stands between its two sides, and live comes nowhere near. */
  readonly onContact: boolean;
}

/** `now`: without the thermostat's own wires, so that nothing is fed over them. */
function meetingOf(now: Wiring, spur: MainsUnit, stood: RoomGone['stood']): Meeting | null {
  const onContact = isBoilerContact(now, stood);
  const needed = [stood.to, ...(onContact ? [stood.from] : [])];
  const hub = hubsAmong(mainsUnits(now)).find((unit) =>
    needed.every((terminal) => unit.screws.some(({ id }) => id === terminal))
  );
  if (!hub) return null;
  const screwFor = (does: 'live' | 'neutral' | 'earth') => suppliedAt(now, spur, hub, does);
  const [live, neutral, earth] = [screwFor('live'), screwFor('neutral'), screwFor('earth')];
  return live === null || neutral === null ? null : { hub, live, neutral, earth, onContact };
}

/** The screw of a device that copper alone joins to the supply's: the end of its own wire first, then one that is meant for it. */
function suppliedAt(
  now: Wiring,
  spur: MainsUnit,
  hub: MainsUnit,
  does: 'live' | 'neutral' | 'earth'
): TerminalId | null {
  const source = firstScrew(spur, does);
  if (source === null) return null;
  const joined = joinedIn(now);
  const there = hub.screws.filter(({ id }) => joined.same(id, source));
  const ends = endsOn(now, spur)
    .filter(({ terminal }) => terminal === source)
    .map(({ strand, end }) => landedTerminal(strand[end === 'near' ? 'far' : 'near']));
  const screw =
    there.find(({ id }) => ends.includes(id)) ?? there.find((own) => doesOf(own) === does) ?? there[0];
  return screw?.id ?? null;
}

/** A short cable from where they meet: supply, and the contact where the room thermostat stood. */
function withController(
  wiring: Wiring,
  controller: MainsUnit,
  { hub, live, neutral, earth, onContact }: Meeting,
  stood: RoomGone['stood']
): Wiring {
  const parking = firstScrew(controller, 'earth');
  const common = firstScrew(controller, 'heating-common');
  const heatingOn = nodeFor(controller, 'heating-on');
  const wires: NewWire[] = [
    { colour: 'BN', near: nodeFor(controller, 'live'), far: live, name: 'brown (live)' },
    { colour: 'BU', near: nodeFor(controller, 'neutral'), far: neutral, name: 'blue (neutral)' },
    ...(parking !== null && earth !== null
      ? [{ colour: 'GN', stripe: 'YE', near: parking, far: earth, name: 'green-yellow (earth)' } as const]
      : []),
    ...(onContact
      ? []
      : [{ colour: 'GY', near: heatingOn, far: stood.to, name: 'grey (heating on)' } as const])
  ];
  const between = [controller.id, hub.id] as const;
  const fed = withCable(wiring, 'ca-controller', 'controller', between, wires);
  // What a boiler brings to its contact may be a low voltage: it goes in a cable of its own, apart from the mains.
  if (onContact && common !== null)
    return withCable(fed, 'ca-contact', 'boiler contact', between, [
      { colour: 'BK', near: common, far: stood.from, name: 'black (contact, common)' },
      { colour: 'GY', near: heatingOn, far: stood.to, name: 'grey (heating on)' }
    ]);
  return common === null || onContact
    ? fed
    : withLink(fed, controller.at, nodeFor(controller, 'live'), common);
}

/** A number of a wiring centre takes several wires; whether a boiler's terminal does, its sheet says. */
function sharedTerminals(after: Wiring, hub: MainsUnit): MainsFinding[] {
  if (hub.part === 'wiring-centre') return [];
  const shared = hub.screws.filter(
    ({ id }) => endsOn(after, hub).filter(({ terminal }) => terminal === id).length > 1
  );
  if (shared.length === 0) return [];
  const screws = shared.map(({ id }) => printedMark(after, id));
  return [mainsFinding('warn', 'mains-terminal-shared', { device: hub.name, screws }, [hub.id])];
}

function isBoilerContact(now: Wiring, { from, to }: RoomGone['stood']): boolean {
  const joined = joinedIn(now);
  return boilerContacts(now).some((contact) => [from, to].some((terminal) => joined.same(terminal, contact)));
}
