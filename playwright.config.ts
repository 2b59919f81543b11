import { existsSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { defineConfig } from '@playwright/test'

const browsers = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium']

/** Drives the production build with a real SQLite file in Debian's Chromium. */
export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results/e2e',
  globalSetup: './tests/e2e/demoOnce.ts',
  // A slow machine is no fault of the program: these only end what hangs.
  timeout: 300_000,
  expect: { timeout: 45_000 },
  // One more would have to know the program anew, in a browser of its own, for what it gains while a page waits.
  workers: availableParallelism(),
  // A second try tells a slow moment of the machine from a fault; `npm test` names what needed one.
  retries: 1,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-IE',
    timezoneId: 'Europe/Dublin',
    trace: process.env.TRACE ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? browsers.find((path) => existsSync(path)),
      args: [
        '--no-sandbox',
        '--disable-dev-shm-usage',
        '--disable-gpu',
        // Pages live for seconds here, on cores that others want: code is compiled anew once, and not beside them;
        // memory is tidied up seldom, by the page itself.
        '--js-flags=--no-opt --no-concurrent-recompilation --single-threaded-gc --min-semi-space-size=16',
      ],
    },
  },
})
