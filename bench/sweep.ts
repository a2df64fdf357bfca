/** `npm run sweep`: situations drawn from the whole (or all of it), planned and checked in threads; every violation with a job file. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { writeJob } from '$core/formats/job-json';
import { SITUATIONS, situationOf } from '$core/scenarios/situations';
import { checkSituation, type Violation } from '$core/scenarios/sweep';
import { chanceFrom } from '$core/trade/random';

interface Share {
  readonly seed: number;
  readonly count: number;
  readonly thread: number;
  readonly threads: number;
}

interface Report {
  readonly done: number;
  readonly options: number;
  readonly offered: number;
  readonly compared: number;
  readonly violations: readonly Violation[];
}

const REPORT_EVERY = 200;

if (!isMainThread) work(workerData as Share);

/** Draws are numbered, and each thread takes every so-manieth: the same seed walks the same situations on any number of threads. */
function work({ seed, count, thread, threads }: Share): void {
  const chance = chanceFrom(seed);
  const whole = count >= SITUATIONS;
  let sum = { done: 0, options: 0, offered: 0, compared: 0, violations: [] as Violation[] };
  const send = () => {
    parentPort?.postMessage(sum satisfies Report);
    sum = { done: 0, options: 0, offered: 0, compared: 0, violations: [] };
  };
  for (let draw = 0; draw < Math.min(count, SITUATIONS); draw += 1) {
    const number = whole ? draw : Math.floor(chance.next() * SITUATIONS);
    if (draw % threads !== thread) continue;
    const checked = checkSituation(number);
    sum.done += 1;
    sum.options += checked.options;
    sum.offered += checked.offered;
    sum.compared += checked.compared;
    sum.violations.push(...checked.violations);
    if (sum.done >= REPORT_EVERY) send();
  }
  send();
}

export async function main(words: readonly string[]): Promise<number> {
  const option = (name: string, otherwise: number) => {
    const at = words.indexOf(`--${name}`);
    return at < 0 ? otherwise : Number(words[at + 1]);
  };
  const [count, seed, threads] = [option('count', 20_000), option('seed', 1), option('threads', 2)];
  if (![count, seed, threads].every((one) => Number.isInteger(one) && one > 0)) {
    console.error('sweep [--count N] [--seed N] [--threads N], whole numbers from 1');
    return 2;
  }
  const start = performance.now();
  const total = { done: 0, options: 0, offered: 0, compared: 0, violations: [] as Violation[] };
  await Promise.all(
    Array.from({ length: threads }, (_, thread) => {
      const share: Share = { seed, count, thread, threads };
      const worker = new Worker(new URL(import.meta.url), { workerData: share });
      return new Promise<void>((resolve, reject) => {
        worker.on('message', (report: Report) => {
          total.done += report.done;
          total.options += report.options;
          total.offered += report.offered;
          total.compared += report.compared;
          total.violations.push(...report.violations);
        });
        worker.once('error', reject);
        worker.once('exit', () => resolve());
      });
    })
  );
  const seconds = (performance.now() - start) / 1000;
  console.log(
    `${total.done} situations of ${SITUATIONS} (seed ${seed}), ${total.options} options, ${total.offered} of them on offer and checked; ` +
      `${total.compared} calls compared with the second checker; ${total.violations.length} violations; ${seconds.toFixed(0)} s on ${threads} threads, ${(total.done / seconds).toFixed(0)} situations a second`
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
