/** What was tried on the bench and is kept with the job. */
import * as v from 'valibot';
import { readCall, type Call } from '../trade/calls';
import { shortText, timeText } from './primitives';

/** A call as text: `idle`, `heat1`, `heat1+humidify`, or with the controls that ask. */
export const CallText = v.pipe(
  v.string('a call'),
  v.maxLength(400, 'a call of at most 400 characters'),
  v.check((text) => readCall(text) !== null, 'a call such as heat1 or heat1+humidify'),
  v.transform((text) => text as Call)
);

/** Found: as it was. Now: with what has been done since. After: as planned. `before` is the word of older files for `found`. */
export const WIRING_STATES = ['found', 'now', 'after'] as const;
export type WiringState = (typeof WIRING_STATES)[number];

export const WIRING_STATE_NAMES: Readonly<Record<WiringState, string>> = {
  found: 'as found',
  now: 'as it is now',
  after: 'as planned'
};

export const BenchNote = v.strictObject({
  at: timeText,
  wiring: v.picklist(WIRING_STATES, 'found, now or after'),
  call: CallText,
  /** What was put wrong, as clauses; none for the sound wiring. */
  faults: v.pipe(v.array(shortText), v.maxLength(20, 'at most 20 faults')),
  /** What the circuit showed. */
  showed: v.pipe(v.array(shortText), v.maxLength(40, 'at most 40 sentences'))
});
export type BenchNote = v.InferOutput<typeof BenchNote>;

/** What was seen while finding out why: the answer to an observation, or volts. Kept, so that a closed tab takes nothing away. */
export const SeenEntry = v.strictObject({
  at: timeText,
  observation: v.pipe(v.string('the id of an observation'), v.maxLength(200)),
  answer: v.union([shortText, v.pipe(v.number(), v.finite())], 'an answer or a reading')
});
export type SeenEntry = v.InferOutput<typeof SeenEntry>;
