/**
 * Whether a test may be begun now. Cooling is not tested below about 16 °C outdoors, and no compressor is started within five minutes of a
 * stop; what nobody has measured opens nothing.
 */
import { COMPRESSOR_WAIT_SECONDS } from '../session/simulated-thermostat';
import { dayAt, hourOfDay } from '../house/weather';
import type { TakenReading } from '../job/after-schema';
import { isLit, seenLit } from '../job/lit';
import type { Thermostat } from '../job/schema';
import { YEAR_HOURS } from '../job/survey-schema';
import type { TestStep } from './test-plan';

/** Below this outdoors an outdoor unit is not made to cool: liquid may reach the compressor, and the coil freezes (usual sheets: 60 F). */
export const LEAST_COOLING_C = 16;
/** A thermometer read longer ago says nothing of now. */
const READING_HOURS = 3;
/** For a day that is to be warm enough for certain, so much is put on top. */
const MARGIN_K = 2;

export type TestGate =
  | { readonly open: true }
  | {
      readonly open: false;
      readonly why: 'stopped' | 'steps-left' | 'not-lit' | 'settings-left' | 'outdoors-unknown' | 'running';
    }
  | { readonly open: false; readonly why: 'too-cold'; readonly outdoorC: number }
  /** `until`: ISO time. */
  | { readonly open: false; readonly why: 'counting'; readonly until: string };

export interface GateFacts {
  readonly thermostat: Thermostat;
  /** An open stop of the user's. */
  readonly locked: boolean;
  readonly movesLeft: number;
  readonly settingsLeft: number;
  /** ISO time. */
  readonly now: string;
}

export function gateOfTest(
  step: Pick<TestStep, 'call' | 'cools' | 'compressor'>,
  { thermostat, locked, movesLeft, settingsLeft, now }: GateFacts,
  stepsWithCompressor: ReadonlySet<string>
): TestGate {
  if (locked) return { open: false, why: 'stopped' };
  if (movesLeft > 0) return { open: false, why: 'steps-left' };
  if (!isLit(thermostat.seen)) return { open: false, why: 'not-lit' };
  if (settingsLeft > 0) return { open: false, why: 'settings-left' };
  if (thermostat.testing !== null && thermostat.testing.call !== step.call)
    return { open: false, why: 'running' };
  const season = seasonGate(step, outdoorsNow(thermostat.readings, now)?.value ?? null);
  if (!season.open) return season;
  if (step.compressor) {
    const rested = lastStop(thermostat, stepsWithCompressor, now);
    const until = rested === null ? null : Date.parse(rested) + COMPRESSOR_WAIT_SECONDS * 1000;
    if (until !== null && until > Date.parse(now))
      return { open: false, why: 'counting', until: new Date(until).toISOString() };
  }
  return { open: true };
}

/** What the weather allows: cooling wants 16 °C, and somebody who has read them. `outdoorC` null where nobody has. */
export function seasonGate({ cools }: Pick<TestStep, 'cools'>, outdoorC: number | null): TestGate {
  if (!cools) return { open: true };
  if (outdoorC === null) return { open: false, why: 'outdoors-unknown' };
  return outdoorC < LEAST_COOLING_C ? { open: false, why: 'too-cold', outdoorC } : { open: true };
}

/** The temperature outdoors, as it was read last, where that was not long ago. */
export function outdoorsNow(readings: readonly TakenReading[], now: string): TakenReading | null {
  const last = readings.findLast(({ what }) => what === 'outdoors');
  if (!last) return null;
  const hours = (Date.parse(now) - Date.parse(last.at)) / 3_600_000;
  return hours >= -0.1 && hours <= READING_HOURS ? last : null;
}

/** When a compressor stopped last, as far as anybody knows: at the end of a test, or when the power came back. */
function lastStop(
  { tests, testing, seen }: Thermostat,
  withCompressor: ReadonlySet<string>,
  now: string
): string | null {
  const ends = [
    ...seenLit(seen),
    ...tests.filter(({ call }) => withCompressor.has(call)).map(({ ended }) => ended),
    ...(testing && withCompressor.has(testing.call) ? [testing.ended] : [])
  ].filter((end) => end !== null && end <= now);
  return ends.sort().at(-1) ?? null;
}

/**
 * The first day from `from` on (`YYYY-MM-DD`) whose afternoon is warm enough in the weather year, every hour from noon to five and with a margin;
 * null where no day of the year is.
 */
export function warmDayFrom(hourly: Float64Array, from: string): string | null {
  const begin = hourOfDay(from);
  for (let day = 0; day < YEAR_HOURS / 24; day += 1) {
    const start = (begin + day * 24) % YEAR_HOURS;
    const afternoon = hourly.subarray(start + 12, start + 18);
    if (afternoon.length > 0 && afternoon.every((hour) => hour >= LEAST_COOLING_C + MARGIN_K)) {
      const year = Number(from.slice(0, 4)) + (begin + day * 24 >= YEAR_HOURS ? 1 : 0);
      return `${year}-${dayAt(start)}`;
    }
  }
  return null;
}

/** The temperature of an hour in the weather year, °C; `now` ISO time. */
export function weatherAt(hourly: Float64Array, now: string): number {
  const hour = hourOfDay(now.slice(0, 10)) + Number(now.slice(11, 13));
  return Math.round((hourly[hour % hourly.length] ?? 0) * 10) / 10;
}
