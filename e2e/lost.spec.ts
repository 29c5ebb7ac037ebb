import { expect, test } from '@playwright/test'
import { demo, freePort, serverOf, stateFolder } from './demo-help'
import { eventsOf, signIn } from './help'
import { begin, ends, ready } from './prove-help'

test.use({ serviceWorkers: 'allow' })

test('a server killed and a network lost in the middle of a logged test lose and double nothing', async ({
  browser,
}) => {
  const { state, gone } = stateFolder()
  const port = await freePort()
  let d = await demo(state, port)
  try {
    const context = await browser.newContext({ baseURL: `http://127.0.0.1:${port}` })
    const page = await context.newPage()
    await signIn(page)
    const { job } = await ready(page, { holdS: 60 })
    await begin(page, job)
    const rows = async (): Promise<number[]> =>
      (await eventsOf(page, job))
        .filter((e) => e.kind === 'test-log')
        .flatMap((e) => (e.data.rows as number[][]).map((r) => r[0] as number))
    const count = page.getByText(/Last of \d+ readings/)
    await expect(count).toBeVisible()

    // The command too: by itself it would have the server up again before anybody could type.
    const server = serverOf(d)
    d.child.kill('SIGKILL')
    process.kill(server, 'SIGKILL')
    await d.exited
    // What is typed while nobody answers is kept here, and shown.
    await page.getByLabel('Gauge now').fill('9.01')
    await page.getByRole('button', { name: 'Read', exact: true }).click()
    await expect(page.getByRole('status').filter({ hasText: 'No signal' })).toBeVisible()
    d = await demo(state, port)
    await expect(page.getByRole('status').filter({ hasText: 'No signal' })).toBeHidden()

    // The logger goes on without the page: what it sends is counted beside it.
    const counted = async (): Promise<number> => (await rows()).length
    await context.setOffline(true)
    const before = await counted()
    await expect.poll(counted).toBeGreaterThan(before + 25)
    await context.setOffline(false)
    await expect(ends(page, 'held')).toBeVisible()

    const times = await rows()
    expect(new Set(times).size).toBe(times.length)
    // The logger reads each second: no second between the first and the last is without its reading.
    const sorted = [...times].sort((a, b) => a - b)
    const steps = sorted.slice(1).map((t, i) => t - (sorted[i] as number))
    expect(sorted.length).toBeGreaterThan(55)
    expect(Math.max(...steps)).toBeLessThan(1.5)
    const typed = (await eventsOf(page, job)).filter((e) => e.kind === 'test-read')
    expect(typed.map((e) => e.data.bar)).toEqual([9.01])
    expect(await (await page.request.get(`/api/jobs/${job}/verify`)).json()).toMatchObject({ ok: true })
    await context.close()
    d.child.kill('SIGTERM')
    expect(await d.exited).toBe(0)
  } finally {
    gone()
  }
})
