/** The sentences of findings, loaded with the first finding that is shown: most pages of a house that is in order have none. */
import type { Finding } from '$core/findings/finding';
import type { Units } from '$core/trade/units';

let written: ((finding: Finding, units: Units) => string) | null = $state.raw(null);
let loading: Promise<void> | null = null;

/** The sentence of a finding; a dash for the moment that its words take to come. */
export function findingWords(finding: Finding, units: Units): string {
  if (written !== null) return written(finding, units);
  loading ??= import('$core/words/findings/table').then(
    ({ findingText }) => void (written = findingText),
    // Without a network: the next finding that is shown tries again.
    () => void (loading = null)
  );
  return '–';
}
