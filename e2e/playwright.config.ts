import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

const WITHOUT_WINDOW = '/usr/bin/chromium-headless-shell';

/** The real page in Debian's Chromium, against a server that is already running at BASE_URL. */
export default defineConfig({
  testDir: './tests',
  outputDir: '../test-results',
  // stories run side by side, each in a garden of its own
  workers: 2,
  fullyParallel: true,
  timeout: 240_000,
  expect: { timeout: 20_000 },
  reporter: [['list'], ['json']],
  use: {
    actionTimeout: 30_000,
    baseURL: process.env.BASE_URL ?? 'http://127.0.0.1:3210',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/Rome',
    trace: 'off',
    // the page is kept on the device only where a story is about that
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: existsSync(WITHOUT_WINDOW) ? WITHOUT_WINDOW : '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
