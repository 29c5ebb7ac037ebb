import { makeJob } from './bench-large.mjs'

/** The page of all jobs, and what is looked for over them. */
const JOBS = 200
const JOINTS = 100
const RUNS = 30

const sorted = (list) => [...list].sort((a, b) => a - b)
const summary = (times) => {
  const list = sorted(times)
  return `median ${Math.round(list[list.length >> 1])} ms, longest ${Math.round(list.at(-1))} ms`
}
async function timed(work) {
  const times = []
  for (let i = 0; i < RUNS; i++) {
    const began = performance.now()
    await work(i)
    times.push(performance.now() - began)
  }
  return times
}

/** @param page a page of somebody signed in; @param cookie of the same person. */
export async function glances(base, cookie, page, row) {
  for (let i = 0; i < JOBS; i++) await makeJob(base, cookie, `Bench ${i + 1}`, JOINTS / 2)
  const ask = async (path) => (await fetch(`${base}/api${path}`, { headers: { cookie } })).json()
  const began = performance.now()
  while ((await ask('/glance')).jobs.some(({ stale }) => stale))
    await new Promise((go) => setTimeout(go, 100))
  row(
    `All ${JOBS} jobs, ${JOBS * JOINTS} joints, never looked at before: until the last glance is taken`,
    `${((performance.now() - began) / 1000).toFixed(1)} s`,
    'none set',
  )
  row(
    'Their glances, as they are kept: answered',
    summary(await timed(() => ask('/glance'))),
    '300 ms with the page',
  )
  row(
    `A name looked for in ${JOBS * JOINTS} joints: answered`,
    summary(await timed((i) => ask(`/glance/named?q=-${String(i).padStart(2, '0')}`))),
    '100 ms',
  )
  const loads = []
  await page.goto(`${base}/jobs`)
  for (let i = 0; i < RUNS; i++) {
    await page.getByRole('link', { name: 'Settings' }).click()
    await page.waitForURL(/settings/)
    const left = performance.now()
    await page.goBack()
    await page.locator('.job .thing').first().waitFor()
    loads.push(performance.now() - left)
  }
  row(
    `The page of ${JOBS} jobs: gone back to, until what matters next stands there`,
    summary(loads),
    '300 ms',
  )
}
