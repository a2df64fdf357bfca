/** What has been done in the house: a log of acts with their times, each with the change of the wiring that it made. */
import * as v from 'valibot';
import { GraphChange } from './graph-schema';
import { LogId } from './ids';
import { shortText, text, timeText } from './primitives';

export const ACTIONS = [
  'lift',
  'land',
  'link',
  'unlink',
  'cap',
  'splice',
  'mount',
  'pull',
  'power-off',
  'check',
  'power-on'
] as const;
export type Action = (typeof ACTIONS)[number];

/** What was done, whatever number it had in its list: a plan made anew finds it again. */
export const Act = v.strictObject({
  action: v.picklist(ACTIONS, `one of ${ACTIONS.join(', ')}`),
  end: v.picklist(['wall', 'equipment'], 'wall or equipment'),
  what: v.pipe(v.string(), v.maxLength(160)),
  from: v.pipe(v.string(), v.maxLength(300)),
  to: v.pipe(v.string(), v.maxLength(300))
});
export type Act = v.InferOutput<typeof Act>;

export const LogEntry = v.strictObject({
  id: LogId,
  at: timeText,
  act: Act,
  /** Null for what changes no wiring: power, a check. */
  change: v.nullable(GraphChange),
  /** The entry that this one takes back. */
  undoes: v.nullable(LogId)
});
export type LogEntry = v.InferOutput<typeof LogEntry>;

/** A tick of a file of version 1: which move, by its key of then, and when. Taken over into the log when the job is opened. */
export const OldTick = v.strictObject({ key: v.pipe(v.string('a move'), v.maxLength(400)), at: timeText });
export type OldTick = v.InferOutput<typeof OldTick>;

/** Something that was done or said, kept in words where no field holds it. */
export const JobNote = v.strictObject({ at: v.nullable(timeText), about: shortText, text });
export type JobNote = v.InferOutput<typeof JobNote>;
