/** Parts of a sheet that were scanned one after the other, each of which may have opened a page of its own. */
import { readLeftPart, type LeftPart } from '$core/formats/left-code';

const KEY = 'ulterum-left';
const MOST = 24;

export function keptParts(): LeftPart[] {
  try {
    const texts: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    if (!Array.isArray(texts)) return [];
    return texts.flatMap((text) => {
      const part = readLeftPart(String(text));
      return 'fault' in part ? [] : [part];
    });
  } catch {
    return [];
  }
}

export function keepParts(parts: readonly LeftPart[]): void {
  try {
    const texts = parts.slice(-MOST).map(({ part, parts: of, sum, data }) => `${part}.${of}.${sum}.${data}`);
    localStorage.setItem(KEY, JSON.stringify(texts));
  } catch {
    // They stay as long as the page is open.
  }
}
