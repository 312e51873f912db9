import { defineConfig } from '@playwright/test';
import { CHROMIUM_FLAGS } from '../scripts/chromium.mjs';
import { CHROMIUM } from '../scripts/machine.mjs';

/** The app is started by scripts/test.mjs, which says where. */
const address = process.env.FRANK_GAUGE_ADDRESS ?? 'http://localhost:4780';

export default defineConfig({
  testDir: './e2e',
  fullyParallel: true,
  workers: 2,
  timeout: 60_000,
  // The machine may be small and busy: what is waited for is that it comes, not how soon.
  expect: { timeout: 15_000 },
  forbidOnly: Boolean(process.env.CI),
  retries: 0,
  use: {
    baseURL: address,
    viewport: { width: 1280, height: 800 },
    timezoneId: 'UTC',
    locale: 'en-US',
    launchOptions: { executablePath: CHROMIUM, args: CHROMIUM_FLAGS },
    trace: 'off',
    // Each test is a first visit; those of offline.spec.ts let the program be kept.
    serviceWorkers: 'block',
  },
});
