/** Set-up and tests, as their pages follow them: the thread derives both from the job, after every edit. */
import type { FinishPlan } from '$worker/protocol';
import { ask } from '../bench/thread';
import type { Place } from '../state/place.svelte';

export class Finishing {
  readonly #place: Place;
  found: FinishPlan | null = $state.raw(null);
  trouble = $state('');

  constructor(place: Place) {
    this.#place = place;
  }

  /** Works it out whenever the job has changed; returns the way to stop. What was found stays until there is something newer. */
  follow(): () => void {
    const { job, thermostat } = this.#place;
    return ask('finish', { job, thermostat: thermostat.id }, (found, trouble) => {
      this.found = found;
      this.trouble = trouble;
    });
  }
}
