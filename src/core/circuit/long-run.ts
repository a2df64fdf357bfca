/** Work that takes long, in steps: whoever runs it decides when to look up, tell how far it is, or stop. */
export interface LongRun<T> {
  /** Steps in all. */
  readonly total: number;
  /** Steps done so far. */
  done(): number;
  /** Does up to so many steps more. */
  advance(steps: number): void;
  /** What the steps done so far give. */
  result(): T;
}

/** Does all of it at once. */
export function finish<T>(run: LongRun<T>): T {
  run.advance(run.total);
  return run.result();
}

/** Work that is short enough for one step; it is made when that is taken, and once. */
export function oneStep<T extends object>(make: () => T): LongRun<T> {
  let made: T | null = null;
  const run = () => (made ??= make());
  return { total: 1, done: () => (made === null ? 0 : 1), advance: () => void run(), result: run };
}
