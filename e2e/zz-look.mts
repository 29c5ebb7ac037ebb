import { chromium } from 'playwright-core'
const base = 'http://127.0.0.1:7199'
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell' })
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: base })
const page = await context.newPage()
await page.request.post('/api/session', { data: { login: 'wren', password: 'tide-and-pipe' } })
await page.goto('/jobs')
await page.getByLabel('Name').fill('Harrow Point Light, hot water')
await page.getByText('inch: primer, quarter turn').click()
await page.getByRole('button', { name: 'Begin the job' }).click()
await page.waitForTimeout(800)
await page.keyboard.press('n')
await page.waitForTimeout(300)
await page.getByLabel('Tag').fill('H1')
await page.getByLabel('What it carries').fill('hot water')
const pick = async (id: string, name: string | RegExp) => {
  await page.locator(`#${id}`).focus(); await page.keyboard.press('Enter'); await page.waitForTimeout(200)
  await page.getByRole('option', { name, exact: true } as never).filter({ visible: true }).click()
}
await pick('line-method', 'Solder')
await page.keyboard.press('Escape').catch(() => 0)
await page.getByRole('button', { name: 'Begin the line' }).click()
await page.waitForTimeout(600)
const entry = page.getByLabel('Next fitting or piece')
for (const t of ['tee 2 2 3/4','18 c-c','ball valve 2 press','12 c-f','flange 2','expansion joint 2','pump 2 flanged','flange','24 c-c','tee 2 2 3/4','6 c-f','dielectric union 2','12 f-f in steel','elbow 90']) {
  await entry.fill(t); await entry.press('Enter'); await page.waitForTimeout(250)
  const f = '' 
  const v = await entry.inputValue(); if (v) console.log(t, '->', v)
}
await page.screenshot({ path: '/tmp/l1.png' })
await entry.fill('elbow 90'); await entry.press('Enter'); await page.waitForTimeout(300)
await page.screenshot({ path: '/tmp/l2.png', fullPage: true })
await page.getByRole('button', { name: 'Change it…' }).click(); await page.waitForTimeout(300)
await page.screenshot({ path: '/tmp/l3.png' })
await page.keyboard.press('Escape')
await page.getByRole('button', { name: 'say what it asks' }).first().click(); await page.waitForTimeout(300)
await page.screenshot({ path: '/tmp/l4.png' })
console.log(page.url())
await browser.close()
