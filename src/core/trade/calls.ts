/**
 * A call is what is asked for: a set of requests, each by a control. Written as text, so that it can be a key, a word on the command line
 * and a value in a file: `idle`, `heat1`, `heat1+humidify`, or with the control that asks, `th-1:heat1+th-2:heat1`. Without a control every
 * control asks for it.
 */
import { CALL_NAMES, REQUESTS, type Request, type SimpleCall } from './vocabulary';

export type Call = SimpleCall | `${string}+${string}` | `${string}:${string}`;

export interface Ask {
  /** Id of the control that asks; null for whichever controls there are. */
  readonly control: string | null;
  readonly request: Request;
}

const isRequest = (word: string): word is Request => (REQUESTS as readonly string[]).includes(word);

const known = new Map<string, readonly Ask[]>();
/** A job file may hold any text as a call, so what is remembered is bounded. */
const MOST_KNOWN = 2000;

/** What a call asks for, in the order of `REQUESTS` for each control; nothing for `idle`. Words that are no request are left out. */
export function asksOf(call: Call): readonly Ask[] {
  const before = known.get(call);
  if (before) return before;
  const asks = call.split('+').flatMap((part): Ask[] => {
    const colon = part.lastIndexOf(':');
    const request = part.slice(colon + 1);
    return isRequest(request) ? [{ control: colon < 0 ? null : part.slice(0, colon), request }] : [];
  });
  const sorted = [...asks].sort(byControlAndRequest);
  if (known.size < MOST_KNOWN) known.set(call, sorted);
  return sorted;
}

function byControlAndRequest(ask: Ask, other: Ask): number {
  if (ask.control !== other.control) return (ask.control ?? '') < (other.control ?? '') ? -1 : 1;
  return REQUESTS.indexOf(ask.request) - REQUESTS.indexOf(other.request);
}

/** The call that asks for these; asking twice is asking once. */
export function callOf(asks: readonly Ask[]): Call {
  if (asks.length === 0) return 'idle';
  const words = [...asks]
    .sort(byControlAndRequest)
    .map(({ control, request }) => (control === null ? request : `${control}:${request}`));
  return [...new Set(words)].join('+') as Call;
}

/** What is asked for, whoever asks. */
export function requestsOf(call: Call): readonly Request[] {
  return [...new Set(asksOf(call).map((ask) => ask.request))];
}

/** The call that a text names, with its requests in order, or null. Controls are ids of thermostats and the like. */
export function readCall(text: string): Call | null {
  const word = text.trim();
  if (word === 'idle') return 'idle';
  const sound = word.split('+').every((part) => {
    const colon = part.lastIndexOf(':');
    return (
      isRequest(part.slice(colon + 1)) && (colon < 0 || /^[a-z]+-[a-z0-9-]+$/.test(part.slice(0, colon)))
    );
  });
  return sound ? callOf(asksOf(word as Call)) : null;
}

/** More than one thing is asked for. */
export function isCombined(call: Call): boolean {
  return asksOf(call).length > 1;
}

/** A call in words: "heat", "heat with humidify", "cooling with the fan held on". */
export function callName(call: Call): string {
  const asks = asksOf(call);
  const [first] = asks;
  if (!first) return CALL_NAMES.idle;
  if (asks.length === 1 && first.control === null) return CALL_NAMES[first.request];
  const byControl = [...new Set(asks.map((ask) => ask.control))].map((control) => {
    const requests = asks.filter((ask) => ask.control === control).map((ask) => ask.request);
    return control === null ? setName(requests) : `${setName(requests)} (${control})`;
  });
  return byControl.join(' and ');
}

function setName(requests: readonly Request[]): string {
  const others = requests.filter((request) => request !== 'fan');
  const [first, ...rest] = others;
  const fan = requests.includes('fan');
  if (first === undefined) return CALL_NAMES.fan;
  const named = [CALL_NAMES[first], ...rest.map((word) => CALL_NAMES[word])].join(' with ');
  return fan ? `${named} with the fan held on` : named;
}
