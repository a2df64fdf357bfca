/**
 * How many of a thing a job may hold: `most` is what the screens add and what is called sound; `read` is what a file may bring, so that a
 * file with one machine too many is opened and shown with a word about it, and a file with a hundred thousand is not.
 */
import * as v from 'valibot';

export interface Limit {
  readonly most: number;
  readonly read: number;
}

const limit = (most: number, read = 4 * most): Limit => ({ most, read });

export const LIMITS = {
  machines: limit(24),
  thermostats: limit(40),
  places: limit(24),
  devices: limit(60),
  'machines of a thermostat': limit(8),
  cables: limit(16),
  conductors: limit(200),
  links: limit(100),
  'terminals of a plate': limit(32),
  'terminals of a machine': limit(60),
  'conductors of others': limit(40),
  accessories: limit(12),
  'trace findings': limit(20),
  splices: limit(8),
  photos: limit(60),
  pins: limit(60),
  'found ends': limit(200),
  'signal readings': limit(200),
  stretches: limit(30),
  'bench notes': limit(200),
  'things seen': limit(200),
  'settings made': limit(200),
  readings: limit(1000),
  'test results': limit(300),
  'mains devices': limit(24),
  'mains cables': limit(30),
  'log entries': limit(1000),
  notes: limit(400)
} as const satisfies Record<string, Limit>;
export type LimitedList = keyof typeof LIMITS;

/** A list that a file may hold, refused beyond what is read. */
export function listOf<const S extends v.BaseSchema<unknown, unknown, v.BaseIssue<unknown>>>(
  item: S,
  what: LimitedList
) {
  const { read } = LIMITS[what];
  return v.pipe(v.array(item, 'a list'), v.maxLength(read, `at most ${read} ${what}`));
}
