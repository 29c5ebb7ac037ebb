import { type Locator, type Page, expect } from '@playwright/test'
import { bothWays } from './both-ways'
import { eventsOf, noViolations } from './help'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, headline } from './set-out-help'

const WAYS = [
  {
    ...INCH_MOUSE,
    sizes: 'inch sizes',
    says: /solvent cement, PVC, NPS 3\/4; 3 pieces to measure/i,
    wrong: 'four',
    measure: '49-1/4',
    // 49-1/4, and into a socket of 23/32 at both ends (ASTM D2466, from memory).
    cut: '50-11/16',
    foreign: / mm\b|millimet/,
    plastic: 'PVC',
    check: '2',
  },
  {
    ...METRIC_THUMB,
    sizes: 'millimetre sizes',
    says: /solvent cement, PVC-U, d32; 3 pieces to measure/i,
    wrong: 'four',
    measure: '1250',
    // 1250, and 22 into the socket at both ends (EN ISO 1452-3, from memory).
    cut: /Cut 1\s?294 mm/,
    foreign: /\d ?in\b|inch/,
    plastic: 'PVC-U',
    check: '50',
  },
]

/** Counts what a person does, however often the page is opened anew. */
const counting = async (page: Page): Promise<void> => {
  await page.addInitScript(() => {
    const add = (what: string) => (): void =>
      sessionStorage.setItem(what, String(Number(sessionStorage.getItem(what) ?? 0) + 1))
    document.addEventListener('pointerdown', add('taps'), true)
    document.addEventListener('keydown', add('keys'), true)
  })
}
const counted = (page: Page): Promise<{ taps: number; keys: number }> =>
  page.evaluate(() => ({
    taps: Number(sessionStorage.getItem('taps')),
    keys: Number(sessionStorage.getItem('keys')),
  }))
/**
 * How long somebody takes for so much, s: to think, to point and to press for each tap, and a key at a time for one who
 * types seldom. Keystroke-level model (Card, Moran and Newell, 1980, from memory): M 1.35, P 1.1, B 0.2, K 0.5.
 */
const takesS = ({ taps, keys }: { taps: number; keys: number }): number =>
  taps * (1.35 + 1.1 + 0.2) + keys * 0.5

const type = async (field: Locator, text: string): Promise<void> => {
  await hit(field)
  await field.pressSequentially(text)
}

bothWays(WAYS, 'from nothing to the first pipe, cut and joined', async (page, own) => {
  await counting(page)
  await page.goto('/')
  await type(page.getByLabel('Name'), 'wren')
  await type(page.getByLabel('Password'), 'tide-and-pipe')
  await page.keyboard.press('Enter')
  await expect(headline(page)).toContainText('You are on no job yet. What will you join?')
  await noViolations(page)
  await hit(page.getByRole('radio', { name: own.sizes }))
  const card = page.getByRole('button', { name: /^Condensate/ })
  await expect(card).toContainText(own.says)
  await hit(card)
  await expect(page.getByLabel('Name of the job')).toHaveValue('Condensate')
  await noViolations(page)
  await hit(page.getByRole('button', { name: 'Begin with this line' }))
  await hit(page.getByRole('link', { name: 'Measure the first piece: K/P01' }))
  await expect(headline(page)).toContainText(/K\/P01, .*, is not measured yet/)
  await noViolations(page)
  // What cannot be read is said at its field, and typed anew.
  const field = page.getByLabel('From the face of K/F01 to the face of K/F02')
  await type(field, own.wrong)
  await field.press('Enter')
  await expect(page.getByRole('alert')).toContainText(own.wrong)
  await field.selectText()
  await field.pressSequentially(own.measure)
  await field.press('Enter')
  await expect(headline(page)).toContainText(own.cut)
  await expect(headline(page)).not.toContainText(own.foreign)
  await noViolations(page)
  await hit(page.getByRole('button', { name: 'Cut', exact: true }))
  await expect(headline(page)).toContainText(/K\/P02, .*, is not measured yet/)
  const first = await counted(page)
  console.log(
    `${own.how}: first pipe cut with ${first.taps} taps and ${first.keys} keys, ${takesS(first).toFixed(0)} s`,
  )
  expect(takesS(first)).toBeLessThan(180)
  const job = page.url().split('/job/')[1]?.split('/')[0] ?? ''
  const kinds = async () => (await eventsOf(page, job)).map(({ kind }) => kind)
  await expect.poll(kinds).toContain('piece-cut')

  // Measured wrongly: once more, and what was cut says so.
  await hit(page.getByRole('button', { name: 'Previous piece' }))
  await expect(page.getByRole('button', { name: 'Is cut' })).toBeDisabled()
  await hit(page.getByRole('link', { name: 'Make' }).first())
  await hit(page.getByRole('link', { name: /K-01\b/ }).first())
  await expect(page.getByRole('region', { name: 'Joint K-01' })).toBeVisible()
  const before = await counted(page)
  await joined(page, own, async () => (await kinds()).filter((kind) => kind === 'step-done').length)
  const after = await counted(page)
  const all = { taps: first.taps + 2 + after.taps - before.taps, keys: first.keys + after.keys - before.keys }
  console.log(
    `${own.how}: first joint made with ${all.taps} taps and ${all.keys} keys, ${takesS(all).toFixed(0)} s`,
  )
  expect(takesS(all)).toBeLessThan(180)
  const steps = (await eventsOf(page, job)).filter(({ kind }) => kind === 'step-done')
  expect(steps.filter(({ data }) => data.tinId).length).toBeGreaterThan(0)
})

/** The first joint, with a tin whose code is scanned at it. */
async function joined(
  page: Page,
  { plastic, check }: { plastic: string; check: string },
  written: () => Promise<number>,
): Promise<void> {
  await hit(page.getByRole('button', { name: 'Scan a code' }))
  // A wedge types the code by itself: nobody's fingers do.
  const code = page.getByLabel('Code of a tin')
  await code.fill('26105A')
  await code.press('Enter')
  const sheet = page.getByRole('dialog')
  await expect(sheet.getByLabel('Code, name or number on it')).toHaveValue('26105A')
  await expect(sheet.getByRole('button', { name: plastic, exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await hit(sheet.getByRole('button', { name: 'Keep it, in hand' }))
  await expect(sheet).toHaveCount(0)
  const action = page.locator('.action')
  const good = page.locator('.top').getByRole('img', { name: /judged good/ })
  for (let step = 0; step < 12 && !(await good.count()); step++) {
    await expect(action).not.toContainText('Hands stay')
    for (const seen = page.getByRole('button', { name: 'Seen', exact: true }); await seen.count();)
      await hit(seen.first())
    const typeIt = page.getByRole('button', { name: 'Type it' })
    if (await typeIt.count()) await hit(typeIt)
    const mark = page.locator('#read-checkMm')
    if (await mark.count()) await type(mark, check)
    for (const group of await page.locator('.asked').all()) await hit(group.locator('.button').first())
    await expect(action).toBeEnabled()
    const now = await written()
    await hit(action)
    await expect.poll(written).toBe(now + 1)
  }
  await expect(good).toBeVisible()
}
