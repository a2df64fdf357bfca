import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Bundles the measurements of `npm run bench`. */
export default defineConfig({
  resolve: { alias: { $core: here('src/core'), $demo: here('src/demo'), $worker: here('src/worker') } },
  publicDir: false,
  ssr: { noExternal: true },
  build: {
    ssr: 'bench/main.ts',
    outDir: 'dist/bench',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: { output: { entryFileNames: 'bench.js' } }
  },
  logLevel: 'warn'
});
