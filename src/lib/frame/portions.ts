/** How much of a long list is drawn in a frame: a machine that is slow gets fewer at a time. */

/** Few: they come with all else that a page draws first; the next come in the frame after. */
export const AT_ONCE = 4;
/** In that frame, until it is known what a member costs. */
export const FIRST_PORTION = 4;
/** So many of a list are not all there before its second frame, and its third: for what is drawn after a list, one part at a time. */
export const SECOND_FRAME = AT_ONCE + FIRST_PORTION + 1;
export const THIRD_FRAME = SECOND_FRAME + FIRST_PORTION + 1;
export const MOST_PER_FRAME = 8;
/** A frame that takes longer was given too much, milliseconds: half of what the longest task may take. */
const FRAME_MS = 25;

/** The next portion, after one of `portion` whose frame took so many milliseconds: half where that was long, one more where it was not. */
export function nextPortion(portion: number, tookMs: number): number {
  const next = tookMs > FRAME_MS ? Math.floor(portion / 2) : portion + 1;
  return Math.min(MOST_PER_FRAME, Math.max(1, next));
}
