import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  timeout: 120_000,
  workers: 2,
  fullyParallel: false,
  retries: 0,
  // A machine doing other things too takes its time; what is asked for is that it comes, not how fast.
  expect: { timeout: 20_000 },
  reporter: [['list'], ['json']],
  use: {
    actionTimeout: 20_000,
    baseURL: process.env.BASE_URL,
    viewport: { width: 1280, height: 800 },
    // Each context would fetch and keep the whole app first. What is about being without signal, or newer, allows it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.CHROMIUM,
      args: [
        '--no-sandbox',
        '--disable-dev-shm-usage',
        '--disable-gpu',
        '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost',
      ],
    },
  },
})
