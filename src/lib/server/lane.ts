/**
 * A lane of the server: threads of its own, a queue of its own. What is asked of it is done in turn; who would wait too long is told so at
 * once; work that takes too long or too much memory is ended with its thread, and work that nobody waits for any more is dropped.
 */
import { Piscina } from 'piscina';

export interface LaneSettings {
  /** The module that the threads run: its default export takes the work. */
  readonly filename: string;
  readonly threads: number;
  /** Pieces of work that may wait beside those that are being done. */
  readonly mostWaiting: number;
  /** Milliseconds that one piece may wait for its turn; who would wait longer, or has, is turned away. */
  readonly mostWaitMs: number;
  /** Milliseconds that one piece may take, counted from when it is begun. */
  readonly mostMs: number;
  /** Megabytes of memory that one thread may hold. */
  readonly mostMb: number;
  /** How much less the processor favours its threads, 0 to 19 as of `nice`; without effect where the system has no such thing. */
  readonly nice?: number;
  /** What the limits go by; the machine's own clock where nothing is said. */
  readonly clock?: Clock;
}

export interface Clock {
  /** Milliseconds since some moment. */
  now(): number;
  /** A signal that is aborted when so many milliseconds have gone by. */
  after(ms: number): AbortSignal;
}

const WALL_CLOCK: Clock = { now: () => performance.now(), after: (ms) => AbortSignal.timeout(ms) };

export type LaneOutcome<T> =
  | { readonly ok: true; readonly result: T }
  /** `afterSeconds`: when it is worth asking again. */
  | { readonly ok: false; readonly why: 'full'; readonly afterSeconds: number }
  | { readonly ok: false; readonly why: 'too-long' | 'too-large' | 'gone' };

export class Lane<Work, Result> {
  private readonly pool: Piscina<Work, Result>;
  private readonly waiting: (() => void)[] = [];
  private running = 0;
  /** What one piece takes on average of late, milliseconds. */
  private meanMs = 100;
  private readonly clock: Clock;

  constructor(private readonly settings: LaneSettings) {
    const { filename, threads, mostMb, nice, clock } = settings;
    this.clock = clock ?? WALL_CLOCK;
    this.pool = new Piscina({
      filename,
      minThreads: 0,
      maxThreads: threads,
      idleTimeout: 60_000,
      niceIncrement: nice ?? 0,
      resourceLimits: { maxOldGenerationSizeMb: mostMb }
    });
  }

  /** `gone`: aborted when nobody waits for the answer any more. */
  async run(work: Work, gone: AbortSignal): Promise<LaneOutcome<Result>> {
    const { threads, mostWaiting, mostWaitMs } = this.settings;
    if (gone.aborted) return { ok: false, why: 'gone' };
    if (this.running < threads) this.running += 1;
    else if (this.waiting.length >= mostWaiting || this.waitMs() > mostWaitMs) return this.full();
    else if (!(await this.turn(AbortSignal.any([gone, this.clock.after(mostWaitMs)]))))
      return gone.aborted ? { ok: false, why: 'gone' } : this.full();
    try {
      return await this.begin(work, gone);
    } finally {
      const next = this.waiting.shift();
      // The place of this piece goes to the next, so that nobody slips in between.
      if (next) next();
      else this.running -= 1;
    }
  }

  /** Ends all threads; what waits is told so. */
  async end(): Promise<void> {
    await this.pool.destroy();
  }

  private full(): LaneOutcome<Result> {
    return { ok: false, why: 'full', afterSeconds: Math.max(1, Math.ceil(this.waitMs() / 1000)) };
  }

  /** Until a piece that is asked for now would have its turn, by what pieces took of late. */
  private waitMs(): number {
    return ((this.waiting.length + 1) * this.meanMs) / this.settings.threads;
  }

  /** Waits for a place; false where it was given up before there was one. */
  private turn(givenUp: AbortSignal): Promise<boolean> {
    return new Promise((resolve) => {
      const leave = () => {
        this.waiting.splice(this.waiting.indexOf(next), 1);
        resolve(false);
      };
      const next = () => {
        givenUp.removeEventListener('abort', leave);
        resolve(true);
      };
      this.waiting.push(next);
      givenUp.addEventListener('abort', leave, { once: true });
    });
  }

  private async begin(work: Work, gone: AbortSignal): Promise<LaneOutcome<Result>> {
    const { mostMs } = this.settings;
    const over = this.clock.after(mostMs);
    const begun = this.clock.now();
    try {
      const result = await this.pool.run(work, { signal: AbortSignal.any([gone, over]) });
      return { ok: true, result };
    } catch (error) {
      if (over.aborted) return { ok: false, why: 'too-long' };
      if (gone.aborted) return { ok: false, why: 'gone' };
      if (isOutOfMemory(error)) return { ok: false, why: 'too-large' };
      throw error;
    } finally {
      this.meanMs += (this.clock.now() - begun - this.meanMs) / 8;
    }
  }
}

/** The same work in the first of two lanes, and in the other where the limits of the first were too small for it. */
export async function inEither<Work, Result>(
  [first, other]: readonly [Lane<Work, Result>, Lane<Work, Result>],
  work: Work,
  gone: AbortSignal
): Promise<LaneOutcome<Result>> {
  const outcome = await first.run(work, gone);
  const limited = !outcome.ok && (outcome.why === 'too-long' || outcome.why === 'too-large');
  return limited ? other.run(work, gone) : outcome;
}

function isOutOfMemory(error: unknown): boolean {
  return error instanceof Error && 'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY';
}
