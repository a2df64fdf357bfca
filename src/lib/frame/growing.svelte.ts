/** A long list is drawn little by little: what is in sight at once, the rest frame by frame, so that the page answers meanwhile. */

import { AT_ONCE, FIRST_PORTION, nextPortion } from './portions';

export class Growing {
  /** So many of the list are to be drawn by now. */
  shown = $state(AT_ONCE);
  /** As many as a frame takes here: a slow machine gets fewer at a time. */
  #perFrame = FIRST_PORTION;
  #last: number | null = null;
  readonly #total: () => number;

  /** Made while a component is set up. `total`: how many there are; `atLeast`: so many are wanted at once, for somebody was sent to one of them. */
  constructor(total: () => number, atLeast = 0) {
    this.#total = total;
    this.shown = Math.max(AT_ONCE, atLeast);
    $effect(() => {
      if (this.whole) return;
      const frame = requestAnimationFrame((now) => this.#grow(now));
      return () => cancelAnimationFrame(frame);
    });
    $effect(() => {
      // Paper has no frames to wait for.
      const all = () => (this.shown = Math.max(this.shown, this.#total()));
      window.addEventListener('beforeprint', all);
      return () => window.removeEventListener('beforeprint', all);
    });
  }

  get whole(): boolean {
    return this.shown >= this.#total();
  }

  #grow(now: number): void {
    if (this.#last !== null) this.#perFrame = nextPortion(this.#perFrame, now - this.#last);
    this.#last = now;
    this.shown += this.#perFrame;
  }
}
