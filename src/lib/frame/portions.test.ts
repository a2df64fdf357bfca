import { describe, expect, it } from 'vitest';
import { AT_ONCE, FIRST_PORTION, MOST_PER_FRAME, nextPortion } from './portions';

/** Frames that a list takes where each member costs so many milliseconds, and the longest of them. */
function drawn(total: number, costMs: number): { readonly frames: number; readonly longest: number } {
  let [shown, portion, frames, longest] = [AT_ONCE, FIRST_PORTION, 0, 0];
  while (shown < total) {
    const took = Math.max(16, portion * costMs);
    // The first portion is a guess; what comes after has learned from it.
    if (frames > 1) longest = Math.max(longest, took);
    shown += portion;
    portion = nextPortion(portion, took);
    frames += 1;
  }
  return { frames, longest };
}

describe('a long list', () => {
  it('is drawn in full portions where the machine keeps up', () => {
    // 4, 5, 6 and 7 at first, then as many as there may be.
    const full = (200 - AT_ONCE - 22) / MOST_PER_FRAME;
    expect(drawn(200, 1)).toEqual({ frames: 4 + Math.ceil(full), longest: 16 });
  });

  it.each([4, 7, 12, 24])('keeps its frames under 50 ms where a member takes %i', (costMs) => {
    expect(drawn(200, costMs).longest).toBeLessThanOrEqual(50);
  });

  it('comes to its end where even one member is too much for a frame', () => {
    // 4 and 2 at first, then each by itself.
    expect(drawn(AT_ONCE + 6 + 18, 400).frames).toBe(2 + 18);
    expect(nextPortion(1, 400)).toBe(1);
  });
});
