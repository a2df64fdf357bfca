/** The strand sheet as rows: a drawing of a wiring, with what moved marked, without anything that the graph does not say. */
import type { ColourCode } from '$core/trade/colours';
import type { EndSide } from '$core/trade/vocabulary';
import {
  deviceOf,
  markAt,
  placeOf,
  placeOfEnd,
  sideOf,
  landedTerminal,
  printedMark,
  STRAND_ENDS,
  type Landing,
  type Strand,
  type StrandEnd,
  type TerminalId,
  type Wiring
} from '$core/wiring/graph';
import { sameLanding } from '$core/wiring/difference';

export interface EndView {
  readonly state: Landing['state'];
  /** The mark as printed, when landed. */
  readonly mark: string;
  /** The place, where the conductors of this end go to more than one; else empty. */
  readonly where: string;
  /** True when this end is elsewhere in the wiring that this one is compared with. */
  readonly moved: boolean;
}

export interface RowView {
  readonly id: string;
  readonly name: string;
  readonly cable: string;
  readonly colour: ColourCode | null;
  readonly colourBeyond: ColourCode | null;
  readonly stripe: ColourCode | null;
  readonly spliced: Strand['spliced'];
  readonly continuity: Strand['continuity'];
  readonly wall: EndView;
  readonly equipment: EndView;
  /** Came with a new cable. */
  readonly fresh: boolean;
}

export interface GroupView {
  readonly cable: string;
  readonly name: string;
  readonly facts: string;
  readonly rows: readonly RowView[];
}

/** A link drawn as a bracket from row to row, or as a stub to a terminal that no conductor is on. */
export interface LinkView {
  readonly id: string;
  readonly side: EndSide;
  /** Positions among all rows, top first; one only for a stub, none for a link between two bare terminals. */
  readonly rows: readonly number[];
  readonly marks: readonly [string, string];
  /** The mark that the stub leads to: the one without a conductor of its own. */
  readonly stub: string;
  readonly text: string;
  readonly moved: boolean;
}

export type CellKind = 'wall' | 'colour' | 'strand' | 'equipment';

export interface SheetView {
  readonly groups: readonly GroupView[];
  readonly links: readonly LinkView[];
}

/** Draws a wiring; `against` is the wiring it is compared with. */
export function sheetView(wiring: Wiring, against: Wiring | null = null): SheetView {
  const known = new Set(wiring.cables.map((cable) => cable.id));
  const orphans = [...new Set(wiring.strands.map((strand) => strand.cable))].filter((id) => !known.has(id));
  const cables = [...wiring.cables, ...orphans.map((id) => ({ id, name: id, lengthM: null, gauge: null }))];
  const several = severalPlaces(wiring);
  const groups = cables.map((cable) => ({
    cable: cable.id,
    name: cable.name,
    facts: cableFacts(cable.gauge, cable.lengthM),
    rows: wiring.strands
      .filter((strand) => strand.cable === cable.id)
      .map((strand) => rowOf(strand, { wiring, against, several }))
  }));
  const order = groups.flatMap((group) => group.rows.map((row) => row.id));
  return { groups, links: linksOf(wiring, against, order) };
}

/** What a way changes, as a small picture has room for it: the strands that move or are new, the parts that come, jumpers. */
export interface ChangeView {
  readonly rows: readonly RowView[];
  /** Names of the parts that come between; the new thermostat comes with every way and is none of them. */
  readonly parts: readonly string[];
  /** Jumpers that come; joints inside a part are none. */
  readonly jumpers: readonly string[];
}

export function changeView(before: Wiring, after: Wiring): ChangeView {
  const view = sheetView(after, before);
  const known = new Set(before.devices.map(({ id }) => id));
  const parts = after.devices.filter(({ id, kind }) => !known.has(id) && kind !== 'new-thermostat');
  return {
    rows: view.groups.flatMap(({ rows }) =>
      rows.filter((row) => row.fresh || row.wall.moved || row.equipment.moved)
    ),
    parts: parts.map(({ name }) => name),
    jumpers: parts.length > 0 ? [] : view.links.filter(({ moved }) => moved).map(({ text }) => text)
  };
}

/** The view with every row that says the same as before being the very row that it was: the page draws only what has changed. */
export function steadyView(view: SheetView, before: SheetView | null): SheetView {
  if (before === null) return view;
  const known = new Map(before.groups.flatMap((group) => group.rows.map((row) => [row.id, row])));
  const steady = (row: RowView) => {
    const was = known.get(row.id);
    return was && JSON.stringify(was) === JSON.stringify(row) ? was : row;
  };
  return { ...view, groups: view.groups.map((group) => ({ ...group, rows: group.rows.map(steady) })) };
}

function cableFacts(gauge: number | null, lengthM: number | null): string {
  return [
    gauge === null ? 'gauge not read' : `${gauge} AWG`,
    lengthM === null ? 'length not known' : `${lengthM} m`
  ].join(', ');
}

/** The ends whose conductors go to more than one place. */
function severalPlaces(wiring: Wiring): ReadonlySet<StrandEnd> {
  return new Set(
    STRAND_ENDS.filter(
      (end) => new Set(wiring.strands.flatMap((strand) => placeOfEnd(wiring, strand, end) ?? [])).size > 1
    )
  );
}

interface Drawn {
  readonly wiring: Wiring;
  readonly against: Wiring | null;
  readonly several: ReadonlySet<StrandEnd>;
}

function rowOf(strand: Strand, { wiring, against, several }: Drawn): RowView {
  const other = against?.strands.find((candidate) => candidate.id === strand.id);
  const end = (side: StrandEnd): EndView => {
    const landing = strand[side];
    const terminal = landedTerminal(landing);
    return {
      state: landing.state,
      mark: terminal === null ? '' : printedMark(wiring, terminal),
      where: several.has(side) ? (placeOf(wiring, placeOfEnd(wiring, strand, side) ?? '')?.name ?? '') : '',
      moved: other !== undefined && against !== null && hasMoved([wiring, landing], [against, other[side]])
    };
  };
  return {
    id: strand.id,
    name: strand.name,
    cable: strand.cable,
    colour: strand.colour,
    colourBeyond: strand.colourBeyond,
    stripe: strand.stripe,
    spliced: strand.spliced,
    continuity: strand.continuity,
    wall: end('near'),
    equipment: end('far'),
    fresh: against !== null && other === undefined
  };
}

/** The same mark on a new plate is no move to the eye. */
function hasMoved(...sides: readonly [readonly [Wiring, Landing], readonly [Wiring, Landing]]): boolean {
  const [[, now], [, was]] = sides;
  if (sameLanding(now, was)) return false;
  const [is, before] = sides.map(([wiring, landing]) =>
    landing.state === 'landed' ? meaningWord(wiring, landing.terminal) : landing.state
  );
  return is !== before;
}

/** What a screw stands for; where nobody knows, the screw itself. */
function meaningWord(wiring: Wiring, terminal: TerminalId): string {
  return markAt(wiring, terminal) ?? terminal;
}

function linksOf(wiring: Wiring, against: Wiring | null, order: readonly string[]): LinkView[] {
  return wiring.links.map((link) => {
    const marks: [string, string] = [printedMark(wiring, link.a), printedMark(wiring, link.b)];
    const side = sideOf(wiring, link.at);
    const [onA, onB] = [rowOn(wiring, link.a, order), rowOn(wiring, link.b, order)];
    const rows = [...onA, ...onB].sort((a, b) => a - b);
    const where = side === 'wall' ? 'at the wall' : 'at the equipment';
    const kind =
      link.kind === 'inside'
        ? 'joined inside'
        : link.kind === 'clip'
          ? 'joined by a clip'
          : 'joined by a jumper';
    const apart = ownersApart(wiring, link.a, link.b);
    return {
      id: link.id,
      side,
      rows: [...new Set(rows)],
      marks,
      stub: onA.length > 0 ? marks[1] : marks[0],
      text: apart
        ? `${marks[0]} of the ${apart[0]} joined to ${marks[1]} of the ${apart[1]} ${where}`
        : `${marks[0]} and ${marks[1]} ${kind} ${where}`,
      moved:
        against !== null &&
        !against.links.some(
          (candidate) =>
            sameMark([against, candidate.a], [wiring, link.a]) &&
            sameMark([against, candidate.b], [wiring, link.b])
        )
    };
  });
}

/** Names of the two devices that a link goes between; null where it stays on one. */
function ownersApart(wiring: Wiring, a: TerminalId, b: TerminalId): [string, string] | null {
  const [first, second] = [deviceOf(wiring, a), deviceOf(wiring, b)];
  return first && second && first.id !== second.id ? [first.name, second.name] : null;
}

function sameMark(a: readonly [Wiring, TerminalId], b: readonly [Wiring, TerminalId]): boolean {
  return meaningWord(...a) === meaningWord(...b);
}

function rowOn(wiring: Wiring, terminal: TerminalId, order: readonly string[]): number[] {
  const strand = wiring.strands.find((candidate) =>
    STRAND_ENDS.some((end) => landedTerminal(candidate[end]) === terminal)
  );
  const row = strand ? order.indexOf(strand.id) : -1;
  return row === -1 ? [] : [row];
}

export const STATE_WORDS: Readonly<Record<Landing['state'], string>> = {
  landed: 'landed',
  loose: 'loose',
  coiled: 'coiled',
  unseen: 'not seen'
};

/** What an end says, for a cell's name and for the print. */
export function endText(end: Pick<EndView, 'state' | 'mark'>): string {
  return end.state === 'landed'
    ? end.mark === ''
      ? 'landed, mark missing'
      : end.mark
    : STATE_WORDS[end.state];
}
