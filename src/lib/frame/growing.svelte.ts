/** A long list is drawn little by little: what is in sight at once, the rest frame by frame, so that the page answers meanwhile. */

/** About as many as fill a window; the next come in the frame after. */
const AT_ONCE = 8;
const PER_FRAME = 8;
const LEAST_PER_FRAME = 1;
/** A frame that takes longer than this was given too much, milliseconds: half of what is felt as a wait. */
const FRAME_MS = 25;

export class Growing {
  /** So many of the list are to be drawn by now. */
  shown = $state(AT_ONCE);
  /** As many as a frame takes here: a slow machine gets fewer at a time. */
  #perFrame = PER_FRAME;
  #last: number | null = null;

  /** Made while a component is set up. `total`: how many there are. */
  constructor(total: () => number) {
    $effect(() => {
      if (this.shown >= total()) return;
      const frame = requestAnimationFrame((now) => this.#grow(now));
      return () => cancelAnimationFrame(frame);
    });
    $effect(() => {
      // Paper has no frames to wait for.
      const all = () => (this.shown = Math.max(this.shown, total()));
      window.addEventListener('beforeprint', all);
      return () => window.removeEventListener('beforeprint', all);
    });
  }

  #grow(now: number): void {
    if (this.#last !== null) {
      const slow = now - this.#last > FRAME_MS;
      const next = slow ? Math.floor(this.#perFrame / 2) : this.#perFrame + 1;
      this.#perFrame = Math.min(PER_FRAME, Math.max(LEAST_PER_FRAME, next));
    }
    this.#last = now;
    this.shown += this.#perFrame;
  }
}
