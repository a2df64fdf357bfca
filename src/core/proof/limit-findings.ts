/** The corners of all tolerances in words: one sentence for each kind, whatever the number of calls. */
import { asMetered } from '../trade/figures';
import { ref } from '../findings/refs';
import { finding, type Finding, type FindingCode } from '../findings/finding';
import type { Call } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';
import type { AtLimits, Excess } from './limits';

/** What is said of volts and amps, whatever the coils bring on. */
export const CIRCUIT_LIMITS: ReadonlySet<FindingCode> = new Set([
  'volts-at-limits',
  'overloaded-at-limits',
  'transformer-unread'
]);

/** What already holds with nominal values, and so may be lost in a corner. */
export interface HoldsNominally {
  /** The thermostat is fed in the call, and has to be. */
  readonly fed: (call: Call) => boolean;
  readonly runs: (call: Call, load: LoadId) => boolean;
  /** The transformer carries it. */
  readonly carried: (call: Call, supply: string) => boolean;
}

/** `thermostats`: how many call at once, with the neighbours. */
export function limitFindings(
  limits: readonly AtLimits[],
  holds: HoldsNominally,
  thermostats = 1
): Finding[] {
  return [
    ...voltsFindings(limits, 'low', holds),
    ...voltsFindings(limits, 'high', holds),
    ...limits.flatMap((limit) => coilFindings(limit, holds)),
    ...excessFindings(limits, holds, thermostats),
    // What cannot be bounded is said where figures are used.
    ...(limits.some((limit) => !limit.bounded && limit.low !== null)
      ? [finding('note', 'limits-not-bounded', {})]
      : [])
  ];
}

function voltsFindings(
  limits: readonly AtLimits[],
  side: 'low' | 'high',
  { fed }: HoldsNominally
): Finding[] {
  const out = (limit: AtLimits) => (side === 'low' ? limit.tooLow : limit.tooHigh);
  const which = limits.filter((limit) => out(limit) && fed(limit.call));
  if (which.length === 0) return [];
  const volts = which.map((limit) => limit[side] ?? 0);
  const calls = which.map((limit) => limit.call);
  const worst = side === 'low' ? Math.min(...volts) : Math.max(...volts);
  const fact = { side, volts: asMetered(worst, 0.1), calls };
  return [finding('warn', 'volts-at-limits', fact, calls.map(ref.call))];
}

function coilFindings(limit: AtLimits, { runs }: HoldsNominally): Finding[] {
  const { call } = limit;
  const because = [ref.call(call)];
  const found: Finding[] = [];
  const lost = limit.lost.filter((load) => runs(call, load));
  if (lost.length > 0)
    found.push(finding('warn', 'load-at-limits', { what: 'lost', call, loads: lost }, because));
  if (limit.uncalled.length > 0)
    found.push(finding('warn', 'load-at-limits', { what: 'uncalled', call, loads: limit.uncalled }, because));
  return found;
}

interface Worst {
  readonly call: Call;
  readonly excess: Excess;
}

/** Of each transformer the call in which it gives the most. */
function excessFindings(
  limits: readonly AtLimits[],
  { carried }: HoldsNominally,
  thermostats: number
): Finding[] {
  const worst = new Map<string, Worst>();
  for (const { call, excess } of limits) {
    for (const over of excess) {
      const known = worst.get(over.supply.id);
      if (!carried(call, over.supply.id) || (known && known.excess.supply.amps >= over.supply.amps)) continue;
      worst.set(over.supply.id, { call, excess: over });
    }
  }
  return [...worst.values()].flatMap((most) => {
    const { id } = most.excess.supply;
    const today = Math.max(0, ...limits.map((limit) => limit.today.get(id) ?? 0));
    return excessFinding(most, today, thermostats);
  });
}

/** `today`: the most that it gives today in any call, with nominal values, amps. */
function excessFinding(
  { call, excess: { supply, ampsToday } }: Worst,
  today: number,
  thermostats: number
): Finding[] {
  const because = [supply.part, ref.call(call)];
  const at = {
    call,
    supply: supply.name,
    amps: asMetered(supply.fuseAmps ?? supply.amps, 0.01),
    nominalVolts: supply.nominalVolts,
    thermostats
  };
  // One of the smallest size would be beyond its rating today already: then it is not that small.
  if (supply.leastVa < supply.ratedVa && today * supply.nominalVolts <= supply.leastVa) {
    return [finding('warn', 'transformer-unread', { ...at, leastVa: supply.leastVa }, because)];
  }
  if (!supply.fuseOpen && supply.amps <= supply.ratedAmps) return [];
  const isSo = ampsToday !== null && ampsToday > supply.ratedAmps;
  const fact = {
    ...at,
    ratedVa: supply.ratedVa,
    read: supply.leastVa === supply.ratedVa,
    todayAmps: isSo ? asMetered(ampsToday, 0.01) : null
  };
  return [finding(isSo ? 'note' : 'warn', 'overloaded-at-limits', fact, because)];
}
