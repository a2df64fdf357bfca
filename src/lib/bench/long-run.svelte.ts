/** One piece of long work as a view sees it: idle, running with a share done, finished, or why not. */
import type { Tasks, TaskKind } from '$worker/protocol';
import { longWork } from './thread';

export class LongWork<K extends TaskKind> {
  readonly kind: K;
  share: number | null = $state(null);
  result: Tasks[K]['result'] | null = $state.raw(null);
  trouble = $state('');
  #stop: AbortController | null = null;

  constructor(kind: K) {
    this.kind = kind;
  }

  async start(request: Tasks[K]['request']): Promise<void> {
    this.cancel();
    const stop = new AbortController();
    this.#stop = stop;
    this.share = 0;
    this.trouble = '';
    this.result = null;
    try {
      const outcome = await longWork().run(this.kind, $state.snapshot(request) as Tasks[K]['request'], {
        signal: stop.signal,
        onProgress: (share) => {
          if (this.#stop === stop) this.share = share;
        }
      });
      if (this.#stop !== stop) return;
      if (outcome.ok) this.result = outcome.result;
      else if (outcome.reason === 'failed') this.trouble = `Not solved: ${outcome.why}.`;
    } catch (error) {
      if (this.#stop === stop) this.trouble = error instanceof Error ? error.message : String(error);
    }
    if (this.#stop === stop) this.share = null;
  }

  cancel(): void {
    this.#stop?.abort();
    this.#stop = null;
    this.share = null;
  }
}
