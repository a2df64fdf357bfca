/** The adapter for Node.js with our own entry before the server's (see `server-entry.mjs`), and with the threads that compute. */
import { copyFileSync, cpSync, existsSync, renameSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import adapter from '@sveltejs/adapter-node';
import { build } from 'vite';
import { root } from './set-up.mjs';

const ENTRY = `import { fileURLToPath } from 'node:url';
import { DEFAULTS, startTrouble } from './server-entry.mjs';

const trouble = startTrouble(process.env, process.versions.node);
if (trouble) {
  console.error(trouble);
  process.exit(1);
}
for (const [name, value] of Object.entries(DEFAULTS)) process.env[name] ??= value;
process.env.ULTERUM_THREAD = fileURLToPath(new URL('./thread/thread.js', import.meta.url));
// Started by another process of ours: when that is gone, this goes as well.
if (process.send) {
  process.on('disconnect', () => process.exit(0));
  // It is no reason to stay once the server has ended.
  process.channel?.unref();
}
await import('./main.js');
`;

/** The pool starts threads from files of its own, so it stands beside the server instead of inside; the others let a thread be nice. */
const BESIDE = ['piscina', '@napi-rs/nice', '@napi-rs/nice-linux-x64-gnu'];

export function serverAdapter() {
  const node = adapter();
  return {
    ...node,
    async adapt(builder) {
      await node.adapt(builder);
      const at = (name) => resolve(root, 'build', name);
      for (const ending of ['js', 'js.map']) renameSync(at(`index.${ending}`), at(`main.${ending}`));
      copyFileSync(resolve(root, 'scripts/server-entry.mjs'), at('server-entry.mjs'));
      writeFileSync(at('index.js'), ENTRY);
      for (const name of BESIDE) {
        const from = resolve(root, 'node_modules', name);
        if (existsSync(from)) cpSync(from, at(`node_modules/${name}`), { recursive: true, filter: isNeeded });
      }
      await build({ configFile: resolve(root, 'vite.thread.config.ts') });
    }
  };
}

/** Of a package: what runs. */
function isNeeded(path) {
  return !/\/(src|test|test-jest|docs|examples|benchmark|scripts)(\/|$)|\.(d\.ts|map|md)$/.test(
    path.slice(path.lastIndexOf('node_modules'))
  );
}
