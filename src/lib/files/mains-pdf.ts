/** The plan for mains controls as PDF: what to ask for, who may do it, moves with boxes to tick, the strip before and after, the whole table. */
import type { Content, TableCell } from 'pdfmake/interfaces';
import { mainsUnits } from '$core/devices/mains/screws';
import { numberName, stripOf } from '$core/handover/mains/as-built';
import type { MainsView } from '$core/handover/mains/view';
import { controllerName } from '$core/match/mains/controllers';
import { runsText, rowText } from '$core/proof/mains/row-text';
import { LAYOUT_NAMES, MAINS_METHOD_NAMES } from '$core/trade/mains';
import { hubOf, SPOTS_HEADING } from '$core/trade/mains-hub';
import { VERDICT_NAMES } from '$core/trade/vocabulary';
import { mainsText } from '$core/words/mains-findings';
import { capital } from '$core/words/text';
import { contentAsPdf } from './pdf';

export function mainsPlanAsPdf(view: MainsView, title: string): Promise<Blob> {
  return contentAsPdf(mainsPlanContent(view, title), title);
}

const table = (widths: (string | number)[], body: TableCell[][]): Content => ({
  layout: 'lightHorizontalLines',
  table: { headerRows: 1, widths, body },
  fontSize: 9
});

export function mainsPlanContent({ plan, settings, tests }: MainsView, title: string): Content[] {
  const way = plan.taken;
  const cautions = (way?.findings ?? []).filter(({ level }) => level !== 'note');
  return [
    { text: title, style: 'title' },
    {
      text: `${capital(LAYOUT_NAMES[plan.identification.layout])}. ${way ? `${MAINS_METHOD_NAMES[way.method]}${way.facts ? `: ${controllerName(way.facts)}` : ''}. ${VERDICT_NAMES[way.verdict]}.` : ''}`,
      margin: [0, 0, 0, 6]
    },
    {
      table: {
        widths: ['*'],
        body: [
          [
            {
              text: '230 V work, for somebody competent; in some places only for somebody licensed. Local rules and the makers’ sheets win over this plan. Off at the spur at both poles, fuse out; proven dead live to neutral, live to earth and neutral to earth, with a tester that is proven before and after.',
              bold: true
            }
          ]
        ]
      }
    },
    ...(cautions.length > 0 ? [{ text: 'Cautions', style: 'head' }, { ul: cautions.map(mainsText) }] : []),
    ...(way && way.moves.length > 0
      ? [
          { text: 'Steps', style: 'head' },
          table(
            [14, 20, '*'],
            [['', '', ''], ...way.moves.map(({ text }, at): TableCell[] => ['☐', `${at + 1}`, text])]
          ),
          { text: 'Parts', style: 'head' },
          { ul: way.effort.parts.map(({ what, count }) => `${count} × ${what}`) }
        ]
      : []),
    { text: SPOTS_HEADING[hubOf(mainsUnits(plan.now.wiring))], style: 'head' },
    stripTable(plan, way),
    ...(plan.table ? [{ text: 'What it does, in every state', style: 'head' }, truthContent(plan, way)] : []),
    { text: 'Set-up', style: 'head' },
    { ul: settings.map(({ name, value, reason }) => `${name}: ${value}. ${reason}`) },
    { text: 'Tests, in this order', style: 'head' },
    {
      ol: tests.map(
        ({ name, how, mustRun, mustNot }) =>
          `${name}: ${how} Must run: ${mustRun.join(', ') || 'nothing'}. Must not: ${mustNot.join(', ') || '–'}.`
      )
    }
  ];
}

function stripTable(plan: MainsView['plan'], way: MainsView['plan']['taken']): Content {
  const now = stripOf(plan.now.wiring);
  const rows = stripOf(way?.after ?? plan.now.wiring).flatMap((after): TableCell[][] => {
    const before = now.find(
      ({ of, unit, mark }) => of === after.of && unit === after.unit && mark === after.mark
    );
    if (after.wires.length + (before?.wires.length ?? 0) === 0) return [];
    const links = after.linked.length > 0 ? `; link to ${after.linked.join(', ')}` : '';
    return [
      [
        numberName(after),
        before?.wires.map(({ to, colour }) => `${to} (${colour})`).join('; ') ?? '–',
        `${after.wires.map(({ to, colour }) => `${to} (${colour})`).join('; ')}${links}`
      ]
    ];
  });
  return table(['auto', '*', '*'], [['No.', 'Now', 'After'], ...rows]);
}

function truthContent(plan: MainsView['plan'], way: MainsView['plan']['taken']): Content {
  const rows = (plan.table?.rows ?? []).map(({ state, amiss }, at): TableCell[] => {
    const later = way?.table?.rows[at];
    return [
      rowText(state.row, plan.found),
      `${runsText(state)}${amiss.length > 0 ? ' (should not be so)' : ''}`,
      later ? runsText(later.state) : '–'
    ];
  });
  return table(['*', '*', '*'], [['State', 'Today', 'After'], ...rows]);
}
