/** The wiring of mains controls as built, on paper: SVG in millimetres. */
import { numberName, type MainsAsBuilt } from '../handover/mains/as-built';
import { LAYOUT_NAMES, MAINS_PART_NAMES } from '../trade/mains';
import { SPOTS_HEADING } from '../trade/mains-hub';
import { capital } from '../words/text';
import { codesOn } from './door-sheet';
import { Paper, PAPERS } from './paper';

const TEXT = { size: 4.3 } as const;
const SMALL = { size: 3.4 } as const;
const COLUMNS = [0.09, 0.28, 0.38, 0.25] as const;

export interface StripSheetOptions {
  readonly paper: 'A4' | 'LETTER';
  readonly title: string;
  /** House, place, day, who. */
  readonly under: string;
  /** Addresses that the codes hold; none where the record is too large for a sheet. */
  readonly codes?: readonly string[];
}

const headingOf = ({ hub }: MainsAsBuilt, title: string) =>
  hub === 'boiler'
    ? `Wiring at the ${MAINS_PART_NAMES[hub]} as built: ${title}`
    : `Wiring centre as built: ${title}`;

/** Pages for the inside of the wiring centre's cover, or of the boiler's. */
export function stripSheet(
  built: MainsAsBuilt,
  { paper: name, title, under, codes = [] }: StripSheetOptions
): string[] {
  const paper = new Paper(PAPERS[name], 12);
  paper.text(headingOf(built, title), { size: 6.5, bold: true });
  paper.text(under, TEXT);
  paper.text(`${capital(LAYOUT_NAMES[built.layout])}.`, TEXT);
  paper.heading('Before you touch anything', 5);
  paper.text(
    '• 230 V. Off at the fused spur, fuse out, and proven dead: live to neutral, live to earth, neutral to earth, with a tester that is proven before and after.',
    TEXT
  );
  paper.heading(SPOTS_HEADING[built.hub], 5);
  paper.row([built.hub === 'boiler' ? 'On' : 'No.', 'Wire', 'To', 'Does'], COLUMNS, { ...SMALL, bold: true });
  for (const number of built.numbers) {
    const { wires, linked } = number;
    if (wires.length === 0 && linked.length === 0) continue;
    const mark = numberName(number);
    wires.forEach((wire, at) =>
      paper.row(
        [at === 0 ? mark : '', `${wire.colour} (${wire.cable})`, wire.to, wire.does],
        COLUMNS,
        SMALL,
        true
      )
    );
    if (linked.length > 0)
      paper.row(
        [wires.length === 0 ? mark : '', 'link', `to ${linked.join(', ')}`, ''],
        COLUMNS,
        SMALL,
        true
      );
  }
  if (built.dead.length > 0) {
    paper.heading('Not in use', 5);
    for (const { cable, wire } of built.dead) paper.text(`• ${wire}, cable of the ${cable}`, SMALL);
  }
  paper.heading('Devices', 5);
  for (const device of built.devices)
    paper.text(
      `• ${device.name}: ${device.screws.map(({ mark, does }) => `${mark} ${does}`).join(', ') || 'no wires'}`,
      SMALL
    );
  if (built.tests.some(({ result }) => result !== null)) {
    paper.heading('Tests', 5);
    for (const { name: test, result } of built.tests)
      if (result) paper.text(`• ${test}: ${result.result}, ${result.at.slice(0, 10)}`, SMALL);
  }
  const { who, name: by } = built.competence;
  if (who !== 'unsaid') paper.text(`Work by: ${by === '' ? who : `${by} (${who})`}`, SMALL);
  codesOn(paper, codes);
  paper.text(
    'Local rules and the makers’ sheets win over this sheet. It can be wrong: prove dead before you trust it.',
    SMALL
  );
  return paper.done(headingOf(built, title));
}
