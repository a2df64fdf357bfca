/**
 * Moves: the difference of two wirings in the order of the hands. Power off first; then all that is done at the equipment, then all that is
 * done at the wall; one conductor at a time. Every move carries the change of the graph that it makes, so that the list can be replayed.
 */
import type { Act, LogEntry } from '../job/log-schema';
import { applyChange, difference, fits, type Change } from '../wiring/difference';
import type { Wiring } from '../wiring/graph';
import { ownLink } from '../wiring/own-link';
import {
  MoveWriter,
  type CableChange,
  type DeviceChange,
  type EndChange,
  type LinkChange,
  type TransformerChange
} from './move-writer';
import type { Draft, Move, OtherSupply, Spot } from './move-types';
import { stripFor, toolsFor } from './tools';

/** What a move does, whatever its number: the same act of a plan made anew has the same key. */
export function moveKey(move: Pick<Move, 'action' | 'end' | 'what' | 'from' | 'to'>): string {
  return [move.action, move.end, move.what, move.from, move.to].join(' ');
}

/**
 * What is left to do from now on. Power that is off already, and a conductor that was proven already, are not asked for once more; with
 * nothing left to change, what was cut is still to be switched on again.
 */
export function movesLeft(
  now: Wiring,
  after: Wiring,
  others: readonly OtherSupply[],
  done: readonly LogEntry[]
): Move[] {
  const changes = difference(now, after);
  const begun = done.some((entry) => entry.change !== null);
  const { drafts, tooled } =
    changes.length > 0 ? listOf(changes, now, after, others) : begun ? powerOnOnly(now, after, others) : NONE;
  const made = madeAlready(done);
  const left = drafts.filter((draft) => draft.change !== null || !made.has(moveKey(draft)));
  return numbered({ drafts: left, tooled });
}

/** Acts that change no wiring and still hold: a supply that was switched on since is no longer off. */
function madeAlready(done: readonly LogEntry[]): ReadonlySet<string> {
  const made = new Set<string>();
  const opposite = { 'power-off': 'power-on', 'power-on': 'power-off' } as const;
  for (const { act, change } of done) {
    // What is left in, or set inside, is seen to once.
    if (act.action === 'link') made.add(moveKey(act));
    if (change !== null) continue;
    made.add(moveKey(act));
    if (act.action === 'power-off' || act.action === 'power-on')
      made.delete(moveKey({ ...act, action: opposite[act.action], from: act.to, to: act.from }));
  }
  return made;
}

export function movesBetween(before: Wiring, after: Wiring, others: readonly OtherSupply[] = []): Move[] {
  const changes = difference(before, after);
  return changes.length === 0 ? [] : numbered(listOf(changes, before, after, others));
}

interface MoveList {
  readonly drafts: readonly Draft[];
  /** The wiring that tools are chosen by; null where none are needed. */
  readonly tooled: Wiring | null;
}

const NONE: MoveList = { drafts: [], tooled: null };

function numbered({ drafts, tooled }: MoveList): Move[] {
  return drafts.map((draft, index) => ({
    ...draft,
    tools: tooled ? toolsFor(draft, tooled) : [],
    strip: tooled ? stripFor(draft) : null,
    id: `move-${index + 1}`
  }));
}

/** A move that stands in the log. */
export interface DoneMove extends Omit<Move, 'id'> {
  readonly entry: LogEntry;
}

function listOf(
  changes: readonly Change[],
  before: Wiring,
  after: Wiring,
  others: readonly OtherSupply[]
): MoveList {
  const both = merged(before, after);
  const draft = new MoveWriter(both, before);
  const sorted = sortChanges(changes, before, after, draft);
  const drafts: Draft[] = [
    ...others.map((other) => draft.otherSupply(other, 'power-off')),
    ...draft.powerOff(before),
    ...atEquipment(sorted, draft),
    ...atWall(sorted, after, draft),
    ...draft.powerOn(after),
    ...others.map((other) => draft.otherSupply(other, 'power-on'))
  ];
  return { drafts, tooled: both };
}

function powerOnOnly(now: Wiring, after: Wiring, others: readonly OtherSupply[]): MoveList {
  const draft = new MoveWriter(merged(now, after));
  const drafts = [...draft.powerOn(after), ...others.map((other) => draft.otherSupply(other, 'power-on'))];
  return { drafts, tooled: null };
}

/**
 * The moves that have to be written down for one of a list to be done: those before it that its change asks for, and itself. A conductor
 * that is landed elsewhere was lifted first.
 */
export function withThoseBefore<T extends Pick<Move, 'id' | 'change' | 'what'>>(
  now: Wiring,
  moves: readonly T[],
  id: string
): T[] {
  const at = moves.findIndex((move) => move.id === id);
  const wanted = moves[at];
  if (!wanted) return [];
  if (wanted.change === null || fits(now, wanted.change)) return [wanted];
  const same = moves.slice(0, at).filter((move) => move.what === wanted.what && move.change !== null);
  const alone = [...same, wanted];
  return leadOn(now, alone) ? alone : moves.slice(0, at + 1).filter((move) => move.change !== null);
}

function leadOn(now: Wiring, moves: readonly Pick<Move, 'change'>[]): boolean {
  let wiring = now;
  for (const { change } of moves) {
    if (change === null) continue;
    if (!fits(wiring, change)) return false;
    wiring = applyChange(wiring, change);
  }
  return true;
}

/** A move that was done, in words, from the entry of the log. Power and checks are told by the move list that they came from. */
export function movesDone(found: Wiring, done: readonly LogEntry[]): DoneMove[] {
  let wiring = found;
  return done.map((entry) => {
    const { act, change } = entry;
    const next = change === null ? wiring : applyChange(wiring, change);
    const both = merged(wiring, next);
    const drafts = change === null ? [] : new MoveWriter(both).draftsOf(change);
    const draft = drafts.find((candidate) => moveKey(candidate) === moveKey(act)) ?? drafts[0];
    wiring = next;
    const move: Draft = draft
      ? { ...draft, change }
      : { ...act, place: placeOfAct(both, act), text: new MoveWriter(both).words(act), change };
    return { ...move, tools: [], strip: null, entry };
  });
}

function placeOfAct(wiring: Wiring, act: Act): string {
  const device = wiring.devices.find((candidate) => candidate.id === act.what);
  if (device) return new MoveWriter(wiring).standing(device.at).place;
  return act.end;
}

/** The changes by what the hands do with them. */
interface Sorted {
  readonly transformers: readonly TransformerChange[];
  /** Ends of conductors that stay, by the end. */
  kept(spot: Spot): readonly EndChange[];
  /** Ends of conductors whose cable is pulled out, or comes in. */
  readonly leaving: readonly EndChange[];
  readonly coming: readonly EndChange[];
  links(kind: LinkChange['kind'], spot: Spot): readonly LinkChange[];
  /** Links that a device coming on has in it, and that come out. */
  readonly ownLinks: readonly LinkChange[];
  devices(kind: DeviceChange['kind'], spot: Spot): readonly DeviceChange[];
  readonly cables: readonly CableChange[];
}

function sortChanges(changes: readonly Change[], before: Wiring, after: Wiring, draft: MoveWriter): Sorted {
  const ends = changes.filter((change): change is EndChange => change.kind === 'end');
  const [was, is] = [before, after].map(({ strands }) => new Set(strands.map((strand) => strand.id)));
  const stays = (id: string) => was?.has(id) === true && is?.has(id) === true;
  const own = new Set(after.devices.flatMap((device) => ownLink(device)?.id ?? []));
  const isCable = (change: Change): change is CableChange =>
    change.kind === 'cable-in' || change.kind === 'cable-out';
  return {
    transformers: changes.filter((change): change is TransformerChange => change.kind === 'transformer'),
    kept: (spot) => ends.filter((end) => draft.spotOfEnd(end) === spot && stays(end.strand)),
    leaving: ends.filter((end) => is?.has(end.strand) !== true),
    coming: ends.filter((end) => was?.has(end.strand) !== true),
    links: (kind, spot) =>
      changes.filter(
        (change): change is LinkChange =>
          change.kind === kind && draft.spotAt(change.link.at) === spot && !own.has(change.link.id)
      ),
    ownLinks: changes.filter(
      (change): change is LinkChange => change.kind === 'link-off' && own.has(change.link.id)
    ),
    devices: (kind, spot) =>
      changes.filter(
        (change): change is DeviceChange => change.kind === kind && draft.spotAt(change.device.at) === spot
      ),
    cables: [...changes.filter(isCable)].sort(
      (a, b) => Number(b.kind === 'cable-out') - Number(a.kind === 'cable-out')
    )
  };
}

function atEquipment(sorted: Sorted, draft: MoveWriter): Draft[] {
  const kept = sorted.kept('equipment');
  // A small part that stands in line here: what is on it comes off first.
  const inLine = sorted.devices('device-off', 'equipment');
  const onIt = (end: EndChange) => inLine.some((part) => draft.isOn(end, part));
  return [
    ...sorted.transformers.map((transformer) => draft.transformer(transformer)),
    ...kept.flatMap((change) => draft.check(change)),
    ...sorted.links('link-off', 'equipment').map((link) => draft.link(link)),
    ...sorted.leaving
      .filter((change) => draft.spotOfEnd(change) === 'equipment')
      .map((change) => draft.lift(change)),
    ...kept.filter(onIt).map((change) => draft.lift(change)),
    ...inLine.map((deviceChange) => draft.device(deviceChange)),
    ...sorted.devices('device-on', 'equipment').map((device) => draft.device(device)),
    ...kept.flatMap((change) => (onIt(change) ? draft.landOnly(change) : draft.liftAndLand(change))),
    ...sorted.links('link-on', 'equipment').map((link) => draft.link(link))
  ];
}

/** The wall, with what a new cable or a supply in an outlet brings along. */
function atWall(sorted: Sorted, after: Wiring, draft: MoveWriter): Draft[] {
  const comingAt = (spot: Spot) => sorted.coming.filter((change) => draft.spotOfEnd(change) === spot);
  const leavingFrom = (spot: Spot) => sorted.leaving.filter((change) => draft.spotOfEnd(change) === spot);
  return [
    ...sorted.links('link-off', 'wall').map((link) => draft.link(link)),
    ...[
      ...leavingFrom('wall'),
      ...sorted.kept('wall'),
      ...leavingFrom('outlet'),
      ...sorted.kept('outlet')
    ].flatMap((change) => draft.liftOnly(change)),
    ...sorted.devices('device-off', 'wall').map((device) => draft.device(device)),
    ...sorted.cables.map((cable) => draft.cable(cable)),
    ...comingAt('equipment').flatMap((change) => draft.landOnly(change)),
    ...sorted.devices('device-on', 'wall').map((device) => draft.device(device)),
    ...draft.linksInBox(after, sorted.ownLinks),
    ...sorted.links('link-on', 'wall').map((link) => draft.link(link)),
    ...sorted.kept('wall').flatMap((change) => draft.landOnly(change)),
    ...comingAt('wall').flatMap((change) => draft.landOnly(change)),
    ...sorted.devices('device-on', 'outlet').map((device) => draft.device(device)),
    // A cord that hangs there already, of a list that was begun, is landed like one that comes.
    ...[...comingAt('outlet'), ...sorted.kept('outlet')].flatMap((change) => draft.landOnly(change)),
    ...sorted.devices('device-off', 'outlet').map((device) => draft.device(device))
  ];
}

/** The wiring that the moves lead to. */
export function applyMoves(wiring: Wiring, moves: readonly Pick<Move, 'change'>[]): Wiring {
  return moves.reduce((current, move) => (move.change ? applyChange(current, move.change) : current), wiring);
}

/** The wiring before the first move, and after each: one more than there are moves. */
export function wiringsAlong(wiring: Wiring, moves: readonly Pick<Move, 'change'>[]): Wiring[] {
  const along = [wiring];
  for (const move of moves) along.push(applyMoves(along[along.length - 1]!, [move]));
  return along;
}

/** Both wirings in one, to look names up in. */
function merged(before: Wiring, after: Wiring): Wiring {
  const join = <T extends { readonly id: string }>(a: readonly T[], b: readonly T[]) => [
    ...a,
    ...b.filter((candidate) => !a.some((other) => other.id === candidate.id))
  ];
  return {
    places: join(before.places, after.places),
    devices: join(before.devices, after.devices),
    cables: join(before.cables, after.cables),
    strands: join(before.strands, after.strands),
    links: join(before.links, after.links)
  };
}
