import { defineConfig } from '@playwright/test';
import { launchArguments } from './scripts/browser.mjs';

const port = Number(process.env['E2E_PORT'] ?? 4188);

export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.e2e.ts',
  // Only there to end what hangs: the longest walks through all stations, and machines differ.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  fullyParallel: true,
  // A machine that others use as well stalls for seconds now and then: what needs a second try is named at the end of `npm test`.
  retries: 1,
  workers: 3,
  forbidOnly: Boolean(process.env['CI']),
  reporter: process.env['E2E_JSON'] ? [['line'], ['json', { outputFile: process.env['E2E_JSON'] }]] : 'line',
  outputDir: 'test-results',
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    // Every test is a new browser, which would put the whole application by each time; the test of working offline lets it.
    serviceWorkers: 'block',
    locale: 'en-GB',
    timezoneId: 'UTC',
    // What moves on and on keeps a core busy; the test of what moves lets it.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: { executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args: launchArguments }
  }
});
