/** How thermostats fit a place, as it is shown: light enough for every page, what it takes to find out stays where that is done. */
import { hasWarning, isStop, type Finding } from '../findings/finding';
import type { DeviceFacts } from '../job/device-facts';
import { VERDICTS, type Verdict } from '../trade/vocabulary';
import { aspectOf } from './aspects';

/** How far the place is known that thermostats are judged for. */
export type Known =
  /** All that decides is read. */
  | 'read'
  /** Something of it is assumed. */
  | 'so-far'
  /** Next to nothing: there is nothing to judge by yet. */
  | 'nothing';

export interface Match {
  readonly device: DeviceFacts;
  readonly verdict: Verdict;
  /** All that is said, of the device and of the place. */
  readonly findings: readonly Finding[];
  /** What is said of the place: nobody has read or settled it, and it holds for every device. */
  readonly open: readonly Finding[];
  readonly known: Known;
}

/** What is said of the device itself. */
export function ownFindings({ findings, open }: Match): Finding[] {
  return findings.filter((said) => !open.includes(said));
}

/**
 * What is worth a word beside its name: settings only where they cannot be made yet, the rest once it is chosen. Where nothing is known, only
 * what rules it out whatever comes.
 */
export function briefFindings(match: Match): Finding[] {
  if (match.known === 'nothing') return ownFindings(match).filter(isStop);
  return ownFindings(match).filter((said) => said.level !== 'note' || aspectOf(said) !== 'set');
}

/** Best first: by verdict, then those that have no caution of their own. */
export function bestFirst(matches: readonly Match[]): Match[] {
  const place = (match: Match) =>
    2 * VERDICTS.indexOf(match.verdict) + (hasWarning(ownFindings(match)) ? 1 : 0);
  return [...matches].sort((a, b) => place(a) - place(b));
}
