import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  worker: { format: 'es' },
  optimizeDeps: { include: ['valibot', 'localforage', 'papaparse'] },
  test: {
    include: ['src/**/*.test.ts', 'scripts/**/*.test.mjs'],
    environment: 'node',
    // Only there to end what hangs: property tests plan many houses, and machines differ.
    testTimeout: 60_000
  }
});
