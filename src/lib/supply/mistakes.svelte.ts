/** How forgiving each way is: every single mistake on its wiring, solved in the background once the ranking stands on the screen. */
import { callsOf } from '$core/devices/calls';
import { countMistakes, mistakesOf, type MistakeCounts } from '$core/diagnose/mistakes';
import type { Plan } from '$core/plan/plan';
import type { MethodId } from '$core/trade/vocabulary';
import { longWork } from '../bench/thread';

export class MistakesByWay {
  counts: Partial<Record<MethodId, MistakeCounts>> = $state.raw({});
  #stop: AbortController | null = null;

  /** Starts over for a plan; what an older one still has under way is stopped. */
  async count(plan: Plan): Promise<void> {
    this.cancel();
    const stop = new AbortController();
    this.#stop = stop;
    this.counts = {};
    for (const option of plan.options) {
      const world = option.proof?.worlds[0]?.world;
      if (option.verdict === 'no' || option.after === null || !world) continue;
      const calls = callsOf(world, option.before);
      // A way whose mistakes cannot be solved has no count of them, and says nothing of them.
      const outcome = await longWork()
        .run('faults', { wiring: option.after, world, calls, pairs: false }, { signal: stop.signal })
        .catch(() => null);
      if (this.#stop !== stop) return;
      if (outcome?.ok)
        this.counts = { ...this.counts, [option.method]: countMistakes(mistakesOf(outcome.result)) };
    }
  }

  cancel(): void {
    this.#stop?.abort();
    this.#stop = null;
  }
}
