/** Many broken files of a kind, one after the other: each is taken or refused with a place, and no figure that comes out is none. */
import { chanceFrom } from '../../trade/random';
import { fuzzOnce, type FuzzKind, type FuzzMeans } from './kinds';

export interface FuzzTally {
  readonly taken: number;
  readonly refused: number;
  /** What should not be, with the number of its file: the same seed and number break the same file. */
  readonly wrongs: readonly { readonly file: number; readonly what: string }[];
  readonly slowest: { readonly file: number; readonly ms: number };
}

/** `now`: milliseconds on a clock that only runs forward. */
export function fuzzMany(
  kind: FuzzKind,
  { seed, from, count }: { readonly seed: number; readonly from: number; readonly count: number },
  means: FuzzMeans,
  now: () => number
): FuzzTally {
  let [taken, refused] = [0, 0];
  const wrongs: { file: number; what: string }[] = [];
  let slowest = { file: -1, ms: 0 };
  for (let file = from; file < from + count; file += 1) {
    const begun = now();
    const wrong = wrongWith(kind, seed, file, means, (ok) => (ok ? (taken += 1) : (refused += 1)));
    const ms = now() - begun;
    if (ms > slowest.ms) slowest = { file, ms };
    if (wrong !== null) wrongs.push({ file, what: wrong });
  }
  return { taken, refused, wrongs, slowest };
}

function wrongWith(
  kind: FuzzKind,
  seed: number,
  file: number,
  means: FuzzMeans,
  count: (ok: boolean) => void
): string | null {
  try {
    const outcome = fuzzOnce(kind, chanceFrom(seed * 1_000_003 + file), means);
    count(outcome.ok);
    if (outcome.ok) {
      const at = noFigure(outcome.worked, 'result');
      return at === null ? null : `${at} is no figure`;
    }
    if (outcome.faults.length === 0) return 'refused without a word';
    const blank = outcome.faults.find(({ path, expected }) => path === '' || expected === '');
    return blank ? `a fault without a place: ${JSON.stringify(blank)}` : null;
  } catch (error) {
    return error instanceof Error ? `thrown: ${error.stack ?? error.message}` : `thrown: ${String(error)}`;
  }
}

/** The path of the first number in a value that is `NaN` or infinite; null where all are figures. */
export function noFigure(value: unknown, path: string): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : path;
  if (typeof value !== 'object' || value === null) return null;
  for (const [key, member] of Object.entries(value)) {
    const found = noFigure(member, `${path}.${key}`);
    if (found !== null) return found;
  }
  return null;
}
