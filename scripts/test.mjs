/**
 * `npm test`: what has to hold at every commit, and one plain line at the end. `npm test -- --all`, which CI runs, takes the
 * tests tagged as wide as well: the same rules over more houses, sizes and machines, and walks that others walk in part.
 */
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bin, ensureChromium, ensureDependencies, ensureGenerated, root } from './set-up.mjs';

const started = Date.now();
const all = process.argv.includes('--all');
ensureDependencies();
ensureGenerated();
process.env.CHROMIUM = ensureChromium();
const results = mkdtempSync(join(tmpdir(), 'ulterum-test-'));
const unitFile = join(results, 'unit.json');
const e2eFile = join(results, 'e2e.json');

/** Runs a step with its output held back, so that two at once stay readable. */
function step(name, command, args, environment = {}) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: root, env: { ...process.env, ...environment } });
    let output = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (output += chunk));
    child.on('error', (error) => done({ name, ok: false, output: String(error) }));
    child.on('close', (code) => {
      const seconds = ((Date.now() - started) / 1000).toFixed(0);
      console.log(`${code === 0 ? 'ok    ' : 'FAILED'}  ${name}  (at ${seconds} s)`);
      if (code !== 0) console.log(output);
      done({ name, ok: code === 0, output });
    });
  });
}

/** A file that has not changed is not looked through again; a clean clone, as CI has, looks through all. */
const kept = (tool) => [
  '--cache',
  '--cache-strategy',
  'content',
  '--cache-location',
  `node_modules/.cache/ulterum/${tool}`
];

async function inTurn(...steps) {
  const done = [];
  for (const begin of steps) done.push(await begin());
  return done;
}

const checks = (
  await Promise.all([
    inTurn(
      () =>
        step('lint, with the directions of imports', bin('eslint'), [
          '.',
          '--max-warnings',
          '0',
          ...kept('eslint')
        ]),
      () => step('format', bin('prettier'), ['--check', '.', ...kept('prettier')]),
      () => step('dead code', bin('knip'), []),
      // Beside the unit tests, so that the browser tests find it ready.
      () => step('build', process.execPath, ['scripts/build-once.mjs'])
    ),
    inTurn(
      () =>
        step('types', bin('svelte-check'), [
          '--tsconfig',
          './tsconfig.json',
          '--fail-on-warnings',
          '--incremental'
        ]),
      () => step('types of the service worker', bin('tsc'), ['-p', 'tsconfig.worker.json']),
      () =>
        step('unit tests', bin('vitest'), [
          'run',
          '--reporter=default',
          '--reporter=json',
          `--outputFile.json=${unitFile}`,
          ...(all ? [] : ['--tags-filter=!wide'])
        ])
    )
  ])
).flat();
checks.push(
  await step(
    'end-to-end tests',
    process.execPath,
    ['scripts/e2e.mjs', ...(all ? [] : ['--grep-invert', '@wide'])],
    { E2E_JSON: e2eFile }
  )
);

function read(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return null;
  }
}

/** Titles of the browser tests that passed only when they were run again. */
function secondTries(suites) {
  return suites.flatMap(({ specs = [], suites: inner = [] }) => [
    ...specs
      .filter(({ tests }) => tests.some(({ status }) => status === 'flaky'))
      .map(({ file, title }) => `${file}: ${title}`),
    ...secondTries(inner)
  ]);
}

const unit = read(unitFile);
const e2e = read(e2eFile);
const plain = checks.filter((check) => !check.name.endsWith('tests'));
const passed =
  plain.filter((check) => check.ok).length +
  (unit?.numPassedTests ?? 0) +
  (e2e?.stats.expected ?? 0) +
  (e2e?.stats.flaky ?? 0);
let failed =
  plain.filter((check) => !check.ok).length + (unit?.numFailedTests ?? 0) + (e2e?.stats.unexpected ?? 0);
// A runner that broke before it could count is a failure too.
if (failed === 0) failed = checks.filter((check) => !check.ok).length;
for (const name of e2e ? secondTries(e2e.suites) : []) console.log(`needed a second try: ${name}`);
if (!all) console.log('The wide tests were left out: npm test -- --all takes them as well, as CI does.');
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 && checks.every((check) => check.ok) ? 0 : 1;
