/**
 * The difference of two wirings as values that can be applied, reversed and written down. The move list is made of these and of
 * nothing else, so that the moves cannot disagree with the sheet; what has been done is a log of them.
 */
import type * as v from 'valibot';
import type { GraphChange } from '../job/graph-schema';
import {
  boards,
  deviceOf,
  placeOf,
  type Board,
  type Cable,
  type Device,
  type Landing,
  type Place,
  type SmallDevice,
  type Strand,
  type StrandEnd,
  type WireLink,
  type Wiring
} from './graph';
import { ownLink } from './own-link';

export type Change = Readonly<v.InferOutput<typeof GraphChange>>;

const LOOSE: Landing = { state: 'loose' };

/**
 * What has to happen to turn `before` into `after`. Cables come and go with all their strands; a strand that goes is lifted first, a
 * strand that comes is landed afterwards. Applied in the order given, the changes lead from the one to the other.
 */
export function difference(before: Wiring, after: Wiring): Change[] {
  const gone = before.cables.filter((cable) => !after.cables.some((other) => other.id === cable.id));
  const come = after.cables.filter((cable) => !before.cables.some((other) => other.id === cable.id));
  const [off, on] = [
    small(missing(before.devices, after.devices)),
    small(missing(after.devices, before.devices))
  ];
  const kept = before.strands.filter((strand) => after.strands.some((other) => other.id === strand.id));
  return [
    ...transformerChanges(before, after),
    ...missing(before.links, after.links)
      .filter((link) => !goesAlong(before, off, link))
      .map((link): Change => ({ kind: 'link-off', link })),
    ...gone.flatMap((cable) =>
      strandsIn(before, cable).flatMap((strand) => endChanges(strand, lifted(strand)))
    ),
    ...gone.map((cable): Change => ({
      kind: 'cable-out',
      cable,
      strands: strandsIn(before, cable).map(lifted)
    })),
    ...off.map((device): Change => {
      const brings = before.links.filter((link) => goesAlong(before, [device], link));
      return {
        kind: 'device-off',
        device,
        place: placeFor(before, device),
        ...(brings.length > 0 ? { brings } : {})
      };
    }),
    ...on.flatMap((device): Change[] => {
      const own = ownLink(device);
      const stays = own === null || after.links.some((link) => link.id === own.id);
      return [
        { kind: 'device-on', device, place: placeFor(after, device), ...(own ? { brings: [own] } : {}) },
        ...(stays ? [] : [{ kind: 'link-off', link: own } as const])
      ];
    }),
    ...come.map((cable): Change => ({
      kind: 'cable-in',
      cable,
      strands: strandsIn(after, cable).map(lifted)
    })),
    ...kept.flatMap((strand) => {
      const now = after.strands.find((candidate) => candidate.id === strand.id);
      return now ? endChanges(strand, now) : [];
    }),
    ...come.flatMap((cable) =>
      strandsIn(after, cable).flatMap((strand) => endChanges(lifted(strand), strand))
    ),
    ...missing(after.links, before.links)
      .filter((link) => !on.some((device) => ownLink(device)?.id === link.id))
      .map((link): Change => ({ kind: 'link-on', link }))
  ];
}

/** A link between the screws of one device that goes: nobody takes it out first. */
function goesAlong(wiring: Wiring, off: readonly Device[], link: WireLink): boolean {
  return off.some((device) => [link.a, link.b].every((end) => deviceOf(wiring, end)?.id === device.id));
}

function transformerChanges(before: Wiring, after: Wiring): Change[] {
  return boards(before).flatMap((was): Change[] => {
    const now = boards(after).find((board) => board.id === was.id);
    if (!now || now.transformerVa === was.transformerVa) return [];
    return [{ kind: 'transformer', device: was.id, from: was.transformerVa, to: now.transformerVa }];
  });
}

/** A machine's board neither comes nor goes. */
function small(devices: readonly Device[]): SmallDevice[] {
  return devices.filter((device): device is SmallDevice => device.kind !== 'board');
}

function placeFor(wiring: Wiring, device: SmallDevice): Place {
  return placeOf(wiring, device.at) ?? { id: device.at, kind: 'machine', name: device.at };
}

function missing<T extends { readonly id: string }>(from: readonly T[], other: readonly T[]): T[] {
  return from.filter((candidate) => !other.some((two) => two.id === candidate.id));
}

function strandsIn(wiring: Wiring, cable: Cable): Strand[] {
  return wiring.strands.filter((strand) => strand.cable === cable.id);
}

/** The strand with whatever end was landed taken off. */
function lifted(strand: Strand): Strand {
  const off = (landing: Landing) => (landing.state === 'landed' ? LOOSE : landing);
  return { ...strand, near: off(strand.near), far: off(strand.far) };
}

function endChanges(from: Strand, to: Strand): Change[] {
  return (['far', 'near'] as const).flatMap((side: StrandEnd) =>
    sameLanding(from[side], to[side])
      ? []
      : [{ kind: 'end' as const, strand: from.id, side, from: from[side], to: to[side] }]
  );
}

export function sameLanding(a: Landing, b: Landing): boolean {
  if (a.state === 'landed' && b.state === 'landed') return a.terminal === b.terminal;
  return a.state === b.state;
}

/** The wiring after the change. Throws where the change does not fit the wiring: it was made for another. */
export function applyChange(wiring: Wiring, change: Change): Wiring {
  switch (change.kind) {
    case 'end':
      if (!wiring.strands.some((strand) => strand.id === change.strand))
        throw new Error(`${change.strand} is not there to be moved`);
      return {
        ...wiring,
        strands: wiring.strands.map((strand) =>
          strand.id === change.strand ? withEnd(strand, change) : strand
        )
      };
    case 'transformer':
      return { ...wiring, devices: wiring.devices.map((device) => withTransformer(device, change)) };
    case 'link-on':
      return { ...wiring, links: withOne(wiring.links, change.link) };
    case 'link-off':
      return { ...wiring, links: without(wiring.links, change.link) };
    case 'device-on':
      return {
        ...wiring,
        places: placeOf(wiring, change.place.id) ? wiring.places : [...wiring.places, change.place],
        devices: withOne(wiring.devices, change.device),
        links: (change.brings ?? []).reduce<readonly WireLink[]>(withOne, wiring.links)
      };
    case 'device-off':
      return {
        ...wiring,
        devices: without<Device>(wiring.devices, change.device),
        links: (change.brings ?? []).reduce<readonly WireLink[]>(without, wiring.links)
      };
    case 'cable-in':
      return {
        ...wiring,
        cables: withOne(wiring.cables, change.cable),
        strands: [...wiring.strands, ...change.strands]
      };
    case 'cable-out':
      return {
        ...wiring,
        cables: without(wiring.cables, change.cable),
        strands: change.strands.reduce<readonly Strand[]>(without, wiring.strands)
      };
  }
}

/** Whether the change fits the wiring as it is. */
export function fits(wiring: Wiring, change: Change): boolean {
  try {
    applyChange(wiring, change);
    return true;
  } catch {
    return false;
  }
}

function withEnd(strand: Strand, change: Extract<Change, { kind: 'end' }>): Strand {
  if (!sameLanding(strand[change.side], change.from)) {
    throw new Error(`The ${change.side} end of ${strand.id} is not where the change expects it`);
  }
  return { ...strand, [change.side]: change.to };
}

function withTransformer(device: Device, change: Extract<Change, { kind: 'transformer' }>): Device {
  if (device.id !== change.device || device.kind !== 'board') return device;
  if (device.transformerVa !== change.from)
    throw new Error(`The transformer of ${device.id} is not the one that the change expects`);
  const exchanged: Board = { ...device, transformerVa: change.to };
  return exchanged;
}

function withOne<T extends { readonly id: string }>(list: readonly T[], come: T): readonly T[] {
  if (list.some((candidate) => candidate.id === come.id)) throw new Error(`${come.id} is there already`);
  return [...list, come];
}

function without<T extends { readonly id: string }>(list: readonly T[], gone: T): readonly T[] {
  if (!list.some((candidate) => candidate.id === gone.id))
    throw new Error(`${gone.id} is not there to be taken away`);
  return list.filter((candidate) => candidate.id !== gone.id);
}

const opposite = {
  'link-on': 'link-off',
  'link-off': 'link-on',
  'device-on': 'device-off',
  'device-off': 'device-on',
  'cable-in': 'cable-out',
  'cable-out': 'cable-in'
} as const;

/** The change that takes this one back. */
export function reverseChange(change: Change): Change {
  if (change.kind === 'end') return { ...change, from: change.to, to: change.from };
  if (change.kind === 'transformer') return { ...change, from: change.to, to: change.from };
  return { ...change, kind: opposite[change.kind] } as Change;
}
