import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: 'tests/browser',
  timeout: 60_000,
  workers: 1,
  retries: 0,
  reporter: [['list'], ['json', { outputFile: '.notula/results/browser.json' }]],
  use: {
    baseURL: process.env.BASE_URL,
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    acceptDownloads: true,
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
