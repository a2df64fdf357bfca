/** What would make a device fit, where something would: ways of feeding it that are open here, or another device. */
import type { Job, Thermostat } from '../job/schema';
import type { Option } from '../supply/options';
import type { Verdict } from '../trade/vocabulary';
import { deviceName } from '../match/catalogue';
import { matchAll, type Match } from '../match/match';

export interface WouldFit {
  /** In the words of the hands, best first; empty where nothing would. */
  readonly steps: readonly string[];
  /** Ways of feeding it that are open here. */
  readonly ways: readonly { readonly title: string; readonly verdict: Verdict }[];
  /** Devices that lack what stands against this one; empty unless it does not fit. */
  readonly instead: readonly string[];
}

/** `options`: all ways of supplying this device here, proven. */
export function wouldFit(
  job: Job,
  thermostat: Thermostat,
  match: Match,
  options: readonly Option[]
): WouldFit {
  const ways = options
    .filter((option) => option.standing !== 'left' && option.verdict !== 'no')
    .map(({ title, verdict }) => ({ title, verdict }));
  const codes = new Set(
    match.findings.filter((finding) => finding.level !== 'note').map((finding) => finding.code)
  );
  const steps: string[] = [];
  if (codes.has('voltage-class-unsettled'))
    steps.push(
      'Settle the voltage class first: a meter between R and C, or between R and W with the call open.'
    );
  if (codes.has('set-up')) steps.push('Settle the system (System): then it can be set up without a guess.');
  if (codes.has('needs-common') || codes.has('supply-not-proven')) {
    const [best] = ways;
    steps.push(
      best === undefined
        ? 'No way of feeding it is open here yet: Supply says of each what is missing.'
        : `Feed it in one of the ${ways.length} ways below; the first is the best here.`
    );
  }
  if (codes.has('accessory-output')) steps.push('Leave the accessory on a control of its own.');
  const stopped = match.verdict === 'no';
  const instead = stopped
    ? matchAll(job, thermostat)
        .filter((candidate) => candidate.verdict !== 'no')
        .map((match) => deviceName(match.device))
    : [];
  if (stopped && instead.length === 0 && !codes.has('voltage-class-unsettled'))
    steps.push('Nothing makes it fit here, and no other of the devices known here would.');
  return { steps, ways, instead };
}
