/** The short names of the source folders, for everything that reads the sources: pages, bundles, tests. */
import { fileURLToPath } from 'node:url';

const at = (folder) => fileURLToPath(new URL(`../${folder}`, import.meta.url));

export const aliases = {
  $core: at('src/core'),
  $storage: at('src/storage'),
  $demo: at('src/demo'),
  $worker: at('src/worker')
};
