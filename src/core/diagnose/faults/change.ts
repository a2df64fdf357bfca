/** Small steps that faults are made of. */
import {
  placeOf,
  placeOfEnd,
  printedMark,
  sideOf,
  type Landing,
  type Strand,
  type StrandEnd,
  type TerminalId,
  type Upset,
  type Wiring
} from '../../wiring/graph';

export function withStrand(wiring: Wiring, id: string, change: (strand: Strand) => Strand): Wiring {
  return { ...wiring, strands: wiring.strands.map((strand) => (strand.id === id ? change(strand) : strand)) };
}

export function withUpset(wiring: Wiring, upset: Upset): Wiring {
  return { ...wiring, upsets: [...(wiring.upsets ?? []), upset] };
}

export function landed(strand: Strand): boolean {
  return strand.near.state === 'landed' && strand.far.state === 'landed' && strand.continuity !== 'broken';
}

export const LOOSE: Landing = { state: 'loose' };

/** Where an end of a conductor is, as one says it: a cord ends at a plug-in supply, not at the equipment. */
export function endName(wiring: Wiring, strand: Strand, end: StrandEnd): string {
  if (end === 'near') return 'the wall';
  const place = placeOfEnd(wiring, strand, end);
  return place !== null && placeOf(wiring, place)?.kind === 'outlet' ? 'the plug-in supply' : 'the equipment';
}

/** The place of a link or a device as one says it. */
export function placeName(wiring: Wiring, place: string): string {
  return sideOf(wiring, place) === 'wall' ? 'the wall' : 'the equipment';
}

/** A terminal in a clause. */
export function markName(wiring: Wiring, terminal: TerminalId): string {
  return printedMark(wiring, terminal);
}
