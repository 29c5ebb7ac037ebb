import { expect, test } from '@playwright/test'
import { PHONE, demoJob, eventsOf, noViolations, signIn } from './help'

const PLACES = [
  'set-out',
  'fittings',
  'supports?laid=5&warm=25',
  'cut',
  'bars',
  'tube',
  'make',
  'wait',
  'prove',
  'hand-over',
  'upkeep',
  'store',
  'handbook',
  'practice',
] as const

test.describe.configure({ mode: 'parallel' })
for (const theme of ['light', 'dark'] as const)
  test.describe(`the accessibility checks, ${theme}`, () => {
    test.use({ colorScheme: theme })
    for (const place of PLACES)
      test(`${place} stands up to them`, async ({ page }) => {
        await signIn(page)
        await page.goto(`/job/${await demoJob(page)}/${place}`)
        await expect(page.getByRole('heading', { level: 1 })).not.toBeEmpty()
        await noViolations(page)
      })
    test('signing in and the list of jobs stand up to them', async ({ page }) => {
      await page.goto('/sign-in')
      await noViolations(page)
      await signIn(page)
      await page.goto('/jobs')
      await noViolations(page)
    })
  })

test.describe('on a phone', () => {
  test.use({ viewport: PHONE, hasTouch: true })
  for (const place of PLACES)
    test(`${place} fits: nothing is wider than the screen`, async ({ page }) => {
      await signIn(page)
      await page.goto(`/job/${await demoJob(page)}/${place}`)
      await expect(page.getByRole('heading', { level: 1 })).not.toBeEmpty()
      const over = await page.evaluate(() => {
        const main = document.querySelector('main')
        return main ? main.scrollWidth - main.clientWidth : Infinity
      })
      expect(over).toBeLessThanOrEqual(0)
      await noViolations(page)
    })
})

test('the demo says the truth: the cold night, the joint that holds back, both modes', async ({ page }) => {
  await signIn(page)
  const job = await demoJob(page)
  await page.goto(`/job/${job}/wait`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'Q2-A may take nothing yet: Q2-07 and Q2-08 are not made.',
  )
  await expect(page.getByText(/Held back by Q2-06/)).toBeVisible()
  await expect(page.getByText(/Moved from .* to .*: the wall fell to 7 °C at 0[23]:00/)).toBeVisible()
  await page.getByRole('button', { name: 'add up the hours' }).click()
  await expect(page.getByText('for planning, not for sign-off')).toBeVisible()
  await page.getByRole('button', { name: /Q2-A may take nothing yet/ }).click()
  await expect(page.getByRole('dialog')).toContainText('common practice')
})

test('keys: places, and letters stay letters in a field', async ({ page }) => {
  await signIn(page)
  const job = await demoJob(page)
  await page.goto(`/job/${job}/wait`)
  await expect(page.getByRole('heading', { level: 1 })).not.toBeEmpty()
  await page.keyboard.press('1')
  await expect(page).toHaveURL(/set-out/)
  await page.getByLabel('Next fitting or piece').fill('')
  await page.getByLabel('Next fitting or piece').pressSequentially('tee 110 l2')
  await expect(page).toHaveURL(/set-out/)
  await expect(page.getByLabel('Next fitting or piece')).toHaveValue('tee 110 l2')
})

test('glyphs differ by shape alone, at 32x18 and 18x10', async ({ page }) => {
  await signIn(page)
  await page.goto('/jobs')
  const { GLYPH_SHAPES, glyphBody } = await import('../web/src/tapes/glyph-shapes')
  const drawings: [string, string][] = []
  for (const id of Object.keys(GLYPH_SHAPES) as (keyof typeof GLYPH_SHAPES)[])
    drawings.push([id, glyphBody(id)])
  for (const id of ['made', 'loadable'] as const) drawings.push([`${id} judged`, glyphBody(id, true)])
  for (const id of ['made', 'cure50', 'loadable', 'tested', 'failed', 'window'] as const)
    drawings.push([`${id} look`, glyphBody(id, false, true)])
  const bitmaps = await page.evaluate(async (list) => {
    const out: Record<string, number[]>[] = []
    for (const [w, h] of [
      [32, 18],
      [18, 10],
    ] as const) {
      const maps: Record<string, number[]> = {}
      for (const [name, body] of list) {
        const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${w}" height="${h}" viewBox="0 0 36 20" style="--ink:#000;--paper-of-glyph:#fff">${body}</svg>`
        const img = new Image()
        img.src = `data:image/svg+xml;utf8,${encodeURIComponent(svg)}`
        await img.decode()
        const c = document.createElement('canvas')
        c.width = w
        c.height = h
        const g = c.getContext('2d')!
        g.fillStyle = '#fff'
        g.fillRect(0, 0, w, h)
        g.drawImage(img, 0, 0)
        const d = g.getImageData(0, 0, w, h).data
        maps[name] = Array.from({ length: w * h }, (_, i) => (d[i * 4]! < 128 ? 1 : 0))
      }
      out.push(maps)
    }
    return out
  }, drawings)
  const LEAST = [14, 3]
  bitmaps.forEach((maps, k) => {
    const names = Object.keys(maps)
    for (let i = 0; i < names.length; i++)
      for (let j = i + 1; j < names.length; j++) {
        const differ = maps[names[i]!]!.filter((v, p) => v !== maps[names[j]!]![p]).length
        expect(differ, `${names[i]} and ${names[j]}`).toBeGreaterThanOrEqual(LEAST[k]!)
      }
  })
})

test('at a desk the action stays in sight, however many joints there are', async ({ page }) => {
  await signIn(page)
  const job = await demoJob(page)
  const log = await eventsOf(page, job)
  const joint = log.findLast((e) => e.kind === 'step-done')?.jointId
  await page.goto(`/job/${job}/make/${joint}`)
  await expect(page.locator('.action')).toBeInViewport({ ratio: 1 })
  await expect(page.locator('.row.here')).toBeInViewport()
})
