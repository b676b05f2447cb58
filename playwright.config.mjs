import { defineConfig } from '@playwright/test';
import { chromiumFlags } from './tests/browser/support.mjs';

const port = Number(process.env.METRUM_TEST_PORT ?? 8699);

// Debian's Chromium; one server with a demo town of its own for all tests.
export default defineConfig({
  testDir: 'tests/browser',
  testMatch: '*.spec.mjs',
  fullyParallel: true,
  workers: 2,
  retries: 0,
  // No test is about time: a machine seven times as slow shall give the same answers.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  reporter: [['list']],
  outputDir: 'test-results',
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: '/usr/bin/chromium', args: chromiumFlags },
    screenshot: 'only-on-failure',
    // What works without reception is tried where it is meant.
    serviceWorkers: 'block',
  },
  webServer: {
    command: `tests/browser/serve ${port}`,
    url: `http://127.0.0.1:${port}/sign-in`,
    timeout: 240_000,
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 3000 },
  },
});
