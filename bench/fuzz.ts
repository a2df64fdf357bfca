/**
 * `npm run fuzz -- --count 20000 --seed 1`: so many broken files of each kind, in threads. Every one is taken or refused with a place, within
 * two seconds, and no figure that comes out of one that was taken is none. What is wrong is printed with the number that makes it again.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { demoFiles } from '$demo/jobs';
import { fuzzMany, type FuzzTally } from '$core/scenarios/fuzz/fuzz';
import { FUZZ_KINDS, type FuzzKind, type FuzzMeans } from '$core/scenarios/fuzz/kinds';

const MOST_MS = 2000;
const AT_ONCE = 100;
/** One job in so many is planned as well. */
const PLANNED = 5;

interface Share {
  readonly seed: number;
  readonly count: number;
  readonly part: number;
  readonly parts: number;
}

type Told = { readonly kind: FuzzKind } & FuzzTally;

if (!isMainThread) work(workerData as Share);

function meansOf(plans: boolean): FuzzMeans {
  const folder = 'src/core/formats/fixtures/v1';
  const old = readdirSync(folder)
    .filter((name) => name.endsWith('.json') && !name.startsWith('expected'))
    .map((name) => JSON.parse(readFileSync(`${folder}/${name}`, 'utf8')) as unknown);
  return { jobs: [...demoFiles().map(({ job }) => job), ...old], plans };
}

function work({ seed, count, part, parts }: Share): void {
  const [plain, planned] = [meansOf(false), meansOf(true)];
  for (const kind of FUZZ_KINDS)
    for (let block = part; block * AT_ONCE < count; block += parts) {
      const from = block * AT_ONCE;
      const range = { seed, from, count: Math.min(AT_ONCE, count - from) };
      const means = block % PLANNED === 0 ? planned : plain;
      parentPort?.postMessage({ kind, ...fuzzMany(kind, range, means, () => performance.now()) });
    }
}

function numberAfter(words: readonly string[], name: string, usual: number): number {
  const at = words.indexOf(`--${name}`);
  const value = at < 0 ? usual : Number(words[at + 1]);
  if (!Number.isInteger(value) || value < 1) throw new Error(`--${name} needs a whole number, at least 1`);
  return value;
}

/** Returns the exit code. */
export async function main(words: readonly string[]): Promise<number> {
  const [count, seed] = [numberAfter(words, 'count', 2000), numberAfter(words, 'seed', 1)];
  const parts = availableParallelism();
  const sums = new Map(FUZZ_KINDS.map((kind) => [kind, { taken: 0, refused: 0, wrongs: 0, ms: 0 }]));
  let failed = 0;
  const began = performance.now();
  const hear = ({ kind, taken, refused, wrongs, slowest }: Told) => {
    const sum = sums.get(kind)!;
    const late =
      slowest.ms > MOST_MS ? [{ file: slowest.file, what: `took ${slowest.ms.toFixed(0)} ms` }] : [];
    sum.taken += taken;
    sum.refused += refused;
    sum.ms = Math.max(sum.ms, slowest.ms);
    for (const { file, what } of [...wrongs, ...late]) {
      failed += 1;
      if ((sum.wrongs += 1) <= 5) console.log(`${kind}, seed ${seed}, file ${file}: ${what}`);
    }
  };
  await Promise.all(
    Array.from({ length: parts }, (_, part) => {
      const thread = new Worker(new URL(import.meta.url), { workerData: { seed, count, part, parts } });
      thread.on('message', hear);
      return new Promise<void>((done, fail) => {
        thread.on('error', fail);
        thread.on('exit', () => done());
      });
    })
  );
  for (const [kind, { taken, refused, wrongs, ms }] of sums)
    console.log(
      `${kind}: ${count} broken, ${taken} taken, ${refused} refused with a place, ${wrongs} wrong; the slowest ${ms.toFixed(0)} ms`
    );
  console.log(`${((performance.now() - began) / 1000).toFixed(0)} s on ${parts} threads, seed ${seed}`);
  return failed === 0 ? 0 : 1;
}
