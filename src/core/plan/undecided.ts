/**
 * Closed ways that are not refused for good: what closes one may be a question that nobody has answered yet, or the choice of the thermostat.
 * A way that anything else closes is not this way, whatever the answers are. A question never opens a way; it only says that it may.
 */
import { isStop, type Finding, type FindingCode } from '../findings/finding';
import type { MethodId } from '../trade/vocabulary';

export type Closing =
  /** A fact that is known closes it. */
  | { readonly what: 'settled' }
  /** The first question that it waits for. */
  | { readonly what: 'asks'; readonly question: Finding }
  /** No thermostat is chosen yet, and only some have what it takes. */
  | { readonly what: 'device' };

/** Stops that say that somebody has to look, or that the record says two things at once. */
const QUESTIONS: ReadonlySet<FindingCode> = new Set<FindingCode>([
  'end-not-read',
  'adapter-not-read',
  'board-mark-missing',
  'common-traces-disagree',
  'duplicate-id',
  'landed-twice',
  'link-to-itself',
  'on-terminal-but-not-landed',
  'spare-one-ended',
  'system-unknown',
  'unknown-reference',
  'voltage-class-unsettled',
  'wire-not-explained'
]);

/** Stops that another thermostat would not have. */
const OF_THE_DEVICE: ReadonlySet<FindingCode> = new Set<FindingCode>([
  'device-has-no-combined',
  'device-has-no-receiver',
  'device-needs-supply'
]);

/** What holds in some of the believable systems only is open as long as the system is. */
export function isQuestion(finding: Finding): boolean {
  if (finding.worlds !== undefined) return true;
  if (finding.code === 'not-for-this-family') return !finding.params.sure;
  return QUESTIONS.has(finding.code);
}

export function isOfDevice({ code }: Finding): boolean {
  return OF_THE_DEVICE.has(code);
}

/** What closes a way with these findings. `deviceOpen`: no thermostat is chosen yet. */
export function closingOf(findings: readonly Finding[], deviceOpen: boolean): Closing {
  const stops = findings.filter(isStop);
  const mayChange = (stop: Finding) => isQuestion(stop) || (deviceOpen && isOfDevice(stop));
  if (stops.length === 0 || !stops.every(mayChange)) return { what: 'settled' };
  const question = stops.find(isQuestion);
  return question && !stops.some(isOfDevice) ? { what: 'asks', question } : { what: 'device' };
}

const NEARER: readonly Closing['what'][] = ['asks', 'device', 'settled'];

/** Of the variants of one method, the one that is the nearest to being open. */
export function nearestClosing(closings: readonly Closing[]): Closing {
  const [nearest] = [...closings].sort((a, b) => NEARER.indexOf(a.what) - NEARER.indexOf(b.what));
  return nearest ?? { what: 'settled' };
}

/** A question, and the ways that wait for its answer. */
export interface Waiting {
  readonly question: Finding;
  readonly methods: readonly MethodId[];
}
