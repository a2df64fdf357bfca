/** Keys on the strand sheet: arrows walk from cell to cell; letters write a mark or a colour. Pure, so that it can be tested alone. */
import type { Screw } from '$core/job/schema';
import { readScrewName, screwNamed } from '$core/job/screws';
import { COLOUR_CODES, type ColourCode } from '$core/trade/colours';
import { COMMON_MARKS, markFacts } from '$core/trade/terminals';

export type Column = 'wall' | 'colour' | 'strand' | 'equipment';

export interface Spot {
  readonly row: number;
  readonly column: Column;
}

/** Where an arrow leads, within `rows` rows and the columns that are shown. */
export function walk(spot: Spot, key: string, rows: number, columns: readonly Column[]): Spot | null {
  const at = columns.indexOf(spot.column);
  const column = (index: number): Column =>
    columns[Math.min(Math.max(index, 0), columns.length - 1)] ?? spot.column;
  switch (key) {
    case 'ArrowUp':
      return { ...spot, row: Math.max(0, spot.row - 1) };
    case 'ArrowDown':
      return { ...spot, row: Math.min(rows - 1, spot.row + 1) };
    case 'ArrowLeft':
      return { ...spot, column: column(at - 1) };
    case 'ArrowRight':
      return { ...spot, column: column(at + 1) };
    case 'Home':
      return { ...spot, column: column(0) };
    case 'End':
      return { ...spot, column: column(columns.length - 1) };
    default:
      return null;
  }
}

export type EndWord =
  | { readonly ok: true; readonly word: string; readonly known: boolean }
  | { readonly ok: false; readonly why: string };

const states: Readonly<Record<string, string>> = {
  LOOSE: 'loose',
  COIL: 'coiled',
  COILED: 'coiled',
  UNSEEN: 'unseen',
  '?': 'unseen'
};

/** What typed letters mean in an end cell: a state's word, or a mark as printed. */
export function readEnd(typed: string): EndWord {
  const upper = typed.trim().toUpperCase();
  const state = states[upper];
  if (state) return { ok: true, word: state, known: true };
  const name = readScrewName(upper);
  if (!name) return { ok: false, why: `“${typed}” is no mark of a terminal` };
  return { ok: true, word: upper, known: markFacts(name.mark) !== undefined };
}

/** Two letters set a colour; null while they name none. */
export function readColour(typed: string): ColourCode | null {
  return COLOUR_CODES.find((code) => code === typed.toUpperCase()) ?? null;
}

/** Keys that begin or go on with typing in a cell. */
export function isTyped(key: string): boolean {
  return /^[A-Za-z0-9+\-/.()*#?]$/.test(key);
}

/** Marks that are met most and that none of these screws has. */
export function otherMarks(screws: readonly Screw[]): string[] {
  return COMMON_MARKS.filter((mark) => screwNamed(screws, mark) === undefined);
}
