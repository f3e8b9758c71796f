import { defineConfig } from '@playwright/test'
import { CHROMIUM_FLAGS, findChromium } from './scripts/chromium.mjs'

export default defineConfig({
  testDir: 'tests',
  testMatch: ['e2e/**/*.spec.ts', 'attack/**/*.spec.ts'],
  fullyParallel: true,
  workers: 2,
  timeout: 120_000,
  // A machine that is busy with other things may take long to draw; nothing is measured here.
  expect: { timeout: 20_000 },
  retries: 0,
  reporter: 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-failure',
    launchOptions: { executablePath: findChromium(), args: CHROMIUM_FLAGS },
  },
})
