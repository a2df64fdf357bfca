/** How weighty a finding is, in words. */
import type { Finding, FindingLevel } from '$core/findings/finding';
import { quantityText } from '$core/trade/figures';

export const LEVEL_WORDS: Readonly<Record<FindingLevel, string>> = {
  stop: 'Stop',
  warn: 'Caution',
  note: 'Note'
};

/** `1 stop, 2 notes`: how many there are of each weight. */
export function levelCounts(findings: readonly Finding[]): string {
  return Object.entries(LEVEL_WORDS)
    .flatMap(([level, word]) => {
      const count = findings.filter((finding) => finding.level === level).length;
      return count === 0 ? [] : [quantityText(count, word.toLowerCase())];
    })
    .join(', ');
}
