/**
 * Closed ways that are not refused for good: what closes one may be a question that nobody has answered yet, or the choice of the thermostat.
 * A way that anything else closes is not this way, whatever the answers are. A question never opens a way; it only says that it may.
 */
import { factKey, finding, isStop, type Finding, type FindingCode } from '../findings/finding';
import { ref } from '../findings/refs';
import type { MethodId } from '../trade/vocabulary';
import { boards, type Wiring } from '../wiring/graph';

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

/** What is missing in the record, or follows from its circuit: as long as something of it is unread, what was not seen may be there and change it. */
const SILENCES: ReadonlySet<FindingCode> = new Set<FindingCode>([
  'burner-without-blower',
  'cable-too-few',
  'common-one-ended',
  'compressor-without-blower',
  'fan-conductor-missing',
  'function-lost',
  'held-on',
  'load-runs-uncalled',
  'no-common-found',
  'no-spare',
  'strips-without-blower',
  'thermostat-unfed'
]);

export function isOfDevice({ code }: Finding): boolean {
  return OF_THE_DEVICE.has(code);
}

/** What is open about a plan as a whole. */
export interface OpenFacts {
  /** No thermostat is chosen yet. */
  readonly device: boolean;
  /** That several systems are believable. */
  readonly system: Finding | null;
  /** What nobody has read of the wires and the machines. */
  readonly unread: Finding | null;
}

/** The question behind a stop; null where a fact that is known makes it. */
function questionOf(stop: Finding, { system, unread }: OpenFacts): Finding | null {
  if (QUESTIONS.has(stop.code)) return stop;
  if (stop.code === 'not-for-this-family' && !stop.params.sure) return system ?? stop;
  // What holds in some of the believable systems only is open as long as the system is.
  if (stop.worlds !== undefined) return system ?? stop;
  return SILENCES.has(stop.code) ? unread : null;
}

/** What closes a way with these findings. */
export function closingOf(findings: readonly Finding[], open: OpenFacts): Closing {
  const stops = findings.filter(isStop);
  const ofDevice = (stop: Finding) => open.device && isOfDevice(stop);
  const questions = stops.filter((stop) => !ofDevice(stop)).map((stop) => questionOf(stop, open));
  if (stops.length === 0 || questions.includes(null)) return { what: 'settled' };
  const [question] = questions;
  return question && !stops.some(ofDevice) ? { what: 'asks', question } : { what: 'device' };
}

/** What nobody has read of the machines and of the wires' ends; null where all of it is read. */
export function unreadFact(recorded: Wiring): Finding | null {
  for (const { id, name, screws } of boards(recorded)) {
    const unread = screws.find(({ means }) => means.length === 0);
    if (unread)
      return finding('warn', 'screw-not-read', { machine: name, mark: unread.mark }, [ref.machine(id)]);
  }
  const open = recorded.strands.filter(({ near, far }) => near.state === 'unseen' || far.state === 'unseen');
  if (open.length === 0) return null;
  const conductors = open.map(({ name }) => name);
  return finding(
    'warn',
    'end-not-read',
    { what: 'open', conductors },
    open.map(({ id }) => ref.conductor(id))
  );
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

interface Closable {
  readonly method: MethodId;
  readonly closing: Closing | null;
}

/** Each open question once, the one that most ways wait for first. To leave it as it is waits for nothing. */
export function waitingWays(options: readonly Closable[]): Waiting[] {
  const byQuestion = new Map<string, { question: Finding; methods: MethodId[] }>();
  for (const { method, closing } of options) {
    if (closing?.what !== 'asks' || method === 'none') continue;
    const key = factKey(closing.question);
    const entry = byQuestion.get(key) ?? { question: closing.question, methods: [] };
    entry.methods.push(method);
    byQuestion.set(key, entry);
  }
  return [...byQuestion.values()].sort((a, b) => b.methods.length - a.methods.length);
}
