/**
 * `npm run flood`: what a crowd does to the built server, on the loopback. Prints what `docs/reliability.md` says; fails where the server
 * does not hold what is promised there.
 */
import { readFileSync } from 'node:fs';
import { connect } from 'node:net';
import { demoJob, largeJob } from './large-job.mjs';
import { ensureBuild, freePort, startServer } from './serve.mjs';

const HEAVY = 64;
const SLOW = 100;

const wait = (ms) => new Promise((done) => setTimeout(done, ms));

function quantile(times, share) {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))];
}

/** Milliseconds from asking to the last byte, with the status and the headers. */
async function timed(url, init) {
  const start = performance.now();
  const answer = await fetch(url, init);
  const text = await answer.text();
  return {
    ms: performance.now() - start,
    status: answer.status,
    headers: answer.headers,
    bytes: text.length
  };
}

const posted = (body, more = {}) => ({
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
  ...more
});

const residentMb = (pid) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

const checks = [];
function check(what, holds) {
  checks.push(holds);
  console.log(`${holds ? 'ok    ' : 'FAILED'}  ${what}`);
}

/** Heavy requests all at once; meanwhile the catalogue and a good small plan are asked for again and again. */
async function crowd(origin, job, pid) {
  await timed(`${origin}/api/plan`, posted(job));
  const alone = [];
  for (let at = 0; at < 20; at += 1) alone.push((await timed(`${origin}/api/plan`, posted(job))).ms);
  const large = { job: largeJob(job, { wires: 100, apart: true }), thermostat: 'th-0', draws: 20_000 };
  let running = true;
  const heavy = Promise.all(
    Array.from({ length: HEAVY }, () => timed(`${origin}/api/simulate`, posted(large)))
  ).finally(() => (running = false));
  const [catalogue, small] = [[], []];
  let mostMb = 0;
  const look = async () => {
    while (running) {
      catalogue.push((await timed(`${origin}/api/catalogue`)).ms);
      mostMb = Math.max(mostMb, residentMb(pid));
      await wait(20);
    }
  };
  const plan = async () => {
    while (running) {
      small.push(await timed(`${origin}/api/plan`, posted(job)));
      await wait(50);
    }
  };
  const began = performance.now();
  const [answers] = await Promise.all([heavy, look(), plan()]);
  const seconds = ((performance.now() - began) / 1000).toFixed(1);
  const smallMs = small.map(({ ms }) => ms);
  const count = (status) => answers.filter((answer) => answer.status === status).length;
  console.log(`a small plan alone: median ${quantile(alone, 0.5).toFixed(0)} ms`);
  console.log(
    `${HEAVY} simulations of 20,000 draws in jobs of ${(JSON.stringify(large).length / 1e6).toFixed(1)} MB: ` +
      `${count(200)} answered, ${count(503)} told to come back, in ${seconds} s; at most ${mostMb.toFixed(0)} MB`
  );
  check(
    `the catalogue meanwhile: median ${quantile(catalogue, 0.5).toFixed(0)} ms, 95th percentile ` +
      `${quantile(catalogue, 0.95).toFixed(0)} ms, ${catalogue.length} times (at most 50 ms)`,
    quantile(catalogue, 0.95) <= 50
  );
  check(
    `a small plan meanwhile: median ${quantile(smallMs, 0.5).toFixed(0)} ms, 95th percentile ` +
      `${quantile(smallMs, 0.95).toFixed(0)} ms, ${smallMs.length} times (at most 1 s)`,
    small.every(({ status }) => status === 200) && quantile(smallMs, 0.95) <= 1000
  );
}

/** More than may wait: who is turned away is told when to come back. */
async function tooMany(origin, job) {
  const asked = posted({
    job: largeJob(job, { wires: 100, apart: true }),
    thermostat: 'th-0',
    draws: 20_000
  });
  const stop = new AbortController();
  const answers = Array.from({ length: 140 }, () =>
    timed(`${origin}/api/simulate`, { ...asked, signal: stop.signal }).catch(() => null)
  );
  const first = await Promise.race([
    ...answers.map(async (answer) => {
      const got = await answer;
      return got?.status === 503 ? got : new Promise(() => undefined);
    }),
    wait(20_000).then(() => null)
  ]);
  check(
    `with ${answers.length} at once, who is too many hears it after ${first?.ms.toFixed(0) ?? '-'} ms: come back in ${first?.headers.get('retry-after') ?? '-'} s`,
    first !== null && Number(first.headers.get('retry-after')) > 1
  );
  // Everybody leaves: what they asked for is dropped, and the next is served at once.
  stop.abort();
  await Promise.all(answers);
  const next = await timed(
    `${origin}/api/simulate`,
    posted({ job: largeJob(job, { wires: 1, apart: true }), thermostat: 'th-0' })
  );
  check(
    `once they have gone, a large job is answered after ${next.ms.toFixed(0)} ms`,
    next.status === 200 && next.ms < 5000
  );
}

/** Bodies that trickle in: they hold a connection and nothing else, until they are cut off. */
async function slowBodies(origin, job) {
  const { port } = new URL(origin);
  const began = performance.now();
  const cut = Array.from(
    { length: SLOW },
    () =>
      new Promise((done) => {
        const socket = connect(Number(port), '127.0.0.1');
        let answer = '';
        socket.on('data', (chunk) => (answer += chunk));
        socket.on('error', () => undefined);
        socket.on('close', () => done({ ms: performance.now() - began, answer }));
        socket.write(
          'POST /api/plan HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 5000\r\n\r\n{'
        );
      })
  );
  await wait(500);
  const meanwhile = await timed(`${origin}/api/plan`, posted(job));
  check(
    `with ${SLOW} bodies trickling in, a plan takes ${meanwhile.ms.toFixed(0)} ms`,
    meanwhile.status === 200 && meanwhile.ms < 1000
  );
  const ended = await Promise.all(cut);
  const last = Math.max(...ended.map(({ ms }) => ms));
  check(
    `all ${SLOW} are cut off, the last after ${(last / 1000).toFixed(1)} s`,
    last < 25_000 && ended.every(({ answer }) => answer.startsWith('HTTP/1.1 408'))
  );
}

/** Bodies that are wrong by the hundred thousand. */
async function wrong(origin, job) {
  for (const [name, body] of [
    [
      '300,000 thermostats that are none',
      { ...job, thermostats: Array.from({ length: 300_000 }, () => ({})) }
    ],
    ['a list 50,000 deep', `${'['.repeat(50_000)}${']'.repeat(50_000)}`],
    [
      '800 conductors that are none in each of 160 thermostats',
      {
        ...job,
        thermostats: Array.from({ length: 160 }, () => ({ conductors: Array.from({ length: 800 }, () => 7) }))
      }
    ]
  ]) {
    const sent = typeof body === 'string' ? { ...posted({}), body } : posted(body);
    const answer = await timed(`${origin}/api/plan`, sent);
    check(
      `${name}: refused with ${answer.status} after ${answer.ms.toFixed(0)} ms, in ${answer.bytes} bytes`,
      answer.status >= 400 && answer.status < 500 && answer.ms < 2000 && answer.bytes < 100_000
    );
  }
}

ensureBuild();
const job = demoJob('classroom');
const { origin, server } = await startServer(await freePort(4207));
try {
  await crowd(origin, job, server.pid);
  await tooMany(origin, job);
  await wrong(origin, job);
  await slowBodies(origin, job);
  console.log(`memory afterwards: ${residentMb(server.pid).toFixed(0)} MB`);
} finally {
  server.kill();
}
process.exitCode = checks.every(Boolean) ? 0 : 1;
