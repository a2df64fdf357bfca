/** The corners of all tolerances in words: one sentence for each kind, whatever the number of calls. */
import { finding, type Finding, type FindingCode } from '../trade/findings';
import { LOAD_NAMES } from '../trade/loads';
import { callName, type Call } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';
import type { AtLimits, Excess } from './limits';

const WORST = 'At the worst of all tolerances';

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
    ...limits.flatMap((one) => coilFindings(one, holds)),
    ...excessFindings(limits, holds, thermostats)
  ];
}

function voltsFindings(
  limits: readonly AtLimits[],
  side: 'low' | 'high',
  { fed }: HoldsNominally
): Finding[] {
  const out = (one: AtLimits) => (side === 'low' ? one.tooLow : one.tooHigh);
  const which = limits.filter((one) => out(one) && fed(one.call));
  if (which.length === 0) return [];
  const volts = which.map((one) => one[side] ?? 0);
  const calls = which.map((one) => callName(one.call)).join(', ');
  const text =
    side === 'low'
      ? `${WORST} (mains 10 % low, every coil and joint poor), the thermostat gets ${Math.min(...volts).toFixed(1)} V (${calls}), which is less than it needs. Measure R to C once all is on.`
      : `${WORST} (mains 10 % high, little drawn), the thermostat gets ${Math.max(...volts).toFixed(1)} V (${calls}), which is more than its sheet stands. Measure R to C with nothing on.`;
  const because = which.map((one) => `call:${one.call}`);
  return [finding('warn', 'volts-at-limits', text, because)];
}

function coilFindings(one: AtLimits, { runs }: HoldsNominally): Finding[] {
  const because = [`call:${one.call}`];
  const names = (loads: readonly LoadId[]) => loads.map((load) => LOAD_NAMES[load]).join(', ');
  const found: Finding[] = [];
  const lost = one.lost.filter((load) => runs(one.call, load));
  if (lost.length > 0) {
    const many = lost.length > 1;
    const text = `${WORST} (mains 10 % low) and ${callName(one.call)} called, ${names(lost)} no longer ${many ? 'pull' : 'pulls'} in, though ${many ? 'they do' : 'it does'} today. Measure across the coil.`;
    found.push(finding('warn', 'load-at-limits', text, because));
  }
  if (one.weakAtPullIn.length > 0) {
    const text = `${WORST} (mains 10 % low) and ${callName(one.call)} called, a coil gets less than it needs to move while all pull in at once: it may hum instead. Listen for it.`;
    found.push(finding('warn', 'load-at-limits', text, [...one.weakAtPullIn, ...because]));
  }
  if (one.uncalled.length > 0) {
    const text = `${WORST} and ${callName(one.call)} called, ${names(one.uncalled)} may run though nobody called for it.`;
    found.push(finding('warn', 'load-at-limits', text, because));
  }
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
    for (const one of excess) {
      const known = worst.get(one.supply.id);
      if (!carried(call, one.supply.id) || (known && known.excess.supply.amps >= one.supply.amps)) continue;
      worst.set(one.supply.id, { call, excess: one });
    }
  }
  return [...worst.values()].flatMap((one) => {
    const { id } = one.excess.supply;
    const today = Math.max(0, ...limits.map((limit) => limit.today.get(id) ?? 0));
    return excessFinding(one, today, thermostats);
  });
}

/** `today`: the most that it gives today in any call, with nominal values, amps. */
function excessFinding(
  { call, excess: { supply, ampsToday } }: Worst,
  today: number,
  thermostats: number
): Finding[] {
  const because = [supply.id, `call:${call}`];
  const rated = (va: number) => `${(va / supply.nominalVolts).toFixed(2)} A (${va} VA)`;
  const crowd = thermostats > 1 ? ` called by all ${thermostats} thermostats on it` : '';
  const gives = `${supply.name} gives ${(supply.fuseAmps ?? supply.amps).toFixed(2)} A with ${callName(call)}${crowd}`;
  // One of the smallest size would be beyond its rating today already: then it is not that small.
  if (supply.leastVa < supply.ratedVa && today * supply.nominalVolts <= supply.leastVa) {
    const text = `Nobody has read the size of the transformer. ${WORST}, ${gives}; the smallest ones are rated for ${rated(supply.leastVa)}. Read its plate first.`;
    return [finding('warn', 'transformer-unread', text, because)];
  }
  if (!supply.fuseOpen && supply.amps <= supply.ratedAmps) return [];
  const isSo = ampsToday !== null && ampsToday > supply.ratedAmps;
  const already = isSo ? ` Today it is ${ampsToday.toFixed(2)} A already.` : '';
  const taken = supply.leastVa < supply.ratedVa ? 'it is taken to be rated' : 'it is rated';
  const text = `${WORST} (mains 10 % high, every coil a quarter above its plate), ${gives}; ${taken} for ${rated(supply.ratedVa)}.${already} Add up the plates of the coils, or measure the current.`;
  return [finding(isSo ? 'note' : 'warn', 'overloaded-at-limits', text, because)];
}
