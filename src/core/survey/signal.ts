/** The radio signal at the wall: readings, how they are judged, and the simulated meter that ships with the product. */
import type { SignalReading } from '../job/survey-schema';

/** Better than this is good; down to the second marginal; below that poor. dBm. */
export const GOOD_DBM = -67;
export const MARGINAL_DBM = -75;

export type SignalGrade = 'good' | 'marginal' | 'poor' | 'not-read';

export function gradeOf(dbm: number): Exclude<SignalGrade, 'not-read'> {
  if (dbm >= GOOD_DBM) return 'good';
  return dbm >= MARGINAL_DBM ? 'marginal' : 'poor';
}

export interface SignalSummary {
  readonly grade: SignalGrade;
  /** Middle of the readings and the worst, dBm; null before one was taken. */
  readonly median: number | null;
  readonly worst: number | null;
  readonly count: number;
}

/** The middle reading decides, one step down where a quarter of the readings is a step worse: radio comes and goes. */
export function summariseSignal(readings: readonly SignalReading[]): SignalSummary {
  const sorted = readings.map((reading) => reading.dbm).sort((a, b) => a - b);
  if (sorted.length === 0) return { grade: 'not-read', median: null, worst: null, count: 0 };
  const at = (share: number) => sorted[Math.floor((sorted.length - 1) * share)] ?? 0;
  const median = at(0.5);
  const order = ['good', 'marginal', 'poor'] as const;
  const middle = order.indexOf(gradeOf(median));
  const quarter = order.indexOf(gradeOf(at(0.25)));
  const grade = order[Math.min(quarter, middle + 1)] ?? 'poor';
  return { grade, median, worst: sorted[0] ?? null, count: sorted.length };
}

/**
 * The simulated signal meter: a stand-in for a phone's own, which no web page can read. The level of a spot follows from its name; each
 * reading sways by a few decibels. The same spot and count give the same reading.
 */
export function simulatedReading(spot: string, count: number): number {
  let hash = 2166136261;
  for (const letter of spot) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619) >>> 0;
  const level = -52 - (hash % 29);
  const sway = 3 * Math.sin(count * 1.7 + (hash % 7)) + 1.5 * Math.sin(count * 0.6);
  return Math.round(level + sway);
}
