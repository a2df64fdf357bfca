/**
 * One move as a small picture: both ends of the conductor before and after, the end that moves marked. It reads in black and white; on a
 * screen the ink follows the text.
 */
import type { Move } from '../plan/move-types';
import { isSmallPart } from '../plan/move-words';
import { COLOURS } from '../trade/colours';
import {
  deviceOf,
  markAt,
  printedMark,
  type Landing,
  type Strand,
  type StrandEnd,
  type WireLink,
  type Wiring
} from '../wiring/graph';
import { escapeXml } from './labels';

export interface Ink {
  readonly line: string;
  /** Behind what stands on dark ground. */
  readonly paper: string;
}

export const PAPER_INK: Ink = { line: '#000', paper: '#fff' };

const WIDTH = 330;
const ROW = 34;
const BOX = 74;
const LABEL = 42;
const STATES: Readonly<Record<Exclude<Landing['state'], 'landed'>, string>> = {
  loose: 'loose',
  coiled: 'wrapped',
  unseen: 'not seen'
};

/** `before` and `after`: the wiring as it stands when the move begins and when it is done. Null for a move that changes no wiring. */
export function moveSvg(
  before: Wiring,
  after: Wiring,
  move: Omit<Move, 'id'>,
  ink: Ink = PAPER_INK
): string | null {
  const { change } = move;
  const pen = new Pen(ink);
  switch (change?.kind) {
    case 'end': {
      const [was, is] = [before, after].map((wiring) =>
        wiring.strands.find((strand) => strand.id === change.strand)
      );
      if (!was || !is) return null;
      return pen.sheet(move.text, [
        pen.strand(before, was, 0, null),
        pen.strand(after, is, ROW, change.side)
      ]);
    }
    case 'link-on':
    case 'link-off': {
      const on = change.kind === 'link-on';
      const whole = on ? after : before;
      return pen.sheet(move.text, [
        pen.link(whole, change.link, 0, !on, false),
        pen.link(whole, change.link, ROW, on, true)
      ]);
    }
    case 'device-on':
    case 'device-off': {
      const on = change.kind === 'device-on';
      const { name, screws } = change.device;
      const marks = screws.map((screw) => screw.mark);
      return pen.sheet(move.text, [pen.part(name, marks, 0, !on), pen.part(name, marks, ROW, on)]);
    }
    default:
      return null;
  }
}

class Pen {
  constructor(private readonly ink: Ink) {}

  sheet(title: string, rows: readonly string[]): string {
    const height = 2 * ROW + 2;
    const { line } = this.ink;
    const names = ['before', 'after'].map(
      (name, at) => `<text x="0" y="${at * ROW + ROW / 2 + 4}" font-size="11" fill="${line}">${name}</text>`
    );
    return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${height}" viewBox="0 0 ${WIDTH} ${height}" font-family="Roboto, sans-serif" role="img"><title>${escapeXml(title)}</title>${names.join('')}${rows.join('')}</svg>`;
  }

  /** A conductor with both its ends; `moved`: the end that stands on dark ground. */
  strand(wiring: Wiring, strand: Strand, top: number, moved: StrandEnd | null): string {
    const middle = top + ROW / 2;
    const hue = strand.colour === null ? 'none' : COLOURS[strand.colour].hex;
    const code = [strand.colour, strand.stripe].filter(Boolean).join('/') || '?';
    const [from, to] = [LABEL + BOX, WIDTH - BOX];
    return [
      `<rect x="${from}" y="${middle - 4}" width="${to - from}" height="8" fill="${hue}" stroke="${this.ink.line}"/>`,
      `<rect x="${(from + to) / 2 - 20}" y="${middle - 9}" width="40" height="18" rx="4" fill="${this.ink.paper}" stroke="${this.ink.line}" stroke-width="0.7"/>`,
      this.text((from + to) / 2, middle + 4, code, this.ink.line),
      this.end(wiring, strand.near, LABEL, top, moved === 'near'),
      this.end(wiring, strand.far, WIDTH - BOX, top, moved === 'far')
    ].join('');
  }

  link(wiring: Wiring, link: WireLink, top: number, joined: boolean, moved: boolean): string {
    const middle = top + ROW / 2;
    const [left, right] = [LABEL + BOX, WIDTH - BOX];
    const dash = joined ? '' : ' stroke-dasharray="2 5"';
    return [
      `<path d="M ${left} ${middle} H ${right}" stroke="${this.ink.line}" stroke-width="${joined ? 3 : 1}"${dash}/>`,
      this.text((left + right) / 2, middle - 5, joined ? 'joined' : 'open', this.ink.line),
      this.box(this.named(wiring, link.a), LABEL, top, moved && joined),
      this.box(this.named(wiring, link.b), WIDTH - BOX, top, moved && joined)
    ].join('');
  }

  part(name: string, marks: readonly string[], top: number, there: boolean): string {
    const text = there ? `${name}  ${marks.slice(0, 10).join(' ')}` : `no ${name}`;
    const dash = there ? '' : ' stroke-dasharray="3 3"';
    return [
      `<rect x="${LABEL}" y="${top + 4}" width="${WIDTH - LABEL - 1}" height="${ROW - 8}" rx="3" fill="none" stroke="${this.ink.line}"${dash}/>`,
      this.text((LABEL + WIDTH) / 2, top + ROW / 2 + 4, text.slice(0, 46), this.ink.line)
    ].join('');
  }

  private end(wiring: Wiring, landing: Landing, x: number, top: number, moved: boolean): string {
    if (landing.state !== 'landed') return this.box(STATES[landing.state], x, top, moved, true);
    return this.box(this.named(wiring, landing.terminal), x, top, moved);
  }

  /** The mark; with its device where a small part stands beside the machine. */
  private named(wiring: Wiring, terminal: string): string {
    const mark = printedMark(wiring, terminal);
    const device = deviceOf(wiring, terminal);
    const short = mark.length > 8 ? (markAt(wiring, terminal) ?? mark) : mark;
    return device && isSmallPart(device) ? `${short} ${device.name}` : short;
  }

  private box(text: string, x: number, top: number, dark: boolean, dashed = false): string {
    const { line, paper } = this.ink;
    return [
      `<rect x="${x}" y="${top + 4}" width="${BOX - 1}" height="${ROW - 8}" rx="3" fill="${dark ? line : paper}" stroke="${line}"${dashed ? ' stroke-dasharray="3 3"' : ''}/>`,
      this.text(x + BOX / 2, top + ROW / 2 + 4, text.slice(0, 12), dark ? paper : line)
    ].join('');
  }

  private text(x: number, y: number, words: string, fill: string): string {
    return `<text x="${x}" y="${y}" font-size="11" font-weight="bold" text-anchor="middle" fill="${fill}">${escapeXml(words)}</text>`;
  }
}
