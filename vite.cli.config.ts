import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { aliases } from './scripts/aliases.mjs';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Bundles the command line, and the thread that it hands long work to, so that both start without node_modules. */
export default defineConfig({
  resolve: { alias: aliases },
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
