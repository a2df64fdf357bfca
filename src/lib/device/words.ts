/** Words of a thermostat's match. */
import { hasWarning } from '$core/findings/finding';
import { ownFindings, type Match } from '$core/match/matched';
import type { Verdict } from '$core/trade/vocabulary';

/** A match's verdict: a device fits or it does not. */
export const FIT_WORDS: Readonly<Record<Verdict, string>> = {
  go: 'Fits',
  care: 'Fits, with care',
  pro: 'Licensed person',
  no: 'Does not fit'
};

/** `so far`: not all is read that it is judged by, which is a caution for every device; it has one of its own beside that, or not. */
export function fitWords(match: Match): Readonly<Record<Verdict, string>> {
  return match.known === 'read' ? FIT_WORDS : soFarWords(hasWarning(ownFindings(match)));
}

export function soFarWords(hasOwnCaution: boolean): Readonly<Record<Verdict, string>> {
  return { ...FIT_WORDS, care: hasOwnCaution ? 'Fits so far, with care' : 'Fits so far' };
}
