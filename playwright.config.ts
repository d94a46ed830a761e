import { defineConfig } from '@playwright/test';

/** Browser tests against the built client and the real server, each on a database of its own. */
export default defineConfig({
  testDir: 'e2e',
  // A machine four times as slow as usual, with other pages beside it, has failed nothing yet.
  timeout: 480_000,
  expect: { timeout: 80_000 },
  fullyParallel: true,
  // On two processors: what waits for a page to be quiet, or for a server to be away, leaves room for one more.
  workers: 3,
  retries: 0,
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  outputDir: 'test-results/browser',
  use: {
    // What can't be pressed by then never can.
    actionTimeout: 80_000,
    navigationTimeout: 80_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
    },
  },
});
