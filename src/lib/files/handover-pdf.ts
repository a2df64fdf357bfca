/** The full report of a job as PDF: as built, both drawings as vectors, settings, tests with their readings, every change, photos that were chosen. */
import type { Content, TableCell } from 'pdfmake/interfaces';
import { wiringSvg } from '$core/formats/wiring-svg';
import type { AsBuilt } from '$core/handover/as-built';
import {
  cautionText,
  endText,
  hasSeveralMachines,
  jumperText,
  resultText,
  settingText,
  supplyText,
  systemSettings,
  wireNote
} from '$core/handover/as-built-words';
import { deviceName } from '$core/match/catalogue';
import { callName } from '$core/trade/calls';
import { FAMILY_NAMES } from '$core/trade/vocabulary';
import { capital } from '$core/words/text';
import type { Wiring } from '$core/wiring/graph';
import { cautionBox } from './moves-pdf';
import { contentAsPdf } from './pdf';

export interface HandoverSheet {
  readonly built: AsBuilt;
  /** As it was found. */
  readonly found: Wiring;
  /** Pictures as data addresses, with their captions. */
  readonly photos: readonly { readonly data: string; readonly caption: string }[];
  /** What the owner wants in it this time; empty where nothing. */
  readonly privateFacts: readonly string[];
  readonly dayOf: (isoDay: string) => string;
}

export function handoverAsPdf(sheet: HandoverSheet, paper: 'A4' | 'LETTER'): Promise<Blob> {
  const { job, thermostat } = sheet.built;
  return contentAsPdf(handoverContent(sheet), `${job.name}, ${thermostat.name}: as built`, paper);
}

/** What stands in it, before it is made into pages. */
export function handoverContent({ built, found, photos, privateFacts, dayOf }: HandoverSheet): Content[] {
  const several = hasSeveralMachines(built);
  const list = (title: string, lines: readonly string[]): Content[] =>
    lines.length === 0 ? [] : [{ text: title, style: 'head' }, { ul: [...lines] }];
  return [
    { text: `${built.job.name}, ${built.thermostat.name}: as built`, style: 'title' },
    {
      text: [built.job.place, built.by, built.closedAt === null ? '' : dayOf(built.closedAt.slice(0, 10))]
        .filter(Boolean)
        .join(' · '),
      margin: [0, 0, 0, 6]
    },
    cautionBox(),
    {
      text: `${capital(FAMILY_NAMES[built.family])}. ${built.device ? deviceName(built.device) : 'The old thermostat is still on the wall.'}`
    },
    ...list('Before you touch anything', built.cautions.map(cautionText)),
    { text: 'Wires', style: 'head' },
    wiresTable(built, several),
    ...list('', built.jumpers.map(jumperText)),
    {
      svg: wiringSvg(built.wiring, 'As built: what moved is white on black', found),
      width: 500,
      margin: [0, 10, 0, 0]
    },
    { svg: wiringSvg(found, 'As found'), width: 500, margin: [0, 10, 0, 0] },
    ...list('Power', built.supplies.map(supplyText)),
    ...list(
      'Machines',
      built.machines.map(({ name, place, maker, model, serial }) =>
        [name, place, maker, model, serial].filter(Boolean).join(', ')
      )
    ),
    ...list(
      'Set up',
      systemSettings(built.settings).map((made) => `${settingText(made)} (${dayOf(made.at.slice(0, 10))})`)
    ),
    ...tests(built, dayOf),
    ...list(
      'Still due',
      built.due.map(({ what, until }) => `${what}: ${dayOf(until)}`)
    ),
    ...list(
      'What was changed',
      built.changes.map(({ at, text }) => `${dayOf(at.slice(0, 10))}: ${text}`)
    ),
    ...list(
      'Not as planned',
      built.differences.map(({ text }) => text)
    ),
    ...list('Private', privateFacts),
    ...photos.flatMap(({ data, caption }): Content[] => [
      { image: data, width: 340, margin: [0, 12, 0, 2] },
      { text: caption, fontSize: 8 }
    ])
  ];
}

function wiresTable(built: AsBuilt, several: boolean): Content {
  const head: TableCell[] = ['Wire', 'Cable', 'At the wall', 'At the machine', ''].map((text) => ({
    text,
    bold: true
  }));
  const rows = built.wires.map((wire): TableCell[] => [
    { text: wire.name, bold: true },
    wire.cable,
    endText(wire.wall, false),
    endText(wire.machine, several),
    wireNote(wire)
  ]);
  return {
    table: { headerRows: 1, widths: [90, 80, 60, 90, '*'], body: [head, ...rows] },
    layout: 'lightHorizontalLines'
  };
}

function tests({ tests: done, readings }: AsBuilt, dayOf: HandoverSheet['dayOf']): Content[] {
  if (done.length === 0) return [];
  const head: TableCell[] = ['Test', 'Day', 'Result', 'Readings'].map((text) => ({ text, bold: true }));
  const rows = done.map((test): TableCell[] => [
    capital(callName(test.call)),
    dayOf(test.at.slice(0, 10)),
    resultText(test, dayOf),
    readings
      .filter(({ call, what }) => call === test.call && what !== 'outdoors')
      .map(({ what, value, between }) => (what === 'volts' ? `${between} ${value} V` : `${what} ${value} °C`))
      .join(', ')
  ]);
  return [
    { text: 'Tests', style: 'head' },
    {
      table: { headerRows: 1, widths: [110, 70, 110, '*'], body: [head, ...rows] },
      layout: 'lightHorizontalLines'
    }
  ];
}
