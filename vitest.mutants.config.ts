/** Vitest for `npm run mutants`: the core alone, without the pages, so that thousands of runs stay short. */
import { defineConfig } from 'vitest/config';
import { aliases } from './scripts/aliases.mjs';

export default defineConfig({
  resolve: { alias: aliases },
  test: {
    environment: 'node',
    include: [
      'src/core/proof/**/*.test.ts',
      'src/core/explain/**/*.test.ts',
      'src/core/match/**/*.test.ts',
      'src/core/plan/undecided.test.ts',
      'src/core/plan/mains/undecided.test.ts',
      'src/core/plan/planned-place.test.ts',
      'src/core/plan/supply-outlook.test.ts',
      'src/core/plan/quick-answer.test.ts',
      'src/core/survey/reasons/reasons.test.ts',
      'src/core/scenarios/odd-table.test.ts',
      'src/core/safety/**/*.test.ts',
      'src/core/identify/answers.test.ts',
      'src/core/identify/identify.test.ts',
      'src/core/identify/voltage.test.ts',
      'src/core/circuit/islands.test.ts',
      'src/core/supply/asked.test.ts',
      'src/core/supply/repairs/repairs.test.ts',
      'src/core/supply/situation.test.ts'
    ],
    pool: 'threads',
    isolate: false,
    testTimeout: 60_000
  }
});
