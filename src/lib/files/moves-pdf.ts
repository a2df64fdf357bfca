/** What every move list on paper has: the cautions first, moves with boxes to tick and a picture of both ends. It reads in black and white. */
import type { Content, TableCell } from 'pdfmake/interfaces';
import { moveSvg } from '$core/formats/move-svg';
import type { Move } from '$core/plan/move-types';
import type { Wiring } from '$core/wiring/graph';

export interface MoveLine {
  readonly move: Move;
  readonly number: number;
  /** Whose conductor it is, where a machine serves several. */
  readonly whose?: string;
  /** The wiring before and after it. */
  readonly before: Wiring | undefined;
  readonly after: Wiring | undefined;
}

/** Above everything else on the page. */
export function cautionBox(): Content {
  const text =
    'Every supply off, and proven off, before a cover comes off: it was running and stops; then a meter. Mains, an unknown voltage, a smell of gas, data wires, a bypassed control: stop, and call a licensed person. Local code and the maker’s sheet win over this list. It can be wrong: the checks at the end are not optional.';
  return { table: { widths: ['*'], body: [[{ text, bold: true }]] }, margin: [0, 0, 0, 8] };
}

/** Each move with a box to tick, what it takes, and both ends before and after. Nothing where there are none. */
export function movesTable(lines: readonly MoveLine[]): Content[] {
  if (lines.length === 0) return [];
  return [
    {
      table: { widths: [12, 16, 62, '*', 150], body: lines.map(cells), dontBreakRows: true },
      layout: 'lightHorizontalLines'
    }
  ];
}

function cells({ move, number, whose = '', before, after }: MoveLine): TableCell[] {
  const svg = before && after ? moveSvg(before, after, move) : null;
  const facts = [
    whose === '' ? '' : `for ${whose}`,
    move.strip === null ? '' : `strip ${move.strip}`,
    move.tools.join(', ')
  ].filter(Boolean);
  return [
    { canvas: [{ type: 'rect', x: 0, y: 1, w: 9, h: 9, lineWidth: 0.8 }] },
    { text: `${number}`, alignment: 'right' },
    { text: move.place },
    {
      stack: [{ text: move.text }, ...(facts.length > 0 ? [{ text: facts.join('; '), fontSize: 7.5 }] : [])]
    },
    svg === null ? { text: '' } : { svg, width: 150 }
  ];
}
