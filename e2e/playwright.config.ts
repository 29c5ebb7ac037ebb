import { defineConfig } from '@playwright/test'

/** Whole jobs from nothing to hand-over, through every hold in its own time: begun first, so that nothing waits for them. */
const WHOLE = ['mouse.spec.ts', 'thumb.spec.ts', 'lost.spec.ts', 'keyboard.spec.ts', 'walk.spec.ts']

/** While a test is being written: what does not come soon does not come. Never in a whole run. */
const HASTY = Boolean(process.env.HASTY)
const PATIENCE_MS = HASTY ? 15_000 : 120_000

export default defineConfig({
  testDir: '.',
  // A machine doing other things too takes its time; what is asked for is that it comes, not how fast. These are the
  // only limits: a test names none of its own. They end what hangs.
  timeout: 20 * 60_000,
  expect: { timeout: PATIENCE_MS, toPass: { timeout: PATIENCE_MS } },
  // Much of a test is waiting: for a hold that takes its half minute, for a logger. Two cores are kept busy by three.
  workers: 3,
  fullyParallel: false,
  // What comes only the second time is a fault of the test or of the product: the run names it, last of all.
  retries: HASTY ? 0 : 1,
  projects: [
    { name: 'whole', testMatch: WHOLE },
    { name: 'parts', testMatch: '*.spec.ts', testIgnore: WHOLE },
  ],
  reporter: [['list'], ['json']],
  use: {
    actionTimeout: PATIENCE_MS,
    baseURL: process.env.BASE_URL,
    // Where pipe is sold in millimetres: a job in inches is asked for.
    locale: 'en-GB',
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
