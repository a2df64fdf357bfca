/**
 * The room thermostat goes: its wires come off at both ends, and the two terminals that it stood between are joined. Turned to its maximum and left,
 * it would stay in the line, and sooner or later somebody turns it.
 */
import { mainsUnits } from '../../devices/mains/screws';
import { mainsFinding, type MainsFinding } from '../../findings/mains';
import type { ControllerFacts } from '../../job/controller-facts';
import { joinedIn } from '../../wiring/joined';
import {
  landed,
  landedTerminal,
  terminalAt,
  type MainsUnit,
  type TerminalId,
  type Wiring
} from '../../wiring/graph';
import { doesAt, endsOn, unitOf, withEnd, withLink, withoutUnit } from './edits';
import type { MainsVariant } from './types';

const COILED = { state: 'coiled' } as const;

export interface RoomGone {
  readonly wiring: Wiring;
  readonly dead: readonly string[];
  readonly findings: readonly MainsFinding[];
  /** The far screws of the wires that were on `in` and `out`. */
  readonly stood: { readonly from: TerminalId; readonly to: TerminalId };
  /** The cable that is free now. */
  readonly cable: string | null;
}

/** Takes a room thermostat out. Refused where its two sides are not both read, or where nothing short can join them. */
export function withoutRoom(
  now: Wiring,
  room: MainsUnit,
  { join, cable: becomes }: Pick<MainsVariant, 'join' | 'cable'>
): RoomGone | { readonly refused: MainsFinding } {
  const ends = endsOn(now, room);
  const other = (does: 'in' | 'out') => {
    const found = ends.find(({ terminal }) => doesAt(room, terminal) === does);
    return found ? landedTerminal(found.strand[found.end === 'near' ? 'far' : 'near']) : null;
  };
  const [from, to] = [other('in'), other('out')];
  if (from === null || to === null || !standsInLine(now, room)) return open(room);
  const unitAt = (terminal: TerminalId) => terminalAt(now, terminal)?.device.id;
  if (join !== null && unitAt(from) !== unitAt(to)) return apart(room);
  let wiring = now;
  for (const { strand, end, terminal } of ends) {
    wiring = withEnd(wiring, strand.id, end, COILED);
    // The earth of a dead cable stays joined at the far end.
    if (doesAt(room, terminal) !== 'earth')
      wiring = withEnd(wiring, strand.id, end === 'near' ? 'far' : 'near', COILED);
  }
  wiring = withoutUnit(wiring, room.id);
  const cable = ends[0]?.strand.cable ?? null;
  const stood = { from, to };
  wiring = join === 'move' ? movedOver(wiring, now, stood) : join === 'link' ? linked(wiring, stood) : wiring;
  const name = now.cables.find(({ id }) => id === cable)?.name ?? room.name;
  return {
    wiring,
    dead: cable === null ? [] : [cable],
    findings: [
      mainsFinding('note', 'mains-device-goes', { device: room.name }, [room.id]),
      mainsFinding('warn', 'mains-room-open', { device: room.name }, [room.id]),
      ...(cable === null || becomes === 'low-voltage'
        ? []
        : [mainsFinding('note', 'mains-cable-dead', { cable: name }, [cable])])
    ],
    stood,
    cable
  };
}

const refusal =
  (code: 'mains-room-open' | 'mains-no-meeting') =>
  (room: MainsUnit): { readonly refused: MainsFinding } => ({
    refused: mainsFinding('stop', code, { device: room.name }, [room.id])
  });

/** Its line is not read whole: what stood between its two sides is not known. */
const open = refusal('mains-room-open');
/** What would have to be joined ends at different devices. */
export const apart = refusal('mains-no-meeting');

function linked(wiring: Wiring, { from, to }: RoomGone['stood']): Wiring {
  const place = wiring.devices.find((device) => device.screws.some((screw) => screw.id === from))?.at;
  return withLink(wiring, place ?? '', from, to);
}

/** The wires left on the first terminal go over to the second one. */
function movedOver(wiring: Wiring, now: Wiring, { from, to }: RoomGone['stood']): Wiring {
  return now.strands.reduce((made, strand) => {
    const still = made.strands.find(({ id }) => id === strand.id) ?? strand;
    return (['near', 'far'] as const).reduce(
      (next, end) => (landedTerminal(still[end]) === from ? withEnd(next, strand.id, end, landed(to)) : next),
      made
    );
  }, wiring);
}

/** The wire can be moved instead of a link where nothing but the timer's heating wire is beside the thermostat's. */
export function canMove(now: Wiring, room: MainsUnit): boolean {
  const ends = endsOn(now, room);
  const found = ends.find(({ terminal }) => doesAt(room, terminal) === 'in');
  const far = found ? landedTerminal(found.strand[found.end === 'near' ? 'far' : 'near']) : null;
  if (far === null || !found) return false;
  const others = now.strands.filter(
    (strand) =>
      strand.id !== found.strand.id && [strand.near, strand.far].some((end) => landedTerminal(end) === far)
  );
  const timer = unitOf(now, 'timer');
  const [only] = others;
  if (others.length !== 1 || !only || !timer) return false;
  return [only.near, only.far].some((end) => {
    const terminal = landedTerminal(end);
    return terminal !== null && doesAt(timer, terminal) === 'heating-on';
  });
}

/** Low voltage can go over its cable where two wires of it are there. */
export function canCarryLowVoltage(now: Wiring, room: MainsUnit): boolean {
  return endsOn(now, room).filter(({ terminal }) => doesAt(room, terminal) !== 'earth').length >= 2;
}

/** Whether the two sides of a room thermostat are read, and what they are joined to. */
function standsInLine(now: Wiring, room: MainsUnit): boolean {
  const joined = joinedIn(now);
  return ['in', 'out'].every((does) =>
    room.screws.some((screw) => screw.means[0] === does && joined.with(screw.id).length > 1)
  );
}

export function roomsOf(wiring: Wiring): MainsUnit[] {
  return mainsUnits(wiring).filter((unit) => unit.part === 'room-thermostat');
}

/** For each room thermostat: a link or the wire moved over, the cable dead or carrying low voltage. */
export function roomVariants(now: Wiring, facts: ControllerFacts, moves: boolean): MainsVariant[] {
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
