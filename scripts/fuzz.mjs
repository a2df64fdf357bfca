/** `npm run fuzz [-- --count N --seed N]`: broken files of every kind, each taken or refused with a place. */
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bin, ensureDependencies, root, run } from './set-up.mjs';

ensureDependencies({ quiet: true });
run(bin('vite'), ['build', '--config', 'vite.bench.config.ts'], { stdio: ['ignore', 2, 2] });
const { main } = await import(pathToFileURL(resolve(root, 'dist/bench/fuzz.js')).href);
process.exitCode = await main(process.argv.slice(2));
