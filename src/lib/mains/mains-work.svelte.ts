/** What the pages of mains controls show, as they follow it: the thread works it out from the record after every edit. */
import type { MainsView } from '$core/handover/mains/view';
import type { MainsControls } from '$core/job/mains-schema';
import { longWork } from '../bench/thread';
import type { Place } from '../state/place.svelte';

export class MainsWork {
  readonly #place: Place;
  #found: { readonly mains: MainsControls; readonly view: MainsView } | null = $state.raw(null);
  trouble = $state('');

  constructor(place: Place) {
    this.#place = place;
  }

  /** The record; null where no mains controls are recorded here. */
  get mains(): MainsControls | null {
    return this.#place.thermostat.mains;
  }

  /** The last that was worked out; a newer one follows within moments of an edit. */
  get view(): MainsView | null {
    return this.#found?.view ?? null;
  }

  /** A newer one is being made. */
  get busy(): boolean {
    return this.mains !== null && this.#found?.mains !== this.mains && this.trouble === '';
  }

  /** Works it out whenever the record has changed; returns the way to stop. */
  follow(): (() => void) | undefined {
    const { mains } = this;
    if (mains === null || this.#found?.mains === mains) return undefined;
    const { job, thermostat } = this.#place;
    const stop = new AbortController();
    longWork()
      .run('mains', { job, thermostat: thermostat.id }, { signal: stop.signal })
      .then(
        (outcome) => {
          if (stop.signal.aborted) return;
          if (outcome.ok) this.#found = { mains, view: outcome.result };
          this.trouble = outcome.ok || outcome.reason === 'cancelled' ? '' : outcome.why;
        },
        (error: unknown) => {
          if (!stop.signal.aborted) this.trouble = error instanceof Error ? error.message : String(error);
        }
      );
    return () => stop.abort();
  }
}
