/** The move list as PDF: cautions first, both drawings as vectors, moves with boxes to tick, parts, proof. It reads in black and white. */
import { lossText } from '$core/words/losses';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { wiringSvg } from '$core/formats/wiring-svg';
import { deviceName } from '$core/match/catalogue';
import { wiringsAlong } from '$core/plan/moves';
import { bagFor } from '$core/plan/tools';
import { costText, minutesText, partText } from '../moves/bands';
import type { Plan, PlannedOption } from '$core/plan/plan';
import { voltsText } from '$core/trade/figures';
import { LOAD_NAMES } from '$core/trade/loads';
import type { ProofRow } from '$core/proof/types';
import { callName } from '$core/trade/calls';
import { VERDICT_NAMES, type LoadId } from '$core/trade/vocabulary';
import { cautionBox, movesTable, type MoveLine } from './moves-pdf';
import { contentAsPdf } from './pdf';

export interface PlanSheet {
  readonly plan: Plan;
  readonly taken: PlannedOption;
  /** House and thermostat. */
  readonly title: string;
  /** What to mind before and while it is done. */
  readonly conditions: readonly string[];
}

export function planAsPdf(sheet: PlanSheet): Promise<Blob> {
  return contentAsPdf(planContent(sheet), sheet.title);
}

/** Both drawings in one SVG file each. */
export function planDrawings({ plan }: PlanSheet): { before: string; after: string | null } {
  return {
    before: wiringSvg(plan.wiringBefore, 'As found'),
    after: plan.wiringAfter
      ? wiringSvg(plan.wiringAfter, 'As planned: what moves is white on black', plan.wiringBefore)
      : null
  };
}

/** What stands in it, before it is made into pages. */
export function planContent(sheet: PlanSheet): Content[] {
  const { plan, taken, title, conditions } = sheet;
  const { before, after } = planDrawings(sheet);
  const variant = taken.variant ? ` (${taken.variant.title})` : '';
  return [
    { text: title, style: 'title' },
    {
      text: `${deviceName(plan.device)}: ${taken.title}${variant}. ${VERDICT_NAMES[taken.verdict]}, ${minutesText(taken.minutesBand)}, parts ${costText(taken.costBand)}.`,
      margin: [0, 0, 0, 6]
    },
    cautionBox(),
    ...(conditions.length > 0 ? [{ text: 'To mind', style: 'head' }, { ul: [...conditions] }] : []),
    ...(taken.loses.length > 0
      ? [
          {
            text: `Downside: ${taken.loses.map(lossText).join(' ')}`,
            margin: [0, 6, 0, 0] as [number, number, number, number]
          }
        ]
      : []),
    { svg: before, width: 500, margin: [0, 10, 0, 0] },
    ...(after ? [{ svg: after, width: 500, margin: [0, 10, 0, 0] as [number, number, number, number] }] : []),
    { text: 'One wire at a time', style: 'head' },
    ...movesTable(linesOf(plan, taken)),
    { text: 'Parts and tools', style: 'head' },
    {
      ul: [...plan.parts.map(partText), bagFor(plan.moves).join(', ')]
    },
    ...proofTable(taken)
  ];
}

function linesOf({ moves }: Plan, { before }: PlannedOption): MoveLine[] {
  const along = wiringsAlong(before, moves);
  return moves.map((move, at) => ({ move, number: at + 1, before: along[at], after: along[at + 1] }));
}

/** The printed rows are those of the likeliest world. */
function proofTable({ proof }: PlannedOption): Content[] {
  const [world] = proof?.worlds ?? [];
  if (!world) return [];
  const runs = (loads: readonly LoadId[]) => loads.map((load) => LOAD_NAMES[load]).join(', ') || 'nothing';
  const range = ({ voltsLow, voltsHigh }: ProofRow) =>
    voltsLow === null || voltsHigh === null ? '–' : `${voltsLow.toFixed(1)} to ${voltsHigh.toFixed(1)} V`;
  const most = ({ ampsMost, fuse }: ProofRow) =>
    ampsMost === null ? '–' : `${ampsMost.toFixed(1)} A${fuse ? ` of ${fuse.rating} A` : ''}`;
  const body: TableCell[][] = [
    ['Call', 'Runs today', 'Will run', 'Thermostat', 'at worst', 'Most, of fuse'].map((text) => ({
      text,
      bold: true
    })),
    ...world.rows.map((row) => [
      callName(row.call),
      runs(row.before),
      runs(row.after),
      voltsText(row.voltsAfter),
      range(row),
      most(row)
    ])
  ];
  return [
    { text: 'Proof: the circuit, solved', style: 'head' },
    { table: { headerRows: 1, widths: [85, '*', '*', 55, 70, 60], body }, layout: 'lightHorizontalLines' },
    {
      text: '“At worst”: mains 10 % off, and transformer, coils, copper and joints at the ends of their tolerances.',
      fontSize: 8
    }
  ];
}
