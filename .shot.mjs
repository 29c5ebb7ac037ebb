import { readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
const { base, jobs } = JSON.parse(readFileSync('/tmp/rig.json'))
const job = jobs[10000]
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox','--disable-gpu'] })
for (const [name, vp] of [['phone',{ width: 390, height: 844 }],['desk',{width:1280,height:800}]]) {
const context = await browser.newContext({ viewport: vp })
await context.request.post(`${base}/api/session`, { data: { login: 'wren', password: 'tide-and-pipe' } })
const page = await context.newPage()
const client = await context.newCDPSession(page)
await client.send('Network.enable')
await client.send('Network.emulateNetworkConditions', { downloadThroughput: 2e5, uploadThroughput: 9e4, latency: 150, offline: false })
await client.send('Emulation.setCPUThrottlingRate', { rate: 4 })
const t=performance.now()
await page.goto(`${base}/job/${job.jobId}/wait/${job.sectionIds[2]}`,{waitUntil:'commit'})
await page.waitForSelector('main h1',{timeout:60000}); console.log(name,'first h1', performance.now()-t, await page.locator('main h1').textContent())
await page.screenshot({path:`/tmp/coming-${name}.png`})
await page.waitForSelector('button.figure-link',{timeout:60000}); console.log('answer', performance.now()-t)
await context.close() }
await browser.close()
