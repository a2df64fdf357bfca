/** Readable pages for a terminal: plain text, no colour, 100 columns. */
import type { Finding } from '$core/findings/finding';
import type { MainsFinding } from '$core/findings/mains';
import type { Units } from '$core/trade/units';
import { findingText } from '$core/words/findings/table';
import { mainsText } from '$core/words/mains-findings';

const WIDTH = 100;
const marks = { stop: '■ STOP', warn: '▲', note: '·' } as const;

export function findingLines(findings: readonly Finding[], indent = '  ', units?: Units): string[] {
  return findings.flatMap((finding) => {
    const where = finding.path === undefined ? '' : ` (${finding.path})`;
    return wrap(
      `${marks[finding.level]} ${findingText(finding, units)}${where} [${finding.code}]`,
      indent,
      `${indent}  `
    );
  });
}

export function mainsLines(findings: readonly MainsFinding[], indent = '  '): string[] {
  return findings.flatMap((finding) =>
    wrap(`${marks[finding.level]} ${mainsText(finding)} [${finding.code}]`, indent, `${indent}  `)
  );
}

/** Breaks a sentence into lines of at most 100 columns. */
export function wrap(text: string, first: string, following: string): string[] {
  const lines: string[] = [];
  let line = first;
  for (const word of text.split(' ')) {
    const joined = line === first || line === following ? `${line}${word}` : `${line} ${word}`;
    if (joined.length > WIDTH && line !== first && line !== following) {
      lines.push(line);
      line = `${following}${word}`;
    } else {
      line = joined;
    }
  }
  return [...lines, line];
}

/** Columns under each other; the first row is the head. */
export function table(rows: readonly (readonly string[])[]): string[] {
  const widths = (rows[0] ?? []).map((_, column) =>
    Math.max(...rows.map((row) => (row[column] ?? '').length))
  );
  return rows.map((row) =>
    `  ${row.map((cell, column) => cell.padEnd(widths[column] ?? 0)).join('  ')}`.trimEnd()
  );
}
