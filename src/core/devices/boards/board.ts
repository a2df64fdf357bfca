/** What all boards share: a transformer behind a fuse and the switches in its way, and coils between a call terminal and common. */
import {
  coilOhms,
  CONTACT_OHMS,
  DROP_OUT_VOLTS,
  PULL_IN_VOLTS,
  LEAST_TRANSFORMER_VA,
  USUAL_FUSE_AMPS,
  USUAL_TRANSFORMER_VA,
  type CoilFacts
} from '../../trade/loads';
import { HOT_MARKS } from '../../trade/terminals';
import { screwThat, type Board, type Screw, type TerminalId } from '../../wiring/graph';
import type { Coil, Element, Fuse, PartOf, Resistor } from '../elements';
import type { PartName } from '../../trade/parts';
import { secondary } from '../transformer';
import { switchesInFeed } from './feed-switches';

/** The board's own side of common: there whether or not a screw stands for it. */
export function commonNode(board: Board): TerminalId {
  return screwThat(board, 'C')?.id ?? `${board.id}:common`;
}

/** The screw that the transformer's hot side comes out at: R, or whatever is there in its place. */
export function hotNode(board: Board): TerminalId {
  for (const mark of HOT_MARKS) {
    const screw = screwThat(board, mark);
    if (screw) return screw.id;
  }
  return `${board.id}:hot-terminal`;
}

/**
 * Transformer, door switch, fuse, float switch and then the hot terminal. An unread size counts as the usual 40 VA, and may be as little
 * as 20.
 */
export function supplyElements(board: Board, va = USUAL_TRANSFORMER_VA): Element[] {
  const inside = `${board.id}:hot`;
  const source = secondary({
    device: board.id,
    name: board.name,
    hot: inside,
    common: commonNode(board),
    va: board.transformerVa ?? va,
    leastVa: board.transformerVa ?? LEAST_TRANSFORMER_VA
  });
  const fuse = (a: string, b: string): Fuse => ({
    kind: 'fuse',
    id: `${board.id}:fuse`,
    a,
    b,
    amps: board.fuseAmps ?? USUAL_FUSE_AMPS,
    seen: board.fuseAmps !== null,
    part: { device: board.id, part: 'fuse' }
  });
  const { beforeFuse, afterFuse } = switchesInFeed(board);
  const hot = hotNode(board);
  const toFuse = beforeFuse ? `${board.id}:before-fuse` : inside;
  const fromFuse = afterFuse ? `${board.id}:after-fuse` : hot;
  return [
    source,
    ...(beforeFuse ? [closedSwitch(board, 'door-switch', inside, toFuse)] : []),
    fuse(toFuse, fromFuse),
    ...(afterFuse ? [closedSwitch(board, 'float-switch', fromFuse, hot)] : [])
  ];
}

/** A switch that is closed as long as all is well; a fault opens it. */
export function closedSwitch(board: Board, part: PartName, a: string, b: string): Resistor {
  const id = `${board.id}:${part}`;
  return { kind: 'resistor', of: 'joint', id, a, b, ohms: CONTACT_OHMS, part: { device: board.id, part } };
}

/** A coil between two nodes. */
export function coilBetween(
  id: string,
  part: PartOf,
  [a, b]: readonly [string, string],
  facts: CoilFacts
): Coil {
  const size = coilOhms(facts.va);
  return {
    kind: 'coil',
    id,
    a,
    b,
    ohms: size * facts.powerFactor,
    reactance: size * Math.sqrt(1 - facts.powerFactor * facts.powerFactor),
    pullIn: PULL_IN_VOLTS,
    dropOut: DROP_OUT_VOLTS,
    inrush: facts.inrush,
    inrushRange: facts.inrushRange,
    part
  };
}

/** The screw that a coil hangs on: one that stands for two marks works the coil of the first. */
export function coilScrew(board: Board, mark: string): Screw | undefined {
  return board.screws.find((screw) => screw.means[0] === mark);
}

/** A coil between the mark and common, or none when the board has no such terminal. */
export function coilOn(board: Board, mark: string, facts: CoilFacts): (Coil | Resistor)[] {
  const screw = coilScrew(board, mark);
  if (!screw) return [];
  const part: PartOf = { device: board.id, part: 'coil', mark };
  const floated = board.others.some(({ kind, terminal }) => kind === 'float-switch' && terminal === screw.id);
  if (!floated) return [coilBetween(coilId(board, mark), part, [screw.id, commonNode(board)], facts)];
  const behind = `${board.id}:behind-float-${mark}`;
  return [
    {
      kind: 'resistor',
      of: 'joint',
      id: `${board.id}:float-switch-${mark}`,
      a: screw.id,
      b: behind,
      ohms: CONTACT_OHMS,
      part: { device: board.id, part: 'float-switch', mark }
    },
    coilBetween(coilId(board, mark), part, [behind, commonNode(board)], facts)
  ];
}

export function coilId(board: Board, mark: string): string {
  return `${board.id}:coil-${mark}`;
}

const ZONED: ReadonlySet<Board['machine']> = new Set(['zone-panel', 'zone-pump-panel']);
const ZONE_CALLS: ReadonlySet<string> = new Set(['W1', 'T1', 'T2', 'TT', 'T']);

/** Whether a screw is the call of one zone: on a panel each has one of its own, whatever is printed beside it. */
export function isZoneCall(board: Board, screw: Screw): boolean {
  const mark = screw.means[0] ?? '';
  return ZONED.has(board.machine) && (ZONE_CALLS.has(mark) || /^Z\d+$/.test(mark));
}

/** Screws of one board with the same meaning are the same copper: two R, C and COM. The calls of zones are not. */
export function tiesOf(board: Board): Resistor[] {
  const first = new Map<string, Screw>();
  return board.screws.flatMap((screw): Resistor[] => {
    const [mark] = screw.means;
    if (mark === undefined || isZoneCall(board, screw)) return [];
    const known = first.get(mark);
    if (!known) {
      first.set(mark, screw);
      return [];
    }
    return [
      {
        kind: 'resistor',
        of: 'joint',
        id: `${screw.id}:tie`,
        a: known.id,
        b: screw.id,
        ohms: CONTACT_OHMS,
        part: { device: board.id, part: 'joint', mark }
      }
    ];
  });
}
