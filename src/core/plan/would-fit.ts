/** What would make a device fit, where something would: ways of feeding it that are open here, or another device. */
import type { FindingCode } from '../findings/finding';
import type { DeviceFacts } from '../job/device-facts';
import type { Job, Thermostat } from '../job/schema';
import { deviceName } from '../match/catalogue';
import { matchAll, matchDevice } from '../match/match';
import type { Verdict } from '../trade/vocabulary';
import { planFor } from './plan';

export interface WouldFit {
  /** In the words of the hands, best first; empty where nothing would. */
  readonly steps: readonly string[];
  /** Ways of feeding it that are open here. */
  readonly ways: readonly { readonly title: string; readonly verdict: Verdict }[];
  /** Devices that lack what stands against this one; empty unless it does not fit. */
  readonly instead: readonly string[];
}

/** All its ways of supply are proven for it: tens of milliseconds. */
export function wouldFit(job: Job, thermostat: Thermostat, device: DeviceFacts): WouldFit {
  const { options, identification } = planFor(job, thermostat, { device });
  const match = matchDevice(job, thermostat, device, identification);
  const ways = options
    .filter((option) => option.standing !== 'left' && option.verdict !== 'no')
    .map(({ title, verdict }) => ({ title, verdict }));
  const codes = new Set(match.findings.filter(({ level }) => level !== 'note').map(({ code }) => code));
  const instead =
    match.verdict === 'no'
      ? matchAll(job, thermostat, identification)
          .filter((candidate) => candidate.verdict !== 'no')
          .map((candidate) => deviceName(candidate.device))
      : [];
  const hopeless = match.verdict === 'no' && instead.length === 0 && !codes.has('voltage-class-unsettled');
  return { steps: stepsFor(codes, ways.length, hopeless), ways, instead };
}

function stepsFor(codes: ReadonlySet<FindingCode>, ways: number, hopeless: boolean): string[] {
  const has = (...any: readonly FindingCode[]) => any.some((code) => codes.has(code));
  const steps: string[] = [];
  if (has('voltage-class-unsettled'))
    steps.push(
      'Settle the voltage class first: a meter between R and C, or between R and W with the call open.'
    );
  if (has('end-not-read', 'screw-not-read'))
    steps.push('Read the wires to their ends (Wires): until then it is judged by what the wall says.');
  if (has('set-up', 'system-unsettled', 'system-unknown'))
    steps.push('Answer the questions on System: then it can be set up without a guess.');
  if (has('needs-common', 'supply-not-proven'))
    steps.push(
      ways === 0
        ? 'No way of feeding it is open here yet: C wire says of each what is missing.'
        : ways === 1
          ? 'Feed it in the way below.'
          : `Feed it in one of the ${ways} ways below; the first is the best here.`
    );
  if (has('accessory-output')) steps.push('Leave the accessory on a control of its own.');
  if (hopeless) steps.push('Nothing makes it fit here, and no other of the devices known here would.');
  return steps;
}
