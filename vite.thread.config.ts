import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { aliases } from './scripts/aliases.mjs';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Bundles what the threads of the built server run: the adapter does it, after the server itself. */
export default defineConfig({
  resolve: { alias: aliases },
  publicDir: false,
  ssr: { noExternal: true },
  build: {
    ssr: true,
    outDir: 'build/thread',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: { thread: here('src/lib/server/thread.ts') },
      output: { entryFileNames: '[name].js', chunkFileNames: '[name].js' }
    }
  },
  logLevel: 'warn'
});
