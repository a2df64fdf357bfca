/**
 * What every command of the project needs before it can run, done only when it is missing:
 * the dependencies of the lock file, SvelteKit's generated files, the browser for the tests.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const stamp = resolve(root, 'node_modules/.ulterum-installed');

/** Runs a command in the project's root and ends the process with its code when it fails. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (result.error) {
    console.error(`${command} could not be started: ${result.error.message}`);
    process.exit(1);
  }
  if (result.status !== 0) process.exit(result.status ?? 1);
}

/** A tool of the project's own node_modules, by the name of its command. */
export function bin(name) {
  return resolve(root, 'node_modules/.bin', name);
}

/** Installs what the lock file says unless exactly that is installed already. */
export function ensureDependencies({ quiet = false } = {}) {
  const lock = readFileSync(resolve(root, 'package-lock.json'), 'utf8');
  const installed =
    existsSync(stamp) && installsTheSame(readFileSync(stamp, 'utf8'), lock) && existsSync(bin('vite'));
  if (!installed) {
    console.error('Installing dependencies (once) …');
    // The output goes to standard error: a command's own standard output may be JSON for a program.
    run('npm', ['ci', '--ignore-scripts', '--loglevel=error'], {
      stdio: ['ignore', quiet ? 'ignore' : 2, 2]
    });
    writeFileSync(stamp, lock);
  }
  if (!existsSync(resolve(root, '.svelte-kit/tsconfig.json'))) ensureGenerated();
}

/** Whether two lock files install the same: the project's own version is no dependency, and a new one throws nothing away. */
export function installsTheSame(before, now) {
  const installed = dependenciesIn(before);
  return installed !== null && installed === dependenciesIn(now);
}

/** Null for a file that was cut off as it was written. */
function dependenciesIn(lock) {
  try {
    const { packages } = JSON.parse(lock);
    return JSON.stringify({ ...packages, '': { ...packages[''], version: null } });
  } catch {
    return null;
  }
}

/** SvelteKit's generated types and tsconfig, which lint, check and the tests read. */
export function ensureGenerated() {
  run(bin('svelte-kit'), ['sync'], { stdio: ['ignore', 2, 2] });
}

/** The path of a Chromium that the end-to-end tests can drive; installs Debian's when there is none, without its windows where it comes so. */
export function ensureChromium() {
  const found = findChromium();
  if (found) return found;
  refresh();
  install([isOffered(HEADLESS) ? HEADLESS : 'chromium'], { refreshed: true });
  const installed = findChromium();
  if (!installed) {
    console.error('No chromium after the installation: set CHROMIUM to the path of one.');
    process.exit(1);
  }
  return installed;
}

/** What the test of hosting needs besides: a proxy, and something that makes a certificate. */
export function ensureProxy() {
  const missing = ['nginx', 'openssl'].filter((name) => !isThere(name));
  if (missing.length > 0) install(missing);
}

/** The same browser without windows, menus and what belongs to them: a quarter less work in the tests. */
const HEADLESS = 'chromium-headless-shell';

const aptOptions = {
  // A package that brings a service does not start it here.
  env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive', RUNLEVEL: '1' },
  stdio: ['ignore', 'ignore', 2]
};

function refresh() {
  run('apt-get', ['update', '-qq'], aptOptions);
}

function install(packages, { refreshed = false } = {}) {
  console.error(`Installing Debian's ${packages.join(' and ')} (once) …`);
  if (!refreshed) refresh();
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...packages], aptOptions);
}

/** Whether this release of Debian has a package of this name. */
function isOffered(name) {
  return spawnSync('apt-cache', ['show', name], { stdio: 'ignore' }).status === 0;
}

/** Whether there is a program of this name; `nginx` stands where only root's path leads. */
function isThere(name) {
  const folders = `${process.env.PATH ?? ''}:/usr/sbin`.split(':');
  return folders.some((folder) => existsSync(resolve(folder, name)));
}

function findChromium() {
  const candidates = [
    process.env.CHROMIUM,
    `/usr/bin/${HEADLESS}`,
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser'
  ];
  return candidates.find((path) => path && existsSync(path));
}

/** True when `output` is missing or older than any of the files git knows below `inputs`. */
export function isStale(output, inputs) {
  const made = statSync(resolve(root, output), { throwIfNoEntry: false });
  if (!made) return true;
  const listed = spawnSync('git', ['ls-files', '-co', '--exclude-standard', '--', ...inputs], {
    cwd: root,
    encoding: 'utf8'
  });
  if (listed.status !== 0) return true;
  return listed.stdout
    .split('\n')
    .filter(Boolean)
    .some((file) => {
      const stat = statSync(resolve(root, file), { throwIfNoEntry: false });
      return stat !== undefined && stat.mtimeMs > made.mtimeMs;
    });
}
