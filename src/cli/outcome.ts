/** How a verb ends: with its result, with a bad file, or with a wrong call. */

export interface Result {
  readonly kind: 'result';
  /** What `--json` prints. */
  readonly json: unknown;
  /** What a person reads. */
  readonly page: string;
}

export interface BadFile {
  readonly kind: 'bad-file';
  readonly faults: readonly { readonly path: string; readonly expected: string; readonly found: string }[];
}

export interface WrongUse {
  readonly kind: 'wrong-use';
  readonly why: string;
}

export type Outcome = Result | BadFile | WrongUse;

export function wrongUse(why: string): WrongUse {
  return { kind: 'wrong-use', why };
}

export const EXIT_CODES: Readonly<Record<Outcome['kind'], number>> = {
  result: 0,
  'bad-file': 1,
  'wrong-use': 2
};
