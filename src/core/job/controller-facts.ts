/** The facts of an all-in-one heating controller, as its sheet gives them. */
import * as v from 'valibot';
import { MainsFunction } from '../trade/mains';
import { ControllerId } from './ids';
import { positive, printedMark, shortText, text } from './primitives';

/** What a controller is by its sheet. `plate`: its screws in the order in which they stand, as printed, with what each does. */
export const ControllerFacts = v.strictObject({
  id: ControllerId,
  maker: shortText,
  model: shortText,
  channels: v.picklist([1, 2], '1 or 2'),
  heatingContact: v.picklist(['linked', 'volt-free'], 'linked or volt-free'),
  waterContact: v.nullable(v.picklist(['linked', 'volt-free'], 'linked or volt-free')),
  plate: v.pipe(
    v.array(v.strictObject({ mark: printedMark, does: MainsFunction })),
    v.minLength(3, 'at least L, N and one contact'),
    v.maxLength(16, 'at most 16 terminals')
  ),
  /** The pattern of its back plate: two of one pattern hang on the same screws, and may still have another order. */
  pattern: v.picklist(['a', 'b'], 'a or b'),
  wallPart: v.picklist(['wireless', 'wired-low-voltage', 'none'], 'wireless, wired-low-voltage or none'),
  /** Set so that heating brings hot water with it. */
  gravityMode: v.boolean('true or false'),
  maxAmps: positive(20),
  drawVa: positive(50),
  /** A screw without function to put an earth under. */
  earthPark: v.boolean('true or false'),
  price: v.nullable(positive(5000)),
  note: v.optional(text, '')
});
export type ControllerFacts = v.InferOutput<typeof ControllerFacts>;
