import { defineConfig } from '@playwright/test'
import { chromiumPath, quietArgs, unmovedClock } from './tests/support/chromium'
import { onFixedClock } from './tests/support/on-fixed-clock'

onFixedClock()

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results',
  workers: 2,
  fullyParallel: false,
  forbidOnly: !!process.env.CI,
  // What fails there is tried once more, and told by name where it passes then: bin/count-results.mjs.
  retries: process.env.CI ? 1 : 0,
  // How long something may take is no question of these tests: a busy machine is several times slower than an idle one.
  timeout: 900_000,
  expect: { timeout: 240_000 },
  use: {
    actionTimeout: 240_000,
    // The shell is looked at by a test of its own; elsewhere pages come from the server that is started for them.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    launchOptions: {
      executablePath: chromiumPath,
      args: quietArgs,
      env: unmovedClock,
    },
  },
})
