/**
 * What holds at rated mains, looked at once more where the mains is 10 % low and 10 % high: the lowest and the highest voltage that the
 * thermostat may see, and coils that no longer pull in though they do today.
 */
import { running } from '../circuit/expected';
import { simulate, type CallResult } from '../circuit/simulate';
import { MAINS_LIMITS, PLAIN_CASE, type World } from '../devices/world';
import { finding, type Finding } from '../trade/findings';
import { LOAD_NAMES } from '../trade/loads';
import { CALL_NAMES, type Call, type LoadId } from '../trade/vocabulary';
import type { Wiring } from '../wiring/graph';

/** No-load voltages of transformers scatter by about so much: less above a window is not called too much. */
const SLACK_VOLTS = 0.6;

export interface AtLimits {
  readonly call: Call;
  /** Volts at the thermostat with the mains low and high; null where none is fed. */
  readonly low: number | null;
  readonly high: number | null;
  readonly tooLow: boolean;
  readonly tooHigh: boolean;
  /** Loads that run with the mains low today, and will not. */
  readonly lost: readonly LoadId[];
  readonly solves: number;
}

/** `after`: with the neighbours in it, where there are any. */
export function atLimits(
  before: Wiring,
  after: Wiring,
  world: World,
  call: Call,
  own: ReadonlySet<string>
): AtLimits | null {
  const solved = [
    simulate(before, world, call, { ...PLAIN_CASE, mains: MAINS_LIMITS.low }),
    simulate(after, world, call, { ...PLAIN_CASE, mains: MAINS_LIMITS.low }),
    simulate(after, world, call, { ...PLAIN_CASE, mains: MAINS_LIMITS.high })
  ].map((one) => (one.ok ? one.result : null));
  const [was, low, high] = solved;
  if (!was || !low || !high) return null;
  const feeds = (result: CallResult) => result.feeds.filter((one) => own.has(one.device));
  const volts = (result: CallResult) =>
    feeds(result).length === 0 ? null : feeds(result).map((one) => one.volts);
  const [lowest, highest] = [volts(low), volts(high)];
  return {
    call,
    low: lowest === null ? null : Math.min(...lowest),
    high: highest === null ? null : Math.max(...highest),
    tooLow: feeds(low).some((one) => one.volts < one.min),
    tooHigh: feeds(high).some((one) => one.volts > one.max + SLACK_VOLTS),
    lost: running(was.loads).filter((load) => !running(low.loads).includes(load)),
    solves: was.solves + low.solves + high.solves
  };
}

/** One sentence for each kind, whatever the number of calls. `fed`: calls in which the thermostat is fed at rated mains. */
export function limitFindings(
  limits: readonly AtLimits[],
  fed: (call: Call) => boolean,
  kept: (call: Call, load: LoadId) => boolean
): Finding[] {
  const found: Finding[] = [];
  const tell = (which: readonly AtLimits[], side: 'low' | 'high') => {
    const volts = which.map((one) => one[side] ?? 0);
    const [first] = which;
    if (!first) return;
    const value = side === 'low' ? Math.min(...volts) : Math.max(...volts);
    const calls = which.map((one) => CALL_NAMES[one.call]).join(', ');
    const text = `With the mains 10 % ${side}, the thermostat gets ${value.toFixed(1)} V (${calls}), which is ${side === 'low' ? 'less than it needs' : 'more than its sheet stands'}. Measure R to C once all is on.`;
    found.push(
      finding(
        'warn',
        'volts-at-limits',
        text,
        which.map((one) => `call:${one.call}`)
      )
    );
  };
  tell(
    limits.filter((one) => one.tooLow && fed(one.call)),
    'low'
  );
  tell(
    limits.filter((one) => one.tooHigh && fed(one.call)),
    'high'
  );
  for (const { call, lost } of limits) {
    const only = lost.filter((load) => kept(call, load));
    if (only.length === 0) continue;
    const text = `With the mains 10 % low and ${CALL_NAMES[call]} called, ${only.map((one) => LOAD_NAMES[one]).join(', ')} no longer ${only.length > 1 ? 'pull' : 'pulls'} in, though ${only.length > 1 ? 'they do' : 'it does'} today.`;
    found.push(finding('warn', 'load-at-limits', text, [`call:${call}`]));
  }
  return found;
}
