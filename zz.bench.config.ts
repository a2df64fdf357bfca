import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Bundles the measurements of `npm run bench`, `npm run sweep` and `npm run fuzz`. */
export default defineConfig({
  resolve: { alias: { $core: here('src/core'), $demo: here('src/demo'), $worker: here('src/worker') } },
  publicDir: false,
  ssr: { noExternal: true },
  build: {
    ssr: true,
    outDir: 'dist/zz',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: { zz: here('bench/zz.ts') },
      output: { entryFileNames: '[name].js', chunkFileNames: '[name].js' }
    }
  },
  logLevel: 'warn'
});
