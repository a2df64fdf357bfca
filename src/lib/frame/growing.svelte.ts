/** A long list is drawn little by little: what is in sight at once, the rest frame by frame, so that the page answers meanwhile. */

/** As many as fill a window. */
const AT_ONCE = 16;
const PER_FRAME = 8;

export class Growing {
  /** So many of the list are to be drawn by now. */
  shown = $state(AT_ONCE);

  /** Made while a component is set up. `total`: how many there are. */
  constructor(total: () => number) {
    $effect(() => {
      if (this.shown >= total()) return;
      const frame = requestAnimationFrame(() => (this.shown += PER_FRAME));
      return () => cancelAnimationFrame(frame);
    });
    $effect(() => {
      // Paper has no frames to wait for.
      const all = () => (this.shown = Math.max(this.shown, total()));
      window.addEventListener('beforeprint', all);
      return () => window.removeEventListener('beforeprint', all);
    });
  }
}
