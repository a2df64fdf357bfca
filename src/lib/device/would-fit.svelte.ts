/** What would make one thermostat fit, as its page follows it: the thread proves its ways of supply after every edit. */
import type { WouldFit } from '$core/plan/would-fit';
import { ask } from '../bench/thread';
import type { Place } from '../state/place.svelte';

export class WouldFitHere {
  readonly #place: Place;
  readonly #device: () => string;
  found: WouldFit | null = $state.raw(null);
  trouble = $state('');

  /** `device`: the id of the one that the page shows. */
  constructor(place: Place, device: () => string) {
    this.#place = place;
    this.#device = device;
  }

  /** Works it out whenever the job or the device has changed; returns the way to stop. */
  follow(): () => void {
    const { job, thermostat } = this.#place;
    const request = { job, thermostat: thermostat.id, device: this.#device() };
    return ask('would-fit', request, (found, trouble) => {
      this.found = found;
      this.trouble = trouble;
    });
  }
}
