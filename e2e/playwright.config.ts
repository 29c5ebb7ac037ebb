import { defineConfig } from '@playwright/test'

/** Whole jobs from nothing to hand-over, through every hold in its own time: begun first, so that nothing waits for them. */
const WHOLE = ['mouse.spec.ts', 'thumb.spec.ts', 'lost.spec.ts', 'keyboard.spec.ts', 'walk.spec.ts']

export default defineConfig({
  testDir: '.',
  timeout: 180_000,
  // Much of a test is waiting: for a hold that takes its half minute, for a logger. Two cores are kept busy by four.
  workers: 4,
  fullyParallel: false,
  retries: 0,
  projects: [
    { name: 'whole', testMatch: WHOLE },
    { name: 'parts', testMatch: '*.spec.ts', testIgnore: WHOLE },
  ],
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
