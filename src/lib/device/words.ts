/** Words of a thermostat's match. */
import type { Verdict } from '$core/trade/vocabulary';

/** A match's verdict: a device fits or it does not. */
export const FIT_WORDS: Readonly<Record<Verdict, string>> = {
  go: 'Fits',
  care: 'Fits, with care',
  pro: 'Licensed person',
  no: 'Does not fit'
};
