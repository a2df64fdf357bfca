/**
 * Labels for the conductors, to be printed and wrapped round: two of each, one for either end, and blank ones for what no letter fits.
 * SVG in millimetres on A4, black on white; the colour is written, never shown by colour alone.
 */
import type { AsBuilt, BuiltEnd } from '../handover/as-built';
import { conductorName } from '../job/names';
import type { Conductor, Job, Thermostat } from '../job/schema';
import { refName } from '../job/screws';
import { colourName } from '../trade/colours';

export interface LabelText {
  readonly mark: string;
  readonly small: string;
  /** Which end it is for. */
  readonly end: 'wall' | 'equipment' | 'blank';
}

const PAGE = { width: 210, height: 297, margin: 10 } as const;
const LABEL = { width: 38, height: 12 } as const;
const COLUMNS = Math.floor((PAGE.width - 2 * PAGE.margin) / LABEL.width);
const ROWS = Math.floor((PAGE.height - 2 * PAGE.margin) / LABEL.height);
export const LABELS_A_PAGE = COLUMNS * ROWS;

/** Two labels for each conductor, with the terminal of each end, then blank ones. */
export function labelsOf(job: Job, thermostat: Thermostat, blanks: number): LabelText[] {
  const own = thermostat.conductors.flatMap((conductor): LabelText[] => [
    { mark: markOf(job, conductor, 'near'), small: smallOf(conductor, 'wall'), end: 'wall' },
    { mark: markOf(job, conductor, 'far'), small: smallOf(conductor, 'machine'), end: 'equipment' }
  ]);
  return [...own, ...blankLabels(blanks)];
}

/** Two labels for each wire as it is now, with the terminal of each end, then blank ones. */
export function labelsAsBuilt({ wires }: Pick<AsBuilt, 'wires'>, blanks: number): LabelText[] {
  const mark = ({ state, mark: printed }: BuiltEnd) =>
    state === 'landed' ? printed : state === 'coiled' ? 'spare' : '';
  const own = wires.flatMap((wire): LabelText[] => [
    { mark: mark(wire.wall), small: `${wire.name} · wall`, end: 'wall' },
    { mark: mark(wire.machine), small: `${wire.name} · machine`, end: 'equipment' }
  ]);
  return [...own, ...blankLabels(blanks)];
}

function blankLabels(count: number): LabelText[] {
  return Array.from({ length: count }, (): LabelText => ({ mark: '', small: '', end: 'blank' }));
}

function markOf(job: Job, conductor: Conductor, side: 'near' | 'far'): string {
  const [on] = conductor[side].on;
  if (on) return refName(job, on);
  return conductor[side].state === 'coiled' ? 'spare' : '';
}

function smallOf(conductor: Conductor, where: string): string {
  const label = conductor.label === '' ? '' : ` “${conductor.label.slice(0, 12)}”`;
  const colour =
    conductor.colour === null
      ? conductorName({ ...conductor, label: '' })
      : colourName(conductor.colour, conductor.stripe);
  return `${colour}${label} · ${where}`;
}

/** One SVG document for each page. */
export function labelPages(labels: readonly LabelText[], title: string): string[] {
  const pages: string[] = [];
  for (let from = 0; from < Math.max(1, labels.length); from += LABELS_A_PAGE)
    pages.push(page(labels.slice(from, from + LABELS_A_PAGE), title));
  return pages;
}

function page(labels: readonly LabelText[], title: string): string {
  const cells = labels.map((label, index) => {
    const x = PAGE.margin + (index % COLUMNS) * LABEL.width;
    const y = PAGE.margin + Math.floor(index / COLUMNS) * LABEL.height;
    const mark =
      label.mark === ''
        ? ''
        : `<text x="${x + 10}" y="${y + 8.2}" font-size="${label.mark.length > 3 ? 4.5 : 6}" font-weight="bold" text-anchor="middle">${escapeXml(label.mark)}</text>`;
    const small = label.small === '' ? '' : wrapped(label.small, x + 20, y);
    return `<rect x="${x}" y="${y}" width="${LABEL.width}" height="${LABEL.height}" fill="none" stroke="#000" stroke-width="0.2"/><line x1="${x + 19}" y1="${y}" x2="${x + 19}" y2="${y + LABEL.height}" stroke="#000" stroke-width="0.1" stroke-dasharray="1 1"/>${mark}${small}`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${PAGE.width}mm" height="${PAGE.height}mm" viewBox="0 0 ${PAGE.width} ${PAGE.height}" font-family="Roboto, sans-serif"><title>${escapeXml(title)}</title><text x="${PAGE.margin}" y="7" font-size="3">${escapeXml(title)}: cut along the lines, fold round the wire at the dashes.</text>${cells.join('')}</svg>`;
}

/** At most three short lines. */
function wrapped(text: string, x: number, y: number): string {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length < 13) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines
    .slice(0, 3)
    .map(
      (line, index) => `<text x="${x}" y="${y + 3.8 + index * 3}" font-size="2.5">${escapeXml(line)}</text>`
    )
    .join('');
}

export function escapeXml(text: string): string {
  return text.replace(/[<>&"']/g, (letter) => `&#${letter.charCodeAt(0)};`);
}
