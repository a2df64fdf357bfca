/** The methods: what is replaced, and what becomes of the room thermostat and its cable. */
import { mainsUnits, nodeFor } from '../../devices/mains/screws';
import { mainsFinding, type MainsFinding } from '../../findings/mains';
import type { ControllerFacts } from '../../job/controller-facts';
import { joinedIn } from '../../wiring/joined';
import { landed, type MainsUnit, type TerminalId, type Wiring } from '../../wiring/graph';
import {
  centreOf,
  controllerUnit,
  doesAt,
  endsOn,
  firstScrew,
  freeNumbers,
  newUnit,
  unitOf,
  withLink,
  wallUnit,
  WALL_PART_ID,
  withCable,
  withEnd,
  withUnit,
  type NewWire
} from './edits';
import { canCarryLowVoltage, canMove, standsInLine, withoutRoom, type RoomGone } from './room-thermostat';
import { inPlaceOf } from './replace';
import type { MainsChange, MainsMethodRule, MainsVariant } from './types';

const PLAIN: MainsVariant = { id: 'plain', room: null, join: null, cable: null };

function roomsOf(wiring: Wiring): MainsUnit[] {
  return mainsUnits(wiring).filter((unit) => unit.part === 'room-thermostat');
}

const open = (device: string, at: readonly string[]): { readonly refused: MainsFinding } => ({
  refused: mainsFinding('stop', 'mains-room-open', { device }, at)
});

/** For each room thermostat: a link or the wire moved over, the cable dead or carrying low voltage. */
function roomVariants(now: Wiring, facts: ControllerFacts, moves: boolean): MainsVariant[] {
  const rooms = roomsOf(now);
  return rooms.flatMap((room) => {
    const joins: MainsVariant['join'][] = moves && canMove(now, room) ? ['link', 'move'] : ['link'];
    const low = facts.wallPart === 'wired-low-voltage';
    if (low && !canCarryLowVoltage(now, room)) return [];
    return joins.map((join): MainsVariant => ({
      id: [...(rooms.length > 1 ? [room.id] : []), join ?? 'link', low ? 'low-voltage' : 'dead'].join('-'),
      room: room.id,
      join,
      cable: low ? 'low-voltage' : 'dead'
    }));
  });
}

/** The wall part: wireless on the wall where the thermostat was, or fed over its cable. */
function withWallPart(
  { wiring, dead, cable }: Pick<RoomGone, 'wiring' | 'dead' | 'cable'>,
  room: MainsUnit,
  facts: ControllerFacts,
  controller: MainsUnit,
  variant: MainsVariant
): { wiring: Wiring; dead: readonly string[]; findings: MainsFinding[] } {
  if (facts.wallPart === 'none') return { wiring, dead, findings: [] };
  const wall = wallUnit(facts, room.at);
  const made = withUnit(wiring, wall);
  if (variant.cable !== 'low-voltage' || cable === null) return { wiring: made, dead, findings: [] };
  const name = made.cables.find(({ id }) => id === cable)?.name ?? room.name;
  return {
    wiring: withLowVoltage(made, controller, cable),
    dead: [],
    findings: [mainsFinding('warn', 'mains-cable-reused', { cable: name }, [cable])]
  };
}

/** Two free numbers of the centre, or a connector of its own where it has none left. */
function joiningPair(
  wiring: Wiring,
  at: string
): { wiring: Wiring; unit: string; pair: readonly [TerminalId, TerminalId] } {
  const centre = centreOf(wiring);
  const [word, other] = freeNumbers(wiring);
  if (centre && word && other) return { wiring, unit: centre.id, pair: [word, other] };
  const connector = newUnit('low-connector', 'wiring-centre', {
    at: centre?.at ?? at,
    name: 'connector for low voltage',
    screws: [
      ['J1', 'joint'],
      ['J2', 'joint']
    ]
  });
  const [first, second] = connector.screws;
  return {
    wiring: withUnit(wiring, connector),
    unit: connector.id,
    pair: [first?.id ?? '', second?.id ?? '']
  };
}

/** Two wires of the old cable, joined to a short pair that leads to the controller. */
function withLowVoltage(wiring: Wiring, controller: MainsUnit, cable: string): Wiring {
  const wires = wiring.strands.filter(
    (strand) => strand.cable === cable && strand.near.state === 'coiled' && strand.far.state === 'coiled'
  );

  if (wires.length < 2) return wiring;
  const joining = joiningPair(wiring, controller.at);
  const [first, second] = joining.pair;
  const functions = ['low-a', 'low-b'] as const;
  let made = joining.wiring;
  const wall = made.devices.find((device) => device.id === WALL_PART_ID);
  functions.forEach((does, at) => {
    const wire = wires[at];
    const screw = wall?.screws.find((candidate) => candidate.means[0] === does)?.id;
    if (!wire || !screw) return;
    made = withEnd(made, wire.id, 'near', landed(screw));
    made = withEnd(made, wire.id, 'far', landed(joining.pair[at] ?? first));
  });
  return withCable(
    made,
    'ca-low-voltage',
    'low-voltage pair',
    [controller.id, joining.unit],
    [
      { colour: 'RD', near: nodeFor(controller, 'low-a'), far: first, name: 'red (low voltage)' },
      { colour: 'WH', near: nodeFor(controller, 'low-b'), far: second, name: 'white (low voltage)' }
    ]
  );
}

const replaceBoth: MainsMethodRule = {
  id: 'replace-both',
  variants: (now, facts) => {
    if (!unitOf(now, 'timer')) return [];
    return roomsOf(now).length === 0 ? [PLAIN] : roomVariants(now, facts, true);
  },
  apply: (now, facts, variant) => {
    const timer = unitOf(now, 'timer');
    if (!timer) return { refused: mainsFinding('stop', 'mains-no-timer', {}) };
    const room = roomsOf(now).find(({ id }) => id === variant.room);
    if (!room) {
      const { wiring, findings } = inPlaceOf(now, timer, facts);
      return { after: wiring, dead: [], findings };
    }
    if (!standsInLine(now, room)) return open(room.name, [room.id]);
    // A boiler's contact that the thermostat closed by itself, without a timer in the line, is the controller's from now on.
    const gone = withoutRoom(now, room, variant.join);
    if (gone === null) return open(room.name, [room.id]);
    const replaced = inPlaceOf(gone.wiring, timer, facts);
    const walled = withWallPart(
      { ...gone, wiring: replaced.wiring },
      room,
      facts,
      replaced.controller,
      variant
    );
    return {
      after: walled.wiring,
      dead: walled.dead,
      findings: [...gone.findings, ...replaced.findings, ...walled.findings]
    };
  }
};

const replaceTimer: MainsMethodRule = {
  id: 'replace-timer',
  variants: (now) => (unitOf(now, 'timer') && roomsOf(now).length > 0 ? [PLAIN] : []),
  apply: (now, facts): MainsChange | { readonly refused: MainsFinding } => {
    const timer = unitOf(now, 'timer');
    if (!timer) return { refused: mainsFinding('stop', 'mains-no-timer', {}) };
    const { wiring, findings } = inPlaceOf(now, timer, facts);
    return { after: wiring, dead: [], findings };
  }
};

const singleChannel: MainsMethodRule = {
  id: 'single-channel',
  variants: (now, facts) =>
    centreOf(now)
      ? roomVariants(now, facts, false).map((variant) => ({
          ...variant,
          id: variant.id.replace('link-', ''),
          join: null
        }))
      : [],
  apply: (now, facts, variant) => {
    const room = roomsOf(now).find(({ id }) => id === variant.room);
    const [centre, spur] = [centreOf(now), unitOf(now, 'supply')];
    if (!room || !centre || !spur) return { refused: mainsFinding('stop', 'mains-no-room-thermostat', {}) };
    const gone = standsInLine(now, room) ? withoutRoom(now, room, null) : null;
    if (gone === null) return open(room.name, [room.id]);
    const controller = controllerUnit(facts, centre.at, false);
    const wired = withController(withUnit(gone.wiring, controller), { controller, centre, spur, gone, now });
    if (wired === null) return { refused: mainsFinding('stop', 'mains-spur-missing', {}) };
    const walled = withWallPart({ ...gone, wiring: wired }, room, facts, controller, variant);
    return {
      after: walled.wiring,
      dead: walled.dead,
      findings: [
        ...gone.findings.filter(({ code }) => code !== 'mains-room-open'),
        ...(unitOf(now, 'timer') ? [mainsFinding('warn', 'mains-timer-heating-unused', {})] : []),
        ...walled.findings
      ]
    };
  }
};

/** A short cable from the centre: supply, and the contact where the room thermostat stood. */
function withController(
  wiring: Wiring,
  {
    controller,
    centre,
    spur,
    gone,
    now
  }: {
    readonly controller: MainsUnit;
    readonly centre: MainsUnit;
    readonly spur: MainsUnit;
    readonly gone: RoomGone;
    readonly now: Wiring;
  }
): Wiring | null {
  const numberOf = (does: 'live' | 'neutral' | 'earth') => {
    const end = endsOn(now, spur).find(({ terminal }) => doesAt(spur, terminal) === does);
    if (!end) return null;
    const far = end.strand[end.end === 'near' ? 'far' : 'near'];
    return far.state === 'landed' ? far.terminal : null;
  };
  const [live, neutral, earth] = [numberOf('live'), numberOf('neutral'), numberOf('earth')];
  if (live === null || neutral === null) return null;
  const parking = firstScrew(controller, 'earth');
  const common = firstScrew(controller, 'heating-common');
  // A boiler's contact brings a voltage of its own: the controller's contact stands between its two sides, and live comes nowhere near.
  const onContact = common !== null && isBoilerContact(now, gone.stood);
  const wires: NewWire[] = [
    { colour: 'BN', near: nodeFor(controller, 'live'), far: live, name: 'brown (live)' },
    { colour: 'BU', near: nodeFor(controller, 'neutral'), far: neutral, name: 'blue (neutral)' },
    ...(parking !== null && earth !== null
      ? [{ colour: 'GN', stripe: 'YE', near: parking, far: earth, name: 'green-yellow (earth)' } as const]
      : []),
    ...(onContact
      ? [{ colour: 'BK', near: common, far: gone.stood.from, name: 'black (contact, common)' } as const]
      : []),
    {
      colour: 'GY',
      near: nodeFor(controller, 'heating-on'),
      far: gone.stood.to,
      name: 'grey (heating on)'
    }
  ];
  const cabled = withCable(
    wiring,
    'ca-controller',
    'cable of the controller',
    [controller.id, centre.id],
    wires
  );
  return common === null || onContact
    ? cabled
    : withLink(cabled, controller.at, nodeFor(controller, 'live'), common);
}

function isBoilerContact(now: Wiring, { from, to }: RoomGone['stood']): boolean {
  const joined = joinedIn(now);
  return mainsUnits(now)
    .filter(({ part }) => part === 'boiler')
    .some((boiler) =>
      (['contact-a', 'contact-b'] as const).some((does) => {
        const screw = firstScrew(boiler, does);
        return screw !== null && [from, to].some((terminal) => joined.same(terminal, screw));
      })
    );
}

const keep: MainsMethodRule = {
  id: 'keep',
  variants: () => [PLAIN],
  apply: (now) => ({ after: now, dead: [], findings: [] })
};

/** In the order in which they are told. */
export const MAINS_METHOD_RULES: readonly MainsMethodRule[] = [
  replaceBoth,
  replaceTimer,
  singleChannel,
  keep
];
