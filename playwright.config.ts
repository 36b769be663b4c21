import { defineConfig } from '@playwright/test'
import { BROWSER_ARGS } from './scripts/lib.mjs'

export default defineConfig({
  testDir: 'tests/browser',
  // No test is timed: a busy machine only takes longer.
  timeout: 300_000,
  expect: { timeout: 40_000 },
  // Each worker has a server and a deck of its own.
  workers: process.env.BASE_URLS?.split(' ').length ?? 1,
  retries: 0,
  reporter: [['list'], ['json', { outputFile: '.notula/results/browser.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    acceptDownloads: true,
    launchOptions: {
      executablePath: process.env.CHROMIUM,
      args: [
        ...BROWSER_ARGS,
        // All pages of a worker in one process, whose code is read once; a page lives for seconds,
        // too short for code that is compiled to be fast to pay.
        '--process-per-site',
        '--js-flags=--no-turbofan',
        '--disable-features=ScriptStreaming',
      ],
    },
  },
})
