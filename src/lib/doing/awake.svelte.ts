/** Keeps the screen on while somebody works with both hands, where the browser can. */

export class Awake {
  /** Whether the browser can hold the screen on at all. */
  readonly possible = typeof navigator !== 'undefined' && 'wakeLock' in navigator;
  #lock: WakeLockSentinel | null = null;

  /** Holds it on while the page is shown; returns the way to let go. */
  hold(): () => void {
    const take = async () => {
      if (document.visibilityState !== 'visible' || !this.possible) return;
      // Refused on low battery, for instance: the work goes on without.
      this.#lock = await navigator.wakeLock.request('screen').catch(() => null);
    };
    const again = () => void take();
    void take();
    document.addEventListener('visibilitychange', again);
    return () => {
      document.removeEventListener('visibilitychange', again);
      void this.#lock?.release().catch(() => undefined);
      this.#lock = null;
    };
  }
}
