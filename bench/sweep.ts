/**
 * `npm run sweep`: houses with a thermostat, drawn in blocks of neighbours from the whole (or all of it), odd houses with the truth behind
 * their record, and records that know one thing less, planned by every method and checked in threads; each violation of the first two with a
 * job file. A situation is a house, a thermostat and a method. `--shard 3/64` does one part of it; `--merge` adds up what the parts printed.
 */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { writeJob } from '$core/formats/job-json';
import { HOUSES } from '$core/houses/houses';
import { MAINS_SKETCHES, mainsHouse, type MainsHouse } from '$core/houses/mains-houses';
import { METHODS } from '$core/supply/methods/registry';
import { BLOCK, SITUATIONS, situationOf } from '$core/houses/situations';
import { trueHouse } from '$core/houses/true-houses';
import { CATALOGUE } from '$core/match/catalogue';
import { rememberingProver } from '$core/proof/proof-memory';
import { walkLessKnown, type LessKnownWalk } from '$core/scenarios/less-known';
import { walkMainsLessKnown } from '$core/scenarios/mains-less-known';
import { mainsCases, mainsViolations } from '$core/scenarios/mains-sweep';
import { checkOddHouse, type OddViolation } from '$core/scenarios/odd-check';
import { checkSituation, sweepMemory, type Violation } from '$core/scenarios/sweep';

interface Share {
  readonly seed: number;
  /** Houses with a thermostat, of all shards and threads. */
  readonly count: number;
  /** Odd houses with a thermostat, of all shards and threads. */
  readonly odd: number;
  /** Houses with mains controls, of all shards and threads; all there are where that is fewer. */
  readonly mains: number;
  /** Records of which each fact is taken away, of all shards and threads. */
  readonly less: number;
  /** Which of so many parts this thread does. */
  readonly part: number;
  readonly parts: number;
}

interface Report {
  readonly done: number;
  readonly odd: number;
  readonly options: number;
  readonly offered: number;
  readonly cases: number;
  readonly compared: number;
  readonly violations: readonly Violation[];
  readonly oddViolations: readonly OddViolation[];
  /** Cases of mains controls: a house, an oddity, a controller. */
  readonly mains: number;
  readonly mainsViolations: readonly string[];
  /** Records that knew one thing less, of either kind of controls. */
  readonly less: number;
  readonly bolder: readonly string[];
}

const NOTHING: Report = {
  done: 0,
  odd: 0,
  options: 0,
  offered: 0,
  cases: 0,
  compared: 0,
  violations: [],
  oddViolations: [],
  mains: 0,
  mainsViolations: [],
  less: 0,
  bolder: []
};

function sum(a: Report, b: Partial<Report>): Report {
  const of = (key: 'done' | 'odd' | 'options' | 'offered' | 'cases' | 'compared' | 'mains' | 'less') =>
    a[key] + (b[key] ?? 0);
  return {
    done: of('done'),
    odd: of('odd'),
    options: of('options'),
    offered: of('offered'),
    cases: of('cases'),
    compared: of('compared'),
    violations: [...a.violations, ...(b.violations ?? [])],
    oddViolations: [...a.oddViolations, ...(b.oddViolations ?? [])],
    mains: of('mains'),
    mainsViolations: [...a.mainsViolations, ...(b.mainsViolations ?? [])],
    less: of('less'),
    bolder: [...a.bolder, ...(b.bolder ?? [])]
  };
}

const REPORT_EVERY = 200;
/** A prime. */
const STRIDE = 8191;
/** One house in so many is an odd one. */
const ODD_SHARE = 20;
/** One case of mains controls for so many houses with a thermostat. */
const MAINS_SHARE = 4;
/** One record of which each fact is taken away for so many situations. */
const LESS_SHARE = 20_000;
const EVERY_FACT = { step: 1, from: 0 };

if (!isMainThread) work(workerData as Share);

/** Each part takes every so-manieth block: the same seed walks the same situations on any number of threads and shards. */
function work(share: Share): void {
  let report = NOTHING;
  const tell = (more: Partial<Report>, least = REPORT_EVERY) => {
    report = sum(report, more);
    if (report.done + report.odd + report.mains + report.less < least) return;
    parentPort?.postMessage(report);
    report = NOTHING;
  };
  walkBlocks(share, tell);
  walkOddHouses(share, tell);
  walkMains(share, tell);
  walkLess(share, tell);
  tell({}, 0);
}

type Tell = (more: Partial<Report>) => void;

function walkBlocks({ seed, count, part, parts }: Share, tell: Tell): void {
  const all = SITUATIONS / BLOCK;
  const blocks = Math.ceil(Math.min(count, SITUATIONS) / BLOCK);
  for (let draw = 0; draw < blocks; draw += 1) {
    // A stride that shares no factor with the number of blocks: spread over the whole, and none comes twice.
    const block = (seed + draw * STRIDE) % all;
    if (draw % parts !== part) continue;
    const memory = sweepMemory();
    for (let at = 0; at < BLOCK; at += 1) tell({ done: 1, ...checkSituation(block * BLOCK + at, memory) });
  }
}

function walkOddHouses({ seed, odd, part, parts }: Share, tell: Tell): void {
  for (let draw = part; draw < odd; draw += parts) {
    const number = seed * 1_000_003 + Math.floor(draw / CATALOGUE.length);
    const device = CATALOGUE[draw % CATALOGUE.length]!;
    const { options, offered, violations } = checkOddHouse(number, device.id, rememberingProver(50));
    tell({ odd: 1, options, offered, oddViolations: violations });
  }
}

/** Spread over all cases: every so-manieth, and all of them where as many are asked for as there are. */
function walkMains({ seed, mains, part, parts }: Share, tell: Tell): void {
  const all = [...mainsCases()];
  const step = Math.max(1, Math.floor(all.length / Math.max(1, mains)));
  for (let draw = part; draw * step < all.length && draw < mains; draw += parts) {
    const mainsCase = all[(draw * step + (step > 1 ? seed : 0)) % all.length];
    if (!mainsCase) continue;
    tell({ mains: 1, mainsViolations: mainsViolations(mainsCase).map((what) => `${mainsCase.id}: ${what}`) });
  }
}

/** The houses of the trade with controls of either kind, in a mixed order, and then odd ones by their number. */
function recordAt(draw: number, seed: number): readonly [string, () => LessKnownWalk] {
  const houses = Object.entries(HOUSES);
  const all = [...houses.map(([name]) => name), ...(Object.keys(MAINS_SKETCHES) as MainsHouse[])];
  if (draw >= all.length) {
    const number = seed * 1_000_003 + draw;
    // With another thermostat each time: what one needs, another has no use for.
    const { id } = CATALOGUE[number % CATALOGUE.length]!;
    return [`odd house ${number} (${id})`, () => walkLessKnown(trueHouse(number).record, EVERY_FACT, id)];
  }
  const at = (seed + draw * STRIDE) % all.length;
  const [name, make] = houses[at] ?? [];
  if (name && make) return [name, () => walkLessKnown(make(), EVERY_FACT)];
  const strip = all[at] as MainsHouse;
  return [strip, () => walkMainsLessKnown(mainsHouse(strip), EVERY_FACT)];
}

function walkLess({ seed, less, part, parts }: Share, tell: Tell): void {
  for (let draw = part; draw < less; draw += parts) {
    const [name, walk] = recordAt(draw, seed);
    const { facts, bold } = walk();
    tell({ less: facts, bolder: bold.map((what) => `${name}: ${what}`) });
  }
}

interface Asked {
  readonly count: number;
  readonly seed: number;
  readonly threads: number;
  readonly shard: number;
  readonly shards: number;
  /** Cases of mains controls, of all shards; one for so many houses where nothing is said. */
  readonly mains: number;
  /** Records of which each fact is taken away, of all shards; one for so many situations where nothing is said. */
  readonly less: number;
}

/** Null for words that make no sense. */
function read(words: readonly string[]): Asked | null {
  const after = (name: string) => {
    const at = words.indexOf(`--${name}`);
    return at < 0 ? undefined : words[at + 1];
  };
  const whole = (name: string, otherwise: number) => Number(after(name) ?? otherwise);
  const [shard, shards] = (after('shard') ?? '1/1').split('/').map(Number);
  const count = whole('count', 1_000_000);
  const asked = {
    count,
    mains: whole('mains', Math.ceil(count / METHODS.length / MAINS_SHARE)),
    less: whole('less', Math.ceil(count / LESS_SHARE)),
    seed: whole('seed', 1),
    threads: whole('threads', 2),
    shard: shard ?? 0,
    shards: shards ?? 0
  };
  const sound = Object.values(asked).every((candidate) => Number.isInteger(candidate) && candidate > 0);
  return sound && asked.shard <= asked.shards ? asked : null;
}

export async function main(words: readonly string[]): Promise<number> {
  const merging = words.indexOf('--merge');
  if (merging >= 0) return merge(words.slice(merging + 1));
  const asked = read(words);
  if (!asked) {
    console.error(
      'sweep [--count SITUATIONS] [--seed N] [--threads N] [--shard K/N] [--mains CASES] [--less RECORDS], whole numbers from 1; or sweep --merge FILE…'
    );
    return 2;
  }
  const start = performance.now();
  const total = await inThreads(asked);
  const seconds = (performance.now() - start) / 1000;
  const { seed, threads, shard, shards } = asked;
  console.log(
    `${pageOf(total)}; ${seconds.toFixed(0)} s on ${threads} threads, ${(situationsIn(total) / seconds).toFixed(0)} situations a second (seed ${seed}, shard ${shard}/${shards})`
  );
  console.log(`${RESULT}${JSON.stringify({ ...total, seconds })}`);
  tell(total);
  return violationsIn(total) > 0 ? 1 : 0;
}

async function inThreads({ count, seed, threads, shard, shards, mains, less }: Asked): Promise<Report> {
  let total = NOTHING;
  const plans = Math.ceil(count / METHODS.length);
  const odd = Math.ceil(plans / ODD_SHARE);
  await Promise.all(
    Array.from({ length: threads }, (_, thread) => {
      const part = (shard - 1) * threads + thread;
      const share: Share = { seed, count: plans - odd, odd, mains, less, part, parts: shards * threads };
      const worker = new Worker(new URL(import.meta.url), { workerData: share });
      return new Promise<void>((resolve, reject) => {
        worker.on('message', (report: Report) => (total = sum(total, report)));
        worker.once('error', reject);
        worker.once('exit', () => resolve());
      });
    })
  );
  return total;
}

/** What stands before the line that `--merge` reads. */
const RESULT = 'result ';

/** Adds up the lines that shards have printed. */
function merge(files: readonly string[]): number {
  if (files.length === 0) {
    console.error('sweep --merge FILE…: the files that the output of the shards went to');
    return 2;
  }
  const lines = files.flatMap((file) =>
    readFileSync(file, 'utf8')
      .split('\n')
      .filter((line) => line.startsWith(RESULT))
  );
  const reports = lines.map((line) => JSON.parse(line.slice(RESULT.length)) as Report & { seconds: number });
  const total = reports.reduce<Report>(sum, NOTHING);
  const seconds = reports.reduce((all, report) => all + report.seconds, 0);
  console.log(`${pageOf(total)}; ${reports.length} shards, ${seconds.toFixed(0)} s of them in all`);
  tell(total);
  return violationsIn(total) > 0 || reports.length < files.length ? 1 : 0;
}

function situationsIn({ done, odd }: Report): number {
  return (done + odd) * METHODS.length;
}

function violationsIn({ violations, oddViolations, mainsViolations: mains, bolder }: Report): number {
  return violations.length + oddViolations.length + mains.length + bolder.length;
}

function pageOf(total: Report): string {
  return [
    `${situationsIn(total)} situations: ${total.done} of ${SITUATIONS} houses with a thermostat and ${total.odd} odd houses with one, ${METHODS.length} methods each, ${total.options} ways with their variants`,
    `${total.offered} on offer and checked, ${total.cases} calls powered up in every case of polarity and bonding, ${total.compared} of them compared with the second checker`,
    `${total.mains} cases of mains controls: a house, one oddity, a controller; every way on offer done and solved in every state`,
    `${total.less} records that know one thing less, none of which may make a way bolder`,
    `${violationsIn(total)} violations`
  ].join('\n');
}

function tell({ violations, oddViolations, mainsViolations: mains, bolder }: Report): void {
  for (const violation of [...mains, ...bolder].slice(0, 200)) console.log(violation);
  if (violations.length + oddViolations.length === 0) return;
  mkdirSync('dist/sweep', { recursive: true });
  for (const { situation, option, what } of violations.slice(0, 200)) {
    const { house, device } = situationOf(situation);
    const file = `dist/sweep/situation-${situation}.json`;
    writeFileSync(file, writeJob(house.job));
    console.log(`${file} --model ${device.id}, ${option}: ${what}`);
  }
  for (const { house, device, option, what } of oddViolations.slice(0, 200)) {
    const { record, oddities } = trueHouse(house);
    const file = `dist/sweep/odd-${house}.json`;
    writeFileSync(file, writeJob(record.job));
    console.log(`${file} --model ${device}, ${option}: ${what} (${oddities.join('; ')})`);
  }
}
