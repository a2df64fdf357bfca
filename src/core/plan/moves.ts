/**
 * Moves: the difference of two wirings in the order of the hands. Power off first; then all that is done at the equipment, then all that is
 * done at the wall; one conductor at a time. Every move carries the change of the graph that it makes, so that the list can be replayed.
 */
import type { EndSide } from '../trade/vocabulary';
import { applyChange, difference, type Change } from '../wiring/difference';
import type { Place, Wiring } from '../wiring/graph';
import {
  MoveWriter,
  type CableChange,
  type DeviceChange,
  type EndChange,
  type LinkChange,
  type TransformerChange
} from './move-writer';
import type { Draft, Move, OtherSupply } from './move-types';
import { stripFor, toolsFor } from './tools';

/** What a move does, whatever its number: the same act of a plan made anew has the same key. */
export function moveKey(move: Pick<Move, 'action' | 'end' | 'what' | 'from' | 'to'>): string {
  return [move.action, move.end, move.what, move.from, move.to].join(' ');
}

export function movesBetween(before: Wiring, after: Wiring, others: readonly OtherSupply[] = []): Move[] {
  const changes = difference(before, after);
  if (changes.length === 0) return [];
  const both = merged(before, after);
  const draft = new MoveWriter(both);
  const sorted = sortChanges(changes, before, after, draft);
  const drafts: Draft[] = [
    ...others.map((one) => draft.otherSupply(one, 'power-off')),
    ...draft.powerOff(before),
    ...atEquipment(sorted, draft),
    ...atWall(sorted, draft),
    ...draft.powerOn(after),
    ...others.map((one) => draft.otherSupply(one, 'power-on'))
  ];
  return drafts.map((one, index) => ({
    id: `move-${index + 1}`,
    ...one,
    tools: toolsFor(one, both),
    strip: stripFor(one)
  }));
}

/** The changes by what the hands do with them. */
interface Sorted {
  readonly transformers: readonly TransformerChange[];
  /** Ends of conductors that stay, by the end. */
  kept(side: EndSide): readonly EndChange[];
  /** Ends of conductors whose cable is pulled out, or comes in. */
  readonly leaving: readonly EndChange[];
  readonly coming: readonly EndChange[];
  links(kind: LinkChange['kind'], place: EndSide): readonly LinkChange[];
  devices(kind: DeviceChange['kind'], place: Place): readonly DeviceChange[];
  readonly cables: readonly CableChange[];
}

function sortChanges(changes: readonly Change[], before: Wiring, after: Wiring, draft: MoveWriter): Sorted {
  const ends = changes.filter((one): one is EndChange => one.kind === 'end');
  const [was, is] = [before, after].map(({ strands }) => new Set(strands.map((one) => one.id)));
  const stays = (id: string) => was?.has(id) === true && is?.has(id) === true;
  const isCable = (one: Change): one is CableChange => one.kind === 'cable-in' || one.kind === 'cable-out';
  return {
    transformers: changes.filter((one): one is TransformerChange => one.kind === 'transformer'),
    kept: (side) => ends.filter((one) => one.side === side && draft.isAt(one, side) && stays(one.strand)),
    leaving: ends.filter((one) => is?.has(one.strand) !== true),
    coming: ends.filter((one) => was?.has(one.strand) !== true),
    links: (kind, place) =>
      changes.filter((one): one is LinkChange => one.kind === kind && one.link.place === place),
    devices: (kind, place) =>
      changes.filter((one): one is DeviceChange => one.kind === kind && one.device.place === place),
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
    ...sorted.transformers.map((one) => draft.transformer(one)),
    ...kept.flatMap((one) => draft.check(one)),
    ...sorted.links('link-off', 'equipment').map((one) => draft.link(one)),
    ...sorted.leaving.filter((one) => one.side === 'equipment').map((one) => draft.lift(one)),
    ...kept.filter(onIt).map((one) => draft.lift(one)),
    ...inLine.map((one) => draft.device(one)),
    ...sorted.devices('device-on', 'equipment').map((one) => draft.device(one)),
    ...kept.flatMap((one) => (onIt(one) ? draft.landOnly(one) : draft.liftAndLand(one))),
    ...sorted.links('link-on', 'equipment').map((one) => draft.link(one))
  ];
}

/** The wall, with what a new cable or a supply in an outlet brings along. */
function atWall(sorted: Sorted, draft: MoveWriter): Draft[] {
  const comingAt = (side: EndSide) => sorted.coming.filter((one) => one.side === side);
  const outlet = comingAt('equipment').filter((one) => !draft.isAt(one, 'equipment'));
  return [
    ...sorted.links('link-off', 'wall').map((one) => draft.link(one)),
    ...[...sorted.leaving.filter((one) => one.side === 'wall'), ...sorted.kept('wall')].flatMap((one) =>
      draft.liftOnly(one)
    ),
    ...sorted.devices('device-off', 'wall').map((one) => draft.device(one)),
    ...sorted.cables.map((one) => draft.cable(one)),
    ...comingAt('equipment')
      .filter((one) => draft.isAt(one, 'equipment'))
      .flatMap((one) => draft.landOnly(one)),
    ...sorted.devices('device-on', 'wall').map((one) => draft.device(one)),
    ...sorted.links('link-on', 'wall').map((one) => draft.link(one)),
    ...sorted.kept('wall').flatMap((one) => draft.landOnly(one)),
    ...comingAt('wall').flatMap((one) => draft.landOnly(one)),
    ...sorted.devices('device-on', 'outlet').map((one) => draft.device(one)),
    ...outlet.flatMap((one) => draft.landOnly(one))
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
    ...b.filter((one) => !a.some((other) => other.id === one.id))
  ];
  return {
    devices: join(before.devices, after.devices),
    cables: join(before.cables, after.cables),
    strands: join(before.strands, after.strands),
    links: join(before.links, after.links)
  };
}
