/** What the pages of mains controls show, as they follow it: the thread works it out from the record after every edit. */
import type { MainsView } from '$core/handover/mains/view';
import type { MainsControls } from '$core/job/mains-schema';
import { ask } from '../bench/thread';
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
    return ask('mains', { job, thermostat: thermostat.id }, (view, trouble) => {
      if (view !== null) this.#found = { mains, view };
      this.trouble = trouble;
    });
  }
}
