/** Builds the application when it is stale and starts its server; used by the demo, the end-to-end tests and the pictures. */
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { resolve } from 'node:path';
import { bin, ensureDependencies, ensureGenerated, isStale, root, run } from './set-up.mjs';

export function ensureBuild() {
  ensureDependencies();
  if (
    !isStale('build/index.js', [
      'src',
      'demo',
      'static',
      'scripts/server-entry.mjs',
      'scripts/server-adapter.mjs',
      'svelte.config.js',
      'vite.config.ts',
      'vite.thread.config.ts',
      'package-lock.json'
    ])
  )
    return;
  console.error('Building …');
  ensureGenerated();
  run(bin('vite'), ['build', '--logLevel', 'warn'], { stdio: ['ignore', 2, 2] });
}

/** Starts the built server and resolves once it answers. What a browser keeps it keeps by `host`: the demo has to stay at its own. */
export async function startServer(port, host = 'localhost') {
  const origin = `http://${host}:${port}`;
  const server = spawn(process.execPath, [resolve(root, 'build/index.js')], {
    cwd: root,
    // The channel tells the server when this process is gone, however it ended.
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    env: { ...process.env, HOST: '127.0.0.1', PORT: String(port), ORIGIN: origin }
  });
  for (let tries = 0; tries < 100; tries += 1) {
    if (server.exitCode !== null) throw new Error(`The server ended with code ${server.exitCode}`);
    const answer = await fetch(`http://127.0.0.1:${port}/`).catch(() => null);
    if (answer?.ok) return { origin, server };
    await new Promise((done) => setTimeout(done, 100));
  }
  server.kill();
  throw new Error('The server did not answer within ten seconds');
}

/** The port wished for, or a free one when it is taken; 0 for any that is free. */
export function freePort(wished) {
  return new Promise((done, fail) => {
    const probe = createServer();
    probe.once('error', () => {
      const any = createServer();
      any.once('error', fail);
      any.listen(0, '127.0.0.1', () => {
        const { port } = any.address();
        any.close(() => done(port));
      });
    });
    probe.listen(wished, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => done(port));
    });
  });
}
