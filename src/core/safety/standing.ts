/** Whether it is safe to go on: stops answered, supplies off and proven off, what proves nothing, what is too long ago. */
import type { BackFed } from '../circuit/back-feed';
import { ref } from '../findings/refs';
import type { StopAnswer, SupplyOff } from '../job/reading-schema';
import type { Thermostat } from '../job/schema';
import { finding, sortFindings, type Finding } from '../findings/finding';
import { asMetered } from '../trade/figures';
import { findStop, STOP_QUESTIONS, type StopQuestion } from './stops';
import type { KnownSupplies } from './known-supplies';
import type { ImpliedSupply } from './supplies';

/** After so many hours somebody may have switched it on again. */
export const TRUSTED_HOURS = 12;

/** A proof from later than now proves nothing: a clock was set back, or a file came from elsewhere. Two clocks may differ by so much. */
export const CLOCK_HOURS = 0.1;

export interface SupplyStanding {
  readonly supply: ImpliedSupply;
  readonly record: SupplyOff | null;
  readonly off: boolean;
  /** Hours since it was proven; null when it was not, or when the time is not known here. */
  readonly hoursAgo: number | null;
}

export interface StopStanding {
  readonly question: StopQuestion;
  readonly answer: StopAnswer | null;
  /** Answered yes and not resolved. */
  readonly stops: boolean;
}

export interface SafetyStanding {
  readonly supplies: readonly SupplyStanding[];
  readonly stops: readonly StopStanding[];
  /** A stop is open: no instruction is given until it is resolved. */
  readonly locked: boolean;
  /** All questions answered, nothing stops, every supply off and proven. */
  readonly safe: boolean;
  readonly findings: readonly Finding[];
}

/** `known`: the supplies, and what ties them (`known-supplies.ts`). `now` is ISO time, or null where no clock is at hand: then nothing counts as too long ago. */
export function safetyOf(
  thermostat: Thermostat,
  { supplies: implied, tied }: KnownSupplies,
  now: string | null
): SafetyStanding {
  const supplies = implied.map((supply): SupplyStanding => {
    const record = thermostat.off[supply.id] ?? null;
    const proven = record !== null && record.proof !== 'none' && record.proof !== 'display-dark';
    const hoursAgo = record && now ? (Date.parse(now) - Date.parse(record.at)) / 3_600_000 : null;
    const recent = hoursAgo === null || (hoursAgo <= TRUSTED_HOURS && hoursAgo >= -CLOCK_HOURS);
    return { supply, record, off: proven && record.cut !== 'cannot' && recent, hoursAgo };
  });
  const stops = stopsOf(thermostat);
  const cannot = cannotBeOff(supplies, tied);
  const locked = stops.some((stop) => stop.stops) || cannot.length > 0;
  return {
    supplies,
    stops,
    locked,
    safe:
      !locked &&
      stops.every((stop) => stop.answer !== null) &&
      supplies.length > 0 &&
      supplies.every((supply) => supply.off),
    findings: sortFindings([
      ...stopFindings(thermostat),
      ...unasked(stops),
      ...cannot,
      ...tied.map(tiedFinding),
      ...supplies.flatMap(supplyFindings),
      ...remarks(thermostat)
    ])
  };
}

function tiedFinding({ device, name, from, volts, mainsVolts }: BackFed): Finding {
  const fact = {
    name,
    others: from.map((other) => other.name),
    volts: asMetered(volts, 1),
    mainsVolts: asMetered(mainsVolts, 1)
  };
  return finding(
    'warn',
    'off-is-not-dead',
    fact,
    [device, ...from.map((other) => other.device)].map(ref.supply)
  );
}

/** A supply that nobody can switch off stops the work on it, and on all that is tied to it. */
function cannotBeOff(supplies: readonly SupplyStanding[], tied: readonly BackFed[]): Finding[] {
  return supplies
    .filter(({ record }) => record?.cut === 'cannot')
    .map(({ supply: { id, name } }) => {
      const feeds = tied.filter(({ from }) => from.some((other) => other.device === id));
      const because = [id, ...feeds.map(({ device }) => device)].map(ref.supply);
      return finding('stop', 'supply-cannot-be-off', { name, feeds: feeds.map((fed) => fed.name) }, because);
    });
}

function stopsOf(thermostat: Thermostat): StopStanding[] {
  return STOP_QUESTIONS.map((question) => {
    const answer = thermostat.stops[question.id] ?? null;
    return { question, answer, stops: answer?.answer === 'yes' && answer.resolved === null };
  });
}

/** The stops that are open, as findings: what closes every way until it is resolved. */
export function stopFindings(thermostat: Thermostat): Finding[] {
  return Object.entries(thermostat.stops).flatMap(([id, answer]) => {
    const question = findStop(id);
    if (!question || answer.answer === 'no' || answer.resolved !== null) return [];
    const { then, call, resolvedWhen } = question;
    return [finding('stop', 'stop-answered', { then, call, resolvedWhen }, [ref.stop(id)])];
  });
}

function unasked(stops: readonly StopStanding[]): Finding[] {
  const open = stops.filter((stop) => stop.answer === null);
  if (open.length === 0) return [];
  const because = open.map((stopStanding) => ref.stop(stopStanding.question.id));
  return [finding('warn', 'stop-not-asked', { open: open.length, of: stops.length }, because)];
}

function supplyFindings({ supply, record, off, hoursAgo }: SupplyStanding): Finding[] {
  const { name, why } = supply;
  const because = [ref.supply(supply.id)];
  if (record?.cut === 'cannot') return [];
  if (record === null || record.proof === 'none')
    return [finding('warn', 'supply-not-off', { name, why }, because)];
  if (record.proof === 'display-dark')
    return [finding('warn', 'proves-nothing', { what: 'display-dark', name }, because)];
  if (hoursAgo !== null && hoursAgo < -CLOCK_HOURS)
    return [finding('warn', 'off-in-future', { name }, because)];
  if (!off && hoursAgo !== null) return [finding('warn', 'off-long-ago', { name, hours: hoursAgo }, because)];
  return [];
}

function remarks(thermostat: Thermostat): Finding[] {
  const because = [ref.thermostat(thermostat.id)];
  const found: Finding[] = [];
  if (thermostat.oldSupply === 'battery')
    found.push(finding('note', 'proves-nothing', { what: 'old-batteries' }, because));
  if (thermostat.mercury === 'yes') found.push(finding('warn', 'mercury', {}, because));
  return found;
}
