/**
 * A wiring as one SVG drawing for paper: a strand for each conductor, wall at the left, equipment at the right, marks in frames, links listed
 * below. It reads in black and white: the insulation is written in letters, its hue is only a help, and what moved stands white on black.
 */
import { COLOURS } from '../trade/colours';
import {
  deviceOf,
  landedTerminal,
  printedMark,
  sideOf,
  type Landing,
  type Strand,
  type StrandEnd,
  type Wiring
} from '../wiring/graph';
import { sameLanding } from '../wiring/difference';
import { escapeXml } from './labels';

const WIDTH = 720;
const ROW = 34;
const HEAD = 40;
const MARK = 76;
const LEFT = 10;
const STATES: Readonly<Record<Exclude<Landing['state'], 'landed'>, string>> = {
  loose: 'loose',
  coiled: 'coiled',
  unseen: 'not seen'
};

/** `against`: the wiring that this one is compared with; null draws no move. */
export function wiringSvg(wiring: Wiring, title: string, against: Wiring | null = null): string {
  const links = wiring.links.map((link) => linkText(wiring, link.a, link.b, sideOf(wiring, link.at)));
  const height = HEAD + wiring.strands.length * ROW + 14 + links.length * 16 + 10;
  const rows = wiring.strands.map((strand, at) => row(wiring, strand, HEAD + at * ROW, against));
  const list = links.map(
    (text, at) =>
      `<text x="${LEFT}" y="${HEAD + wiring.strands.length * ROW + 18 + at * 16}" font-size="12">${escapeXml(text)}</text>`
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${height}" viewBox="0 0 ${WIDTH} ${height}" font-family="Roboto, sans-serif">`,
    `<title>${escapeXml(title)}</title>`,
    `<text x="${LEFT}" y="16" font-size="14" font-weight="bold">${escapeXml(title)}</text>`,
    `<text x="${LEFT}" y="33" font-size="11">at the wall</text>`,
    `<text x="${WIDTH - LEFT}" y="33" font-size="11" text-anchor="end">at the equipment</text>`,
    ...rows,
    ...list,
    '</svg>'
  ].join('');
}

function row(wiring: Wiring, strand: Strand, top: number, against: Wiring | null): string {
  const middle = top + ROW / 2;
  const [from, to] = [LEFT + MARK + 8, WIDTH - LEFT - MARK - 8];
  const hue = strand.colour === null ? '#fff' : COLOURS[strand.colour].hex;
  const code = [strand.colour, strand.stripe].filter(Boolean).join('/') || '?';
  const far = strand.colourBeyond === strand.colour ? '' : ` → ${strand.colourBeyond ?? '?'}`;
  const was = against?.strands.find((candidate) => candidate.id === strand.id);
  const moved = (side: StrandEnd) =>
    against !== null &&
    (!was || !sameLanding(strand[side], was[side])) &&
    markOf(wiring, strand[side]) !== (was && against ? markOf(against, was[side]) : '');
  return [
    end(wiring, strand.near, { x: LEFT, top, moved: moved('near') }),
    `<rect x="${from}" y="${middle - 4}" width="${to - from}" height="8" fill="${hue}" stroke="#000" stroke-width="1"/>`,
    `<rect x="${WIDTH / 2 - 80}" y="${middle - 9}" width="160" height="18" rx="4" fill="#fff" stroke="#000" stroke-width="0.7"/>`,
    `<text x="${WIDTH / 2}" y="${middle + 4}" font-size="11" text-anchor="middle">${escapeXml(`${code}${far}  ${strand.name}`.slice(0, 30))}</text>`,
    end(wiring, strand.far, { x: WIDTH - LEFT - MARK, top, moved: moved('far') })
  ].join('');
}

function markOf(wiring: Wiring, landing: Landing): string {
  const terminal = landedTerminal(landing);
  return terminal === null ? landing.state : printedMark(wiring, terminal);
}

interface Spot {
  readonly x: number;
  readonly top: number;
  readonly moved: boolean;
}

function end(wiring: Wiring, landing: Landing, { x, top, moved }: Spot): string {
  const terminal = landedTerminal(landing);
  const text =
    landing.state === 'landed' && terminal !== null
      ? shortMark(printedMark(wiring, terminal))
      : STATES[landing.state === 'landed' ? 'unseen' : landing.state];
  const dash = landing.state === 'landed' ? '' : ' stroke-dasharray="3 3"';
  return [
    `<rect x="${x}" y="${top + 5}" width="${MARK}" height="${ROW - 10}" rx="3" fill="${moved ? '#000' : '#fff'}" stroke="#000" stroke-width="1.2"${dash}/>`,
    `<text x="${x + MARK / 2}" y="${top + ROW / 2 + 5}" font-size="13" font-weight="bold" text-anchor="middle" fill="${moved ? '#fff' : '#000'}">${escapeXml(text)}</text>`
  ].join('');
}

/** A traced common has a long name; on paper it is C. */
function shortMark(mark: string): string {
  return mark.length > 10 ? 'C (traced)' : mark;
}

function linkText(wiring: Wiring, a: string, b: string, place: 'wall' | 'equipment'): string {
  const name = (terminal: string) => {
    const device = deviceOf(wiring, terminal);
    return `${shortMark(printedMark(wiring, terminal))}${device ? ` of the ${device.name}` : ''}`;
  };
  return `Jumper at the ${place}: ${name(a)} to ${name(b)}`;
}
