import { chromium } from 'playwright-core'
import { signIn } from './help'
import { begin, ends, ready } from './prove-help'
const b = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell' })
const c = await b.newContext({ viewport: { width: 1280, height: 800 }, baseURL: 'http://127.0.0.1:7199' })
const page = await c.newPage() as never as import('@playwright/test').Page
await signIn(page)
for (const u of ['metric', 'inch'] as const) {
  const { job } = await ready(page, { standIn: u === 'metric' ? 'well' : 'leak' })
  await page.goto(`/job/${job}/settings`)
  await begin(page, job)
  const v = u === 'metric' ? 'held' : 'lost'
  await ends(page, v).click({ timeout: 90000 })
  await page.waitForTimeout(1500)
  await page.screenshot({ path: `/tmp/zz-prove-${u}.png`, fullPage: true })
  const d = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Certificate, PDF' }).click()
  await (await d).saveAs(`/tmp/zz-${u}.pdf`)
}
await b.close()
