import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Bundles the command line, and the thread that it hands long work to, so that both start without node_modules. */
export default defineConfig({
  resolve: { alias: { $core: here('src/core'), $demo: here('src/demo'), $worker: here('src/worker') } },
  publicDir: false,
  ssr: { noExternal: true },
  build: {
    ssr: true,
    outDir: 'dist/cli',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: { ulterum: here('src/cli/main.ts'), thread: here('src/worker/node.ts') },
      output: { entryFileNames: '[name].js', chunkFileNames: '[name].js' }
    }
  },
  logLevel: 'warn'
});
