/** What every part of `npm run bench` is. */

export interface Options {
  /** File that a part with a plot writes it to; null for none. */
  readonly plot: string | null;
}

export interface Part {
  readonly name: string;
  /** Measures, and gives lines to print. */
  readonly run: (options: Options) => Promise<string[]> | string[];
}
