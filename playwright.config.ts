import { defineConfig } from '@playwright/test';
import { BROWSER } from './scripts/server.mjs';

const PORT = Number(process.env.E2E_PORT ?? 4390);

/** The production build in Debian's Chromium; nothing is downloaded. */
export default defineConfig({
  testDir: 'tests/e2e',
  fullyParallel: true,
  workers: 2,
  // What is long or left to chance runs by night.
  grepInvert: process.env.NIGHTLY === undefined ? /@nightly/ : undefined,
  forbidOnly: true,
  // A test that needs a second try is a fault of the test or of the product.
  retries: 0,
  // No test is timed: a slow machine takes as long as it takes. What does not come at all is told by the step that waits for it.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  reporter: [['list']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 45_000,
    launchOptions: BROWSER,
  },
  webServer: {
    command: 'node dist/server/entry.mjs',
    url: `http://127.0.0.1:${PORT}/`,
    env: { HOST: '127.0.0.1', PORT: String(PORT) },
    reuseExistingServer: false,
    timeout: 180_000,
  },
});
