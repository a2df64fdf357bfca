/** The plan of a whole job, made in the background and made anew after every edit; the last one stands until then. */
import type { Job } from '$core/job/schema';
import type { Together } from '$core/plan/together';
import { longWork } from '../bench/thread';

export class JobTogether {
  result: Together | null = $state.raw(null);
  /** How much of the plan that is being made is done, 0 to 1; null while none is. */
  share: number | null = $state(0);
  trouble = $state('');
  #stop: AbortController | null = null;

  #last: Promise<void> = Promise.resolve();

  plan(job: Job): Promise<void> {
    this.#last = this.#plan(job);
    return this.#last;
  }

  /** The plan of the job as it was handed in last. */
  async fresh(): Promise<Together | null> {
    let waited: Promise<void> | null = null;
    while (waited !== this.#last) {
      waited = this.#last;
      await waited;
    }
    return this.result;
  }

  async #plan(job: Job): Promise<void> {
    this.cancel();
    const stop = new AbortController();
    this.#stop = stop;
    this.share = 0;
    this.trouble = '';
    const onProgress = (share: number) => {
      if (this.#stop === stop) this.share = share;
    };
    try {
      const outcome = await longWork().run('together', job, { signal: stop.signal, onProgress });
      if (this.#stop !== stop) return;
      if (outcome.ok) this.result = outcome.result;
      else if (outcome.reason === 'failed') this.trouble = `Not planned: ${outcome.why}`;
    } catch (error) {
      if (this.#stop !== stop) return;
      this.trouble = `Not planned: ${error instanceof Error ? error.message : String(error)}`;
    }
    this.share = null;
  }

  /** Stops what is being made; the last plan stays. */
  cancel(): void {
    this.#stop?.abort();
    this.#stop = null;
    this.share = null;
  }
}
