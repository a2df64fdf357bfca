/**
 * Y and G on one conductor: the part that combined terminals and splitters share. Of the two conductors one becomes the common and the other
 * carries both calls to a module at the equipment, which takes them apart again.
 */
import { ref } from '../findings/refs';
import { isHeatPump } from '../devices/roles';
import { finding, type Finding } from '../findings/finding';
import {
  landed,
  landedMark,
  screwsOfMarks,
  screwThat,
  terminalId,
  type Adapter,
  type Board,
  type Strand,
  type Wiring,
  type WireLink
} from '../wiring/graph';
import { countSupplies } from './equipment';
import type { Part, SupplySituation, Variant } from './types';
import type { CallPair } from './requirements';

const ADAPTER_ID = 'adapter';

/** Two schools: either is right as long as both ends agree. */
export const PAIR_VARIANTS: readonly Variant[] = [
  { id: 'g-becomes-c', title: 'G becomes C, Y carries both calls' },
  { id: 'y-becomes-c', title: 'Y becomes C, G carries both calls' }
];

export interface Roles {
  readonly common: Strand;
  readonly shared: Strand;
}

export function rolesOf({ y, g }: CallPair, variant: string | null): Roles {
  return variant === 'y-becomes-c' ? { common: y, shared: g } : { common: g, shared: y };
}

/** Terminals at the wall that the common and the shared conductor end at. */
export interface WallEnds {
  readonly commonEnd: string;
  readonly callsEnd: string;
}

/** The module on the board's R, C, Y and G by short pieces, the shared conductor on its K. */
export function withAdapter(
  wiring: Wiring,
  board: Board,
  { common, shared }: Roles,
  { commonEnd, callsEnd }: WallEnds
): Wiring {
  const adapter: Adapter = {
    kind: 'adapter',
    id: ADAPTER_ID,
    at: board.at,
    name: 'adapter',
    screws: screwsOfMarks(ADAPTER_ID, ['R', 'C', 'K', 'Y', 'G'])
  };
  const onBoard = (mark: string) => screwThat(board, mark)?.id ?? terminalId(board.id, mark);
  const pieces = ['R', 'C', 'Y', 'G'].map((mark): WireLink => ({
    id: `ln-adapter-${mark.toLowerCase()}`,
    at: board.at,
    a: terminalId(ADAPTER_ID, mark),
    b: onBoard(mark),
    kind: 'wire'
  }));
  const move = (strand: Strand): Strand => {
    if (strand.id === common.id)
      return {
        ...strand,
        near: landed(commonEnd),
        far: landed(onBoard('C'))
      };
    if (strand.id === shared.id)
      return {
        ...strand,
        near: landed(callsEnd),
        far: landed(terminalId(ADAPTER_ID, 'K'))
      };
    return strand;
  };
  return {
    ...wiring,
    devices: [...wiring.devices, adapter],
    strands: wiring.strands.map(move),
    links: [...wiring.links, ...pieces]
  };
}

export const ADAPTER_PIECES: Part = {
  id: 'adapter-pieces',
  name: 'Pieces of 18 AWG solid wire from the adapter to the board',
  quantity: 4,
  unit: 'piece',
  cost: 2
};

/** What no circuit knows about such modules. */
export function adapterRules(situation: SupplySituation, { common, shared }: Roles): Finding[] {
  const unread = situation.recorded.strands.filter(
    (strand) => [common.id, shared.id].includes(strand.id) && strand.far.state === 'unseen'
  );
  return [
    finding('note', 'adapter-mounting', {}),
    finding('note', 'adapter-ends-agree', { common: common.name, shared: shared.name }, [
      ref.conductor(common.id),
      ref.conductor(shared.id)
    ]),
    ...notForThis(situation),
    ...unread.map((strand) =>
      finding('stop', 'end-not-read', { what: 'before-moved', conductor: strand.name }, [
        ref.conductor(strand.id)
      ])
    )
  ];
}

/** Houses that the makers of such modules leave out. */
function notForThis({ before, worlds }: SupplySituation): Finding[] {
  // On a heat pump W2 is auxiliary heat, and no second stage of W.
  const staged = worlds.filter(({ world }) => !isHeatPump(world.family));
  const inSome = staged.length < worlds.length ? { worlds: staged.map(({ world }) => world.says) } : {};
  const secondHeat =
    staged.length > 0 &&
    before.strands.some(
      (strand) => strand.near.state === 'landed' && landedMark(before, strand.far) === 'W2'
    );
  return [
    ...(countSupplies(before) > 1
      ? [finding('stop', 'adapter-not-for-this', { what: 'two-transformers' })]
      : []),
    ...(secondHeat
      ? [{ ...finding('stop', 'adapter-not-for-this', { what: 'two-heat-stages' }), ...inSome }]
      : []),
    ...(worlds.some((world) => isHeatPump(world.world.family))
      ? [finding('warn', 'adapter-not-for-this', { what: 'heat-pump' })]
      : [])
  ];
}
