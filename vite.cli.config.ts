import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Bundles the command line into one file that starts without node_modules. */
export default defineConfig({
  resolve: { alias: { $core: here('src/core'), $demo: here('src/demo') } },
  publicDir: false,
  ssr: { noExternal: true },
  build: {
    ssr: 'src/cli/main.ts',
    outDir: 'dist/cli',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: { output: { entryFileNames: 'ulterum.js' } }
  },
  logLevel: 'warn'
});
