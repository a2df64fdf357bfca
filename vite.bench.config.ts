import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { aliases } from './scripts/aliases.mjs';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Bundles the measurements of `npm run bench`, `npm run sweep` and `npm run fuzz`. */
export default defineConfig({
  resolve: { alias: aliases },
  publicDir: false,
  ssr: { noExternal: true },
  build: {
    ssr: true,
    outDir: 'dist/bench',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: { bench: here('bench/main.ts'), sweep: here('bench/sweep.ts'), fuzz: here('bench/fuzz.ts') },
      output: { entryFileNames: '[name].js', chunkFileNames: '[name].js' }
    }
  },
  logLevel: 'warn'
});
