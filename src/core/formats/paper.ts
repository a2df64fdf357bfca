/**
 * Pages of text, rows and drawings as SVG in millimetres, black on white: what is put on them flows down, and a page that is full is followed by
 * another. Widths are those of the sans face that PDFs embed, on the wide side, so that nothing runs out of its column.
 */
import { escapeXml } from './labels';

export interface PaperSize {
  readonly name: 'A4' | 'LETTER' | 'A6';
  readonly width: number;
  readonly height: number;
}

export const PAPERS: Readonly<Record<PaperSize['name'], PaperSize>> = {
  A4: { name: 'A4', width: 210, height: 297 },
  LETTER: { name: 'LETTER', width: 215.9, height: 279.4 },
  A6: { name: 'A6', width: 105, height: 148 }
};

export interface TextStyle {
  /** Millimetres of height of the letters' body. */
  readonly size: number;
  readonly bold?: boolean;
}

/** Width of an average letter against its size; bold ones are wider. */
const LETTER = 0.53;
const BOLD = 0.57;
const LEADING = 1.28;

export class Paper {
  private readonly pages: string[][] = [[]];
  private y: number;

  constructor(
    readonly size: PaperSize,
    readonly margin: number
  ) {
    this.y = margin;
  }

  get width(): number {
    return this.size.width - 2 * this.margin;
  }

  /** Begins a page where what follows, so many millimetres high, has no room on this one. */
  need(height: number): void {
    if (this.y + height <= this.size.height - this.margin) return;
    this.pages.push([]);
    this.y = this.margin;
  }

  gap(height: number): void {
    this.y += height;
  }

  text(words: string, style: TextStyle): void {
    for (const line of wrap(words, this.width, style)) {
      const height = style.size * LEADING;
      this.need(height);
      this.put(textAt(line, this.margin, this.y + style.size, style));
      this.y += height;
    }
  }

  /** Cells side by side, their widths as shares of the page's; the row is as high as its highest cell. */
  row(cells: readonly string[], shares: readonly number[], style: TextStyle, boldFirst = false): void {
    const whole = shares.reduce((sum, share) => sum + share, 0);
    const widths = shares.map((share) => (share / whole) * this.width);
    const styles = cells.map((_, at) => (boldFirst && at === 0 ? { ...style, bold: true } : style));
    const lines = cells.map((cell, at) => wrap(cell, (widths[at] ?? 0) - 2, styles[at]!));
    const height = Math.max(1, ...lines.map(({ length }) => length)) * style.size * LEADING + 1;
    this.need(height);
    let x = this.margin;
    cells.forEach((_, at) => {
      lines[at]!.forEach((line, number) =>
        this.put(textAt(line, x, this.y + style.size + number * style.size * LEADING, styles[at]!))
      );
      x += widths[at] ?? 0;
    });
    this.y += height;
    this.put(lineAt(this.margin, this.y - 0.4, this.margin + this.width, 0.15));
  }

  /** A heading with what follows it kept together, so many millimetres of it. */
  heading(words: string, size: number, keep = 12): void {
    this.gap(size * 0.5);
    this.need(size * LEADING + keep);
    this.put(textAt(words, this.margin, this.y + size, { size, bold: true }));
    this.y += size * LEADING + 0.6;
    this.put(lineAt(this.margin, this.y, this.margin + this.width, 0.5));
    this.y += 1;
  }

  /** Drawings of one size side by side, as many to a row as have room; `make` draws one at a place. */
  tiles(count: number, side: number, make: (at: number, x: number, y: number) => string): void {
    const across = Math.max(1, Math.floor((this.width + 4) / (side + 4)));
    for (let at = 0; at < count; at += across) {
      this.need(side + 6);
      for (let column = 0; column < across && at + column < count; column += 1)
        this.put(make(at + column, this.margin + column * (side + 4), this.y));
      this.y += side + 6;
    }
  }

  /** One SVG document for each page. */
  done(title: string): string[] {
    const { width, height } = this.size;
    return this.pages.map(
      (parts) =>
        `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" font-family="Roboto, sans-serif"><title>${escapeXml(title)}</title>${parts.join('')}</svg>`
    );
  }

  private put(svg: string): void {
    this.pages.at(-1)!.push(svg);
  }
}

function textAt(words: string, x: number, y: number, { size, bold = false }: TextStyle): string {
  return `<text x="${round(x)}" y="${round(y)}" font-size="${size}"${bold ? ' font-weight="bold"' : ''}>${escapeXml(words)}</text>`;
}

function lineAt(x: number, y: number, to: number, width: number): string {
  return `<line x1="${round(x)}" y1="${round(y)}" x2="${round(to)}" y2="${round(y)}" stroke="#000" stroke-width="${width}"/>`;
}

function round(value: number): number {
  return Math.round(value * 100) / 100;
}

/** Lines no wider than `width`; a word that is wider by itself is broken. */
export function wrap(words: string, width: number, { size, bold = false }: TextStyle): string[] {
  const most = Math.max(4, Math.floor(width / (size * (bold ? BOLD : LETTER))));
  const lines: string[] = [];
  for (const word of words.split(/\s+/).filter(Boolean)) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= most)
      lines[lines.length - 1] = `${last} ${word}`;
    else for (let from = 0; from < word.length; from += most) lines.push(word.slice(from, from + most));
  }
  return lines;
}
