/** What was tried on the bench and is kept with the job. */
import * as v from 'valibot';
import { CALLS } from '../trade/vocabulary';
import { shortText, timeText } from './primitives';

export const BenchNote = v.strictObject({
  at: timeText,
  wiring: v.picklist(['before', 'after'], 'before or after'),
  call: v.picklist(CALLS, `one of ${CALLS.join(', ')}`),
  /** What was put wrong, as clauses; none for the sound wiring. */
  faults: v.pipe(v.array(shortText), v.maxLength(20, 'at most 20 faults')),
  /** What the circuit showed. */
  showed: v.pipe(v.array(shortText), v.maxLength(40, 'at most 40 sentences'))
});
export type BenchNote = v.InferOutput<typeof BenchNote>;
export const MOST_BENCH_NOTES = 200;

/** A move that was done, and when. `key` says what was done, not which number it had: a plan made anew keeps what is done. */
export const MoveTick = v.strictObject({ key: v.pipe(v.string('a move'), v.maxLength(400)), at: timeText });
export type MoveTick = v.InferOutput<typeof MoveTick>;
