/**
 * `npm run sweep`: houses with a thermostat, drawn in blocks of neighbours from the whole (or all of it), planned by every method and checked
 * in threads; every violation with a job file. A situation is a house, a thermostat and a method.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { writeJob } from '$core/formats/job-json';
import { METHODS } from '$core/supply/methods/registry';
import { BLOCK, SITUATIONS, situationOf } from '$core/houses/situations';
import { checkSituation, sweepMemory, type Violation } from '$core/scenarios/sweep';

interface Share {
  readonly seed: number;
  /** Houses with a thermostat. */
  readonly count: number;
  readonly thread: number;
  readonly threads: number;
}

interface Report {
  readonly done: number;
  readonly options: number;
  readonly offered: number;
  readonly cases: number;
  readonly compared: number;
  readonly violations: readonly Violation[];
}

const NOTHING: Report = { done: 0, options: 0, offered: 0, cases: 0, compared: 0, violations: [] };

function sum(a: Report, b: Report): Report {
  return {
    done: a.done + b.done,
    options: a.options + b.options,
    offered: a.offered + b.offered,
    cases: a.cases + b.cases,
    compared: a.compared + b.compared,
    violations: [...a.violations, ...b.violations]
  };
}

const REPORT_EVERY = 200;
/** A prime. */
const STRIDE = 8191;

if (!isMainThread) work(workerData as Share);

/** Each thread takes every so-manieth block: the same seed walks the same situations on any number of threads. */
function work({ seed, count, thread, threads }: Share): void {
  const all = SITUATIONS / BLOCK;
  let report = NOTHING;
  const send = () => {
    parentPort?.postMessage(report);
    report = NOTHING;
  };
  const blocks = Math.ceil(Math.min(count, SITUATIONS) / BLOCK);
  for (let draw = 0; draw < blocks; draw += 1) {
    // A stride that shares no factor with the number of blocks: spread over the whole, and none comes twice.
    const block = (seed + draw * STRIDE) % all;
    if (draw % threads !== thread) continue;
    const memory = sweepMemory();
    for (let at = 0; at < BLOCK; at += 1) {
      const checked = checkSituation(block * BLOCK + at, memory);
      report = sum(report, { done: 1, ...checked });
      if (report.done >= REPORT_EVERY) send();
    }
  }
  send();
}

export async function main(words: readonly string[]): Promise<number> {
  const option = (name: string, otherwise: number) => {
    const at = words.indexOf(`--${name}`);
    return at < 0 ? otherwise : Number(words[at + 1]);
  };
  const [count, seed, threads] = [option('count', 1_000_000), option('seed', 1), option('threads', 2)];
  if (![count, seed, threads].every((one) => Number.isInteger(one) && one > 0)) {
    console.error('sweep [--count SITUATIONS] [--seed N] [--threads N], whole numbers from 1');
    return 2;
  }
  const start = performance.now();
  let total = NOTHING;
  await Promise.all(
    Array.from({ length: threads }, (_, thread) => {
      const share: Share = { seed, count: Math.ceil(count / METHODS.length), thread, threads };
      const worker = new Worker(new URL(import.meta.url), { workerData: share });
      return new Promise<void>((resolve, reject) => {
        worker.on('message', (report: Report) => (total = sum(total, report)));
        worker.once('error', reject);
        worker.once('exit', () => resolve());
      });
    })
  );
  const seconds = (performance.now() - start) / 1000;
  const situations = total.done * METHODS.length;
  console.log(
    `${situations} situations: ${total.done} of ${SITUATIONS} houses with a thermostat (seed ${seed}), ${METHODS.length} methods each, ${total.options} ways with their variants\n` +
      `${total.offered} on offer and checked, ${total.cases} calls powered up in every case of polarity and bonding, ${total.compared} of them compared with the second checker\n` +
      `${total.violations.length} violations; ${seconds.toFixed(0)} s on ${threads} threads, ${(situations / seconds).toFixed(0)} situations a second`
  );
  tell(total.violations);
  return total.violations.length === 0 ? 0 : 1;
}

function tell(violations: readonly Violation[]): void {
  if (violations.length === 0) return;
  mkdirSync('dist/sweep', { recursive: true });
  for (const { situation, option, what } of violations.slice(0, 200)) {
    const { house, device } = situationOf(situation);
    const file = `dist/sweep/situation-${situation}.json`;
    writeFileSync(file, writeJob(house.job));
    console.log(`${file} --model ${device.id}, ${option}: ${what}`);
  }
}
