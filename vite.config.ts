import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';
import { fewerParts } from './scripts/fewer-parts.mjs';

export default defineConfig({
  plugins: [tailwindcss(), fewerParts(), sveltekit()],
  worker: { format: 'es' },
  optimizeDeps: { include: ['valibot', 'localforage', 'papaparse'] },
  test: {
    environment: 'node',
    projects: [
      {
        // The core keeps no state that one test could leave to another: its modules are loaded once for all.
        extends: true,
        test: {
          name: 'pure',
          include: ['src/**/*.test.ts', 'scripts/**/*.test.mjs'],
          exclude: ['src/storage/**'],
          pool: 'threads',
          isolate: false
        }
      },
      { extends: true, test: { name: 'storage', include: ['src/storage/**/*.test.ts'] } }
    ],
    tags: [
      {
        name: 'wide',
        description: 'The same rule over more houses: for CI and `npm test -- --all`, not for every commit.'
      }
    ],
    // The core computes: a worker for each of two cores.
    maxWorkers: 2,
    // Only there to end what hangs: property tests plan many houses, and machines differ.
    testTimeout: 60_000
  }
});
