/** The move list as PDF: cautions first, both drawings as vectors, moves with boxes to tick, parts, proof. It reads in black and white. */
import type { Content, TableCell } from 'pdfmake/interfaces';
import { wiringSvg } from '$core/formats/wiring-svg';
import { deviceName } from '$core/match/catalogue';
import { moveSvg } from '$core/formats/move-svg';
import { wiringsAlong } from '$core/plan/moves';
import { bagFor } from '$core/plan/tools';
import { costText, minutesText } from '../moves/bands';
import type { Plan, PlannedOption } from '$core/plan/plan';
import { voltsText } from '$core/trade/figures';
import { LOAD_NAMES } from '$core/trade/loads';
import { CALL_NAMES, VERDICT_NAMES } from '$core/trade/vocabulary';
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
  return contentAsPdf(contentOf(sheet), sheet.title);
}

/** Both drawings in one SVG file each. */
export function planDrawings({ plan }: PlanSheet): { before: string; after: string | null } {
  return {
    before: wiringSvg(plan.wiringBefore, 'Before'),
    after: plan.wiringAfter
      ? wiringSvg(plan.wiringAfter, 'After: what moved stands white on black', plan.wiringBefore)
      : null
  };
}

function contentOf(sheet: PlanSheet): Content[] {
  const { plan, taken, title, conditions } = sheet;
  const { before, after } = planDrawings(sheet);
  const variant = taken.variant ? ` (${taken.variant.title})` : '';
  return [
    { text: title, style: 'title' },
    {
      text: `${deviceName(plan.device)}: ${taken.title}${variant}. ${VERDICT_NAMES[taken.verdict]}, ${minutesText(taken.minutesBand)}, parts ${costText(taken.costBand)}.`,
      margin: [0, 0, 0, 6]
    },
    {
      table: {
        widths: ['*'],
        body: [
          [
            {
              text: 'Every supply off, and proven off, before a cover comes off: it was running and stops; then a meter. Mains, an unknown voltage, a smell of gas, data conductors, a bypassed control: stop, and call a licensed person. Local code and the maker’s sheet win over this list. It can be wrong: the checks at the end are not optional.',
              bold: true
            }
          ]
        ]
      },
      margin: [0, 0, 0, 8]
    },
    ...(conditions.length > 0 ? [{ text: 'To mind', style: 'head' }, { ul: [...conditions] }] : []),
    ...(taken.loses.length > 0
      ? [
          {
            text: `Takes away: ${taken.loses.map((one) => one.text).join(' ')}`,
            margin: [0, 6, 0, 0] as [number, number, number, number]
          }
        ]
      : []),
    { svg: before, width: 500, margin: [0, 10, 0, 0] },
    ...(after ? [{ svg: after, width: 500, margin: [0, 10, 0, 0] as [number, number, number, number] }] : []),
    { text: 'One conductor at a time', style: 'head' },
    movesTable(plan, taken),
    { text: 'Parts and tools', style: 'head' },
    {
      ul: [
        ...plan.parts.map((one) => `${one.quantity} ${one.unit}: ${one.name}`),
        bagFor(plan.moves).join(', ')
      ]
    },
    ...proofTable(plan)
  ];
}

/** Each move with a box to tick, what it takes, and both ends before and after. */
function movesTable({ moves }: Plan, { before }: PlannedOption): Content {
  const along = wiringsAlong(before, moves);
  const body: TableCell[][] = moves.map((move, at) => {
    const [was, is] = [along[at], along[at + 1]];
    const svg = was && is ? moveSvg(was, is, move) : null;
    const facts = [move.strip === null ? '' : `strip ${move.strip}`, move.tools.join(', ')].filter(Boolean);
    return [
      { canvas: [{ type: 'rect', x: 0, y: 1, w: 9, h: 9, lineWidth: 0.8 }] },
      { text: `${at + 1}`, alignment: 'right' },
      { text: move.place === 'wall' ? 'wall' : move.place },
      {
        stack: [{ text: move.text }, ...(facts.length > 0 ? [{ text: facts.join('; '), fontSize: 7.5 }] : [])]
      },
      svg === null ? { text: '' } : { svg, width: 150 }
    ];
  });
  return {
    table: { widths: [12, 16, 62, '*', 150], body, dontBreakRows: true },
    layout: 'lightHorizontalLines'
  };
}

function proofTable({ before, after }: Plan): Content[] {
  if (after.length === 0) return [];
  const runs = (result: Plan['after'][number] | undefined) =>
    result?.loads
      .filter((one) => one.energised)
      .map((one) => LOAD_NAMES[one.id])
      .join(', ') || 'nothing';
  const body: TableCell[][] = [
    ['Call', 'Runs today', 'Will run', 'Thermostat'].map((text) => ({ text, bold: true })),
    ...after.map((one, at) => [
      CALL_NAMES[one.call],
      runs(before[at]),
      runs(one),
      voltsText(one.thermostatVolts)
    ])
  ];
  return [
    { text: 'Proof: powered up on paper', style: 'head' },
    { table: { headerRows: 1, widths: [110, '*', '*', 70], body }, layout: 'lightHorizontalLines' }
  ];
}
