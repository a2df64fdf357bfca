/**
 * Moves: the difference of two wirings in the order of the hands. Power off first; then all that is done at the equipment, then all that is
 * done at the wall; one conductor at a time. Every move carries the change of the graph that it makes, so that the list can be replayed.
 */
import type { EndSide } from '../trade/vocabulary';
import { applyChange, difference } from '../wiring/difference';
import type { Wiring } from '../wiring/graph';
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
  const stays = (id: string) =>
    before.strands.some((one) => one.id === id) && after.strands.some((one) => one.id === id);
  const ends = changes.filter((one): one is EndChange => one.kind === 'end');
  const at = (side: EndSide) => ends.filter((one) => one.side === side && draft.isAt(one, side));
  const leaving = ends.filter((one) => !after.strands.some((strand) => strand.id === one.strand));
  const coming = ends.filter((one) => !before.strands.some((strand) => strand.id === one.strand));
  const kept = (side: EndSide) => at(side).filter((one) => stays(one.strand));
  const links = (kind: 'link-on' | 'link-off', place: EndSide) =>
    changes.filter((one): one is LinkChange => one.kind === kind && one.link.place === place);
  const devices = (kind: 'device-on' | 'device-off') =>
    changes.filter((one): one is DeviceChange => one.kind === kind);
  const cables = (kind: 'cable-in' | 'cable-out') =>
    changes.filter((one): one is CableChange => one.kind === kind);
  const outlet = coming.filter((one) => one.side === 'equipment' && !draft.isAt(one, 'equipment'));

  // A small part that stands in line at the equipment: what is on it comes off first.
  const oldParts = devices('device-off').filter((one) => one.device.place === 'equipment');

  const drafts: Draft[] = [
    ...others.map((one) => draft.otherSupply(one, 'power-off')),
    ...draft.powerOff(before),
    ...changes
      .filter((one): one is TransformerChange => one.kind === 'transformer')
      .map((one) => draft.transformer(one)),
    ...kept('equipment').flatMap((one) => draft.check(one)),
    ...links('link-off', 'equipment').map((one) => draft.link(one)),
    ...leaving.filter((one) => one.side === 'equipment').map((one) => draft.lift(one)),
    ...oldParts.flatMap((one) =>
      kept('equipment')
        .filter((end) => draft.isOn(end, one))
        .map((end) => draft.lift(end))
    ),
    ...oldParts.map((one) => draft.device(one)),
    ...devices('device-on')
      .filter((one) => one.device.place === 'equipment')
      .map((one) => draft.device(one)),
    ...kept('equipment').flatMap((one) =>
      oldParts.some((part) => draft.isOn(one, part)) ? draft.landOnly(one) : draft.liftAndLand(one)
    ),
    ...links('link-on', 'equipment').map((one) => draft.link(one)),
    ...links('link-off', 'wall').map((one) => draft.link(one)),
    ...[...leaving.filter((one) => one.side === 'wall'), ...kept('wall')].flatMap((one) =>
      draft.liftOnly(one)
    ),
    ...devices('device-off')
      .filter((one) => one.device.place !== 'equipment')
      .map((one) => draft.device(one)),
    ...[...cables('cable-out'), ...cables('cable-in')].map((one) => draft.cable(one)),
    ...coming
      .filter((one) => one.side === 'equipment' && draft.isAt(one, 'equipment'))
      .flatMap((one) => draft.landOnly(one)),
    ...devices('device-on')
      .filter((one) => one.device.place === 'wall')
      .map((one) => draft.device(one)),
    ...links('link-on', 'wall').map((one) => draft.link(one)),
    ...kept('wall').flatMap((one) => draft.landOnly(one)),
    ...coming.filter((one) => one.side === 'wall').flatMap((one) => draft.landOnly(one)),
    ...devices('device-on')
      .filter((one) => one.device.place === 'outlet')
      .map((one) => draft.device(one)),
    ...outlet.flatMap((one) => draft.landOnly(one)),
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

/** The wiring that the moves lead to. */
export function applyMoves(wiring: Wiring, moves: readonly Pick<Move, 'change'>[]): Wiring {
  return moves.reduce((current, move) => (move.change ? applyChange(current, move.change) : current), wiring);
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
