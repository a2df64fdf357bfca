/** Set-up and tests, as their pages follow them: the thread derives both from the job, after every edit. */
import type { FinishPlan } from '$worker/protocol';
import { longWork } from '../bench/thread';
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
    const stop = new AbortController();
    longWork()
      .run('finish', { job, thermostat: thermostat.id }, { signal: stop.signal })
      .then(
        (outcome) => {
          if (stop.signal.aborted) return;
          if (outcome.ok) this.found = outcome.result;
          else if (outcome.reason === 'failed') this.found = null;
          this.trouble = outcome.ok || outcome.reason === 'cancelled' ? '' : outcome.why;
        },
        (error: unknown) => {
          if (!stop.signal.aborted) this.trouble = error instanceof Error ? error.message : String(error);
        }
      );
    return () => stop.abort();
  }
}
