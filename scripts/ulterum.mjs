#!/usr/bin/env node
/** The command line in a checkout: builds the bundle when it is missing or stale, then runs it. */
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bin, ensureDependencies, isStale, root, run } from './set-up.mjs';

const bundle = 'dist/cli/ulterum.js';
if (
  isStale(bundle, [
    'src/cli',
    'src/core',
    'src/demo',
    'src/worker',
    'vite.cli.config.ts',
    'package-lock.json'
  ])
) {
  ensureDependencies({ quiet: true });
  run(bin('vite'), ['build', '--config', 'vite.cli.config.ts'], { stdio: ['ignore', 2, 2] });
}
const { main } = await import(pathToFileURL(resolve(root, bundle)).href);
process.exitCode = await main(process.argv.slice(2));
