/** End-to-end tests in headless Chromium against the built server. Further words go to the runner. */
import { spawnSync } from 'node:child_process';
import { bin, ensureChromium, ensureProxy, root } from './set-up.mjs';
import { ensureBuild, freePort, startServer } from './serve.mjs';

const chromium = ensureChromium();
ensureProxy();
ensureBuild();
const port = await freePort(4188);
// By the number: a name is tried at other addresses first, and of many requests at once some would wait for that.
const { server } = await startServer(port, '127.0.0.1');
const result = spawnSync(bin('playwright'), ['test', ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, PATH: `${process.env.PATH}:/usr/sbin`, CHROMIUM: chromium, E2E_PORT: String(port) }
});
server.kill();
process.exitCode = result.status ?? 1;
