import { type Page, expect } from '@playwright/test'
import type { JobOfAll } from './all-help'

/** Somebody who goes through a job and has each place looked at. */
export interface Walk extends JobOfAll {
  page: Page
  look: (where: string) => Promise<void>
  /** Names of buttons as they are read: in English, or as another language has them. */
  called: (name: string | RegExp) => string | RegExp
}

/** Nothing was asked of the server for so long that the page has said all it has to say, ms. */
const QUIET_MS = 120
/** Waits until all that the page asked for has come; the stream of a followed log never ends and is not waited for. */
async function settled(page: Page, open: () => Promise<unknown>): Promise<void> {
  const waiting = new Set<unknown>()
  let since = Date.now()
  const asks = (request: { url(): string }): void =>
    void (request.url().endsWith('/live') || waiting.add(request))
  const has = (request: unknown): void => void ((since = Date.now()), waiting.delete(request))
  page.on('request', asks)
  page.on('requestfinished', has)
  page.on('requestfailed', has)
  await open()
  await expect(page.getByRole('heading', { level: 1 }).first()).not.toBeEmpty()
  await expect
    .poll(() => waiting.size === 0 && Date.now() - since >= QUIET_MS, { intervals: [40] })
    .toBe(true)
  page.off('request', asks)
  page.off('requestfinished', has)
  page.off('requestfailed', has)
}
async function openAt({ page, look }: Walk, address: string, where: string): Promise<void> {
  await settled(page, () => page.goto(address))
  await look(where)
}
const open = (walk: Walk, path: string, where = path): Promise<void> =>
  openAt(walk, `/job/${walk.job}/${path}`, where)

/** Opens a sheet by a button of the page, looks, and leaves it. */
async function sheet({ page, look, called }: Walk, name: string | RegExp, where: string): Promise<void> {
  await page
    .getByRole('button', { name: called(name) })
    .first()
    .click()
  await expect(page.getByRole('dialog').first()).toBeVisible()
  await look(where)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
}

async function setOut(walk: Walk): Promise<void> {
  const { page, lastTag: tag } = walk
  await open(walk, 'set-out')
  await sheet(walk, 'Paint a section', 'set-out, section sheet')
  await sheet(walk, 'New line', 'set-out, line sheet')
  await sheet(walk, /Wall|No reading/, 'reading sheet')
  await page.getByRole('link', { name: `${tag} ${tag}` }).click()
  await expect(page.getByRole('link', { name: `${tag} ${tag}` })).toHaveAttribute('aria-current', 'page')
  await walk.look('set-out, another line')
  await open(walk, 'fittings')
  await open(walk, 'supports?laid=5&warm=25&cold=2')
}
async function cut(walk: Walk): Promise<void> {
  await open(walk, 'cut')
  for (const link of await walk.page.locator('a[href*="/cut/"]').all()) {
    const href = await link.getAttribute('href')
    if (href) await open(walk, href.split(`/job/${walk.job}/`)[1] as string, 'cut, one piece')
  }
  await sheet(walk, 'The socket measures', 'cut, socket sheet')
  await open(walk, 'cut')
  await sheet(walk, /On paper|Print|Papers/, 'cut, papers')
}
async function barsAndTube(walk: Walk): Promise<void> {
  await open(walk, 'bars')
  await sheet(walk, 'Change the stock', 'bars, stock')
  const [run, radius, set] = walk.school === 'inch' ? ['8 90 12', '2', '12'] : ['200 90 300', '50', '300']
  await open(walk, `tube?run=${encodeURIComponent(run)}&radius=${radius}&set=${set}&angle=45`)
}
async function make(walk: Walk): Promise<void> {
  const { page, look, called } = walk
  await open(walk, 'make')
  for (const joint of walk.joints.filter((_, i) => i % 2 === 0)) {
    await open(walk, `make/${joint}`, 'make, one joint')
    const sources = page.getByRole('button', { name: called(/Where|source/i) })
    if (await sources.count()) await sources.first().click()
    await look('make, with its sources')
    if (await page.getByRole('dialog').count()) await page.keyboard.press('Escape')
  }
  await sheet(walk, 'Put one in…', 'make, putting one in')
}
async function waitAndShift(walk: Walk): Promise<void> {
  await open(walk, 'wait')
  await open(walk, 'shift')
}
async function plan(walk: Walk): Promise<void> {
  const { page, look, called } = walk
  await open(walk, 'plan')
  await expect(page.locator('.sheet-of-day').first()).toBeVisible()
  await look('plan, found')
  await sheet(walk, 'Who is here…', 'plan, who is here')
  await sheet(walk, 'Times of work…', 'plan, times of work')
  await page.locator('.sheet-of-day').first().getByRole('button').first().click()
  await expect(page.getByRole('dialog')).toBeVisible()
  await look('plan, fixing a joint')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.getByRole('button', { name: called('What if') }).click()
  await expect(page.getByRole('table')).toBeVisible()
  await look('plan, what if')
}
async function site(walk: Walk): Promise<void> {
  await open(walk, 'site')
  await walk.page.getByRole('button', { name: walk.called('Put one up…') }).click()
  await walk.look('site, an instrument')
}
async function prove(walk: Walk): Promise<void> {
  const { page, look, called } = walk
  await open(walk, 'prove')
  for (const tab of ['Plan', 'Parts and tags', 'Tests and after', 'Gates']) {
    await page.getByRole('radio', { name: called(tab) }).click()
    await look(`prove, ${tab}`)
    if (tab === 'Plan') await sheet(walk, 'Change the plan…', 'prove, plan sheet')
  }
  await page.getByRole('button', { name: called('More of the gauge…') }).click()
  await look('prove, gauge')
  await page.getByRole('button', { name: called('Pressure is on: begin') }).click()
  await expect(page.getByRole('alert').first()).toBeVisible()
  await look('prove, refused')
}
async function handbook(walk: Walk): Promise<void> {
  await open(walk, 'handbook')
  const joint = walk.school === 'inch' ? 'pvc~NPS 2~inch~80' : 'pvc-u~d63~metric~'
  await open(walk, `handbook?at=${encodeURIComponent(`solvent-cement~${joint}`)}`, 'handbook, a joint')
  await open(walk, 'handbook?page=unverified', 'handbook, not yet checked')
  await open(walk, 'handbook?page=tube', 'handbook, tube work')
}

async function practice(walk: Walk): Promise<void> {
  const { page, look, called } = walk
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await open(walk, 'practice')
  const act = page.locator('.act .main')
  for (let step = 0; step < 9 && (await act.count()); step++) {
    await page.locator('.step').getByRole('group').first().getByRole('button').first().click()
    await look(`practice, step ${step + 1}`)
    const ring = page.getByRole('button', { name: called('Draw it on round the pipe') })
    if (await ring.count()) await ring.click()
    await look(`practice, step ${step + 1}, drawn on`)
    const was = await page.locator('.look').textContent()
    await act.click()
    await expect(page.locator('.look').filter({ hasText: was ?? '' })).toHaveCount(0)
  }
  await page.getByRole('button', { name: called('Cut it open') }).click()
  await look('practice, cut open')
  for (const drill of ['judge', 'find', 'order', 'sums'])
    await open(walk, `practice?do=${drill}`, `practice, ${drill}`)
}

async function store(walk: Walk): Promise<void> {
  const { page, look } = walk
  await open(walk, 'store')
  await sheet(walk, 'Put in…', 'store, putting in')
  await page.locator('a.row').first().click()
  await expect(page.locator('.panel')).toBeVisible()
  await look('store, one thing')
}

/** Every place with its tabs and its sheets, each to be gone through by itself. */
export const EVERYWHERE: readonly (readonly [name: string, go: (walk: Walk) => Promise<void>])[] = [
  ['Make', make],
  ['Set out', setOut],
  ['Cut', cut],
  ['Bars and tube work', barsAndTube],
  ['Wait and the shift', waitAndShift],
  ['Plan', plan],
  ['Site', site],
  ['Prove', prove],
  ['Hand over', (walk) => open(walk, 'hand-over')],
  ['Upkeep', (walk) => open(walk, 'upkeep')],
  ['Store', store],
  ['Handbook', handbook],
  ['Practice', practice],
  ['Settings', (walk) => openAt(walk, '/settings', 'settings')],
  ['Jobs', (walk) => openAt(walk, '/', 'jobs')],
]
/** Names as they are in English. */
export const inEnglish: Walk['called'] = (name) => name
