/**
 * The sheet for the inside of the furnace door and the card for the cavity behind the thermostat, as built: SVG in millimetres, black on white,
 * large enough to be read at arm's length. Codes that hold the record itself stand at its foot.
 */
import { encode } from 'uqr';
import type { AsBuilt } from '../handover/as-built';
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
} from '../handover/as-built-words';
import { deviceName } from '../match/catalogue';
import { callInWords } from '../handover/results';
import { FAMILY_NAMES } from '../trade/vocabulary';
import { capital, counted } from '../words/text';
import { Paper, PAPERS, type PaperSize } from './paper';

/** 12 points and more: read at arm's length, under a torch. */
const TEXT = { size: 4.3 } as const;
const SMALL = { size: 3.4 } as const;
const CODE_SIDE = 50;

export interface SheetOptions {
  readonly paper: 'A4' | 'LETTER';
  /** Addresses that the codes hold; none where the record is too large for a sheet. */
  readonly codes: readonly string[];
  readonly dayOf: (isoDay: string) => string;
  /** When it is printed, ISO time. */
  readonly now: string;
}

export function doorSheet(built: AsBuilt, { paper: name, codes, dayOf, now }: SheetOptions): string[] {
  const paper = new Paper(PAPERS[name], 12);
  const several = hasSeveralMachines(built);
  const day = dayOf((built.closedAt ?? now).slice(0, 10));
  paper.text(`Thermostat wiring as built: ${built.thermostat.name}`, { size: 6.5, bold: true });
  paper.text([built.job.name, built.job.place, day, built.by].filter(Boolean).join(' · '), TEXT);
  paper.text(
    `${capital(FAMILY_NAMES[built.family])}. ${built.device ? deviceName(built.device) : 'The old thermostat is still on the wall.'}`,
    TEXT
  );
  if (built.cautions.length > 0) {
    paper.heading('Before you touch anything', 5);
    for (const caution of built.cautions) paper.text(`• ${cautionText(caution)}`, TEXT);
  }
  paper.heading('Wires', 5);
  paper.row(['Wire', 'At the wall', 'At the machine', ''], WIRE_COLUMNS, { ...SMALL, bold: true });
  for (const wire of built.wires)
    paper.row(
      [wire.name, endText(wire.wall, false), endText(wire.machine, several), wireNote(wire)],
      WIRE_COLUMNS,
      TEXT,
      true
    );
  for (const jumper of built.jumpers) paper.text(jumperText(jumper), TEXT);
  paper.heading('Power', 5);
  for (const supply of built.supplies) paper.text(supplyText(supply), TEXT);
  settingsAndTests(paper, built, dayOf);
  if (built.changes.length > 0) {
    const [first, last] = [built.changes[0]!, built.changes.at(-1)!];
    const span = [...new Set([first.at.slice(0, 10), last.at.slice(0, 10)])].map(dayOf).join(' to ');
    paper.text(
      `${counted(built.changes.length, 'change', 'changes')}, ${span}. The record holds each, and how it was before.`,
      SMALL
    );
  }
  codesOn(paper, codes);
  paper.text(
    'Local code and the maker’s sheet win over this sheet. It can be wrong: look before you trust it.',
    SMALL
  );
  return paper.done(`${built.job.name}, ${built.thermostat.name}: as built`);
}

const WIRE_COLUMNS = [30, 22, 30, 48];

function settingsAndTests(paper: Paper, built: AsBuilt, dayOf: SheetOptions['dayOf']): void {
  const settings = systemSettings(built.settings);
  if (settings.length > 0) {
    paper.heading('Set up', 5);
    paper.text(settings.map(settingText).join('. '), TEXT);
  }
  if (built.tests.length > 0) {
    paper.heading('Tested', 5);
    for (const test of built.tests)
      paper.row(
        [capital(callInWords(test.call, (id) => id)), dayOf(test.at.slice(0, 10)), resultText(test, dayOf)],
        [38, 36, 56],
        TEXT
      );
  }
  if (built.differences.length > 0) {
    paper.heading('Not as planned', 5);
    for (const { kind, text } of built.differences)
      paper.text(
        `• ${kind === 'not-done' ? 'Not done' : 'Does not fit the record any longer'}: ${text}`,
        TEXT
      );
  }
}

/** The codes of the record at the foot of a sheet; nothing where the record is too large for one. */
export function codesOn(paper: Paper, codes: readonly string[]): void {
  if (codes.length === 0) return;
  paper.heading('The whole record', 5, CODE_SIDE + 8);
  paper.text(
    codes.length === 1
      ? 'Scan this with a phone: the record is in the code itself.'
      : `Scan all ${codes.length} with a phone, in any order: the record is in the codes themselves.`,
    SMALL
  );
  paper.tiles(codes.length, CODE_SIDE, (at, x, y) =>
    codeSvg(codes[at] ?? '', x, y, CODE_SIDE, codes.length > 1 ? `${at + 1} of ${codes.length}` : '')
  );
}

/** A code as one path, with its quiet zone of four fields within the side. */
export function codeSvg(text: string, x: number, y: number, side: number, caption = ''): string {
  const { data, size } = encode(text, { ecc: 'M', border: 4 });
  const field = side / size;
  const path = data
    .flatMap((row, line) => row.flatMap((dark, column) => (dark ? [`M${column} ${line}h1v1h-1z`] : [])))
    .join('');
  const words =
    caption === ''
      ? ''
      : `<text x="${x + side / 2}" y="${y + side + 3}" font-size="3" text-anchor="middle">${caption}</text>`;
  return `<g transform="translate(${x} ${y}) scale(${field})"><path d="${path}" fill="#000" shape-rendering="crispEdges"/></g>${words}`;
}

/** A card of the size of a postcard, for the cavity in the wall or the folder: the wires, the C wire's way, and where the rest is. */
export function wallCard(built: AsBuilt, dayOf: SheetOptions['dayOf'], now: string): string[] {
  const paper = new Paper(PAPERS.A6 satisfies PaperSize, 6);
  paper.text(built.thermostat.name, { size: 5, bold: true });
  paper.text(
    [built.device ? deviceName(built.device) : '', dayOf((built.closedAt ?? now).slice(0, 10))]
      .filter(Boolean)
      .join(' · '),
    SMALL
  );
  paper.gap(1);
  for (const wire of built.wires)
    paper.row(
      [wire.name, endText(wire.wall, false), endText(wire.machine, hasSeveralMachines(built))],
      [40, 24, 30],
      { size: 3.6 },
      true
    );
  for (const jumper of built.jumpers) paper.text(jumperText(jumper), SMALL);
  for (const caution of built.cautions.slice(0, 4)) paper.text(`• ${cautionText(caution)}`, SMALL);
  paper.text(`Power off: ${built.supplies.map(supplyText).join('; ')}`, SMALL);
  paper.text('The whole record is on the sheet inside the door of the machine.', SMALL);
  return paper.done(`${built.thermostat.name}: card for the wall`);
}
