/** The adapter for Node.js with our own entry before the server's: see `server-entry.mjs`. */
import { copyFileSync, renameSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import adapter from '@sveltejs/adapter-node';
import { root } from './set-up.mjs';

const ENTRY = `import { DEFAULTS, startTrouble } from './server-entry.mjs';

const trouble = startTrouble(process.env, process.versions.node);
if (trouble) {
  console.error(trouble);
  process.exit(1);
}
for (const [name, value] of Object.entries(DEFAULTS)) process.env[name] ??= value;
// Started by another process of ours: when that is gone, this goes as well.
if (process.send) {
  process.on('disconnect', () => process.exit(0));
  // It is no reason to stay once the server has ended.
  process.channel?.unref();
}
await import('./main.js');
`;

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
    }
  };
}
