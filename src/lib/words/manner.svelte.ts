/** How this reader wants things written; kept on the device, not in a job. It begins as the browser's language has it. */
import * as v from 'valibot';
import {
  CURRENCY_CODES,
  dateText,
  mannerOf,
  momentText,
  moneyText,
  PLAIN_MANNER,
  written,
  type Manner
} from '$core/words/manner';

const KEY = 'ulterum-manner';
const Stored = v.object({
  spelling: v.picklist(['american', 'british']),
  locale: v.pipe(v.string(), v.regex(/^en-[A-Z]{2}$/)),
  currency: v.picklist(CURRENCY_CODES)
});

let current: Manner = $state.raw(begin());

function begin(): Manner {
  if (typeof navigator === 'undefined') return PLAIN_MANNER;
  try {
    const stored = v.safeParse(Stored, JSON.parse(localStorage.getItem(KEY) ?? 'null'));
    if (stored.success) return stored.output;
  } catch {
    // Nothing is kept, or it cannot be read: the language decides.
  }
  return mannerOf(navigator.language);
}

export function manner(): Manner {
  return current;
}

export function setManner(change: Partial<Manner>): void {
  current = { ...current, ...change };
  try {
    localStorage.setItem(KEY, JSON.stringify(current));
  } catch {
    // The browser keeps nothing: it holds until the page is closed.
  }
}

/** A sentence of the product as this reader writes. */
export const say = (text: string): string => written(text, current);
export const money = (sum: number, digits = 0): string => moneyText(sum, current, digits);
export const day = (iso: string): string => dateText(iso, current);
export const moment = (iso: string): string => momentText(iso, current);
