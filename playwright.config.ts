import { defineConfig } from '@playwright/test'
import { CHROMIUM_FLAGS, findChromium } from './scripts/chromium.mjs'

export default defineConfig({
  testDir: 'tests',
  testMatch: ['e2e/**/*.spec.ts', 'attack/**/*.spec.ts'],
  globalSetup: './tests/e2e/prepare.ts',
  // What something shorter proves as well is left out of the gate: CONTRIBUTING.md names what stands in for it.
  grepInvert: process.env.WT_JOURNEYS === 'all' ? undefined : /@long/,
  fullyParallel: true,
  workers: 2,
  timeout: 240_000,
  // A machine that is busy with other things may take long to draw; nothing is measured here.
  expect: { timeout: 30_000 },
  retries: 0,
  reporter: 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    // Installing the service worker fetches everything anew; journeys that lose their connection say that they want it.
    serviceWorkers: 'block',
    launchOptions: { executablePath: findChromium(), args: CHROMIUM_FLAGS },
  },
})
