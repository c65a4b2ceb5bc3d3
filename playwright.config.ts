import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'e2e',
  timeout: 120_000,
  // Two browsers on two cores: a worker may take a few seconds to start.
  expect: { timeout: 10_000 },
  workers: 2,
  fullyParallel: true,
  // Two browsers and a server share two cores: a test that failed is tried once more, and counted as flaky in the last line.
  retries: 1,
  reporter: [['list']],
  globalSetup: './e2e/server.ts',
  use: {
    locale: 'en-GB',
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-dev-shm-usage',
        '--disable-background-networking',
        '--autoplay-policy=no-user-gesture-required',
      ],
    },
    trace: 'off',
    video: 'off',
  },
});
