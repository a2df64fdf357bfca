/** `npm run bench [part …]`: what docs/performance.md quotes, measured now, on this machine. Parts: see bench/main.ts, and `page`. */
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bin, ensureDependencies, root, run } from './set-up.mjs';

ensureDependencies({ quiet: true });
run(bin('vite'), ['build', '--config', 'vite.bench.config.ts'], { stdio: ['ignore', 2, 2] });
const { main } = await import(pathToFileURL(resolve(root, 'dist/bench/bench.js')).href);
const words = process.argv.slice(2);
const page = words.length === 0 || words.includes('page');
process.exitCode = words.length === 1 && page ? 0 : await main(words.filter((word) => word !== 'page'));
if (page) {
  const { measurePage } = await import('./bench-page.mjs');
  await measurePage();
}
