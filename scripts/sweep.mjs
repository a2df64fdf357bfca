/** `npm run sweep [-- --count N --seed N --threads N --shard K/N]`, or `-- --merge FILE…`: plans situations and checks every option on offer. */
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bin, ensureDependencies, root, run } from './set-up.mjs';

ensureDependencies({ quiet: true });
run(bin('vite'), ['build', '--config', 'vite.bench.config.ts'], { stdio: ['ignore', 2, 2] });
const { main } = await import(pathToFileURL(resolve(root, 'dist/bench/sweep.js')).href);
process.exitCode = await main(process.argv.slice(2));
