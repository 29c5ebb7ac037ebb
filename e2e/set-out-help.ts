import { type Page, expect } from '@playwright/test'
import { PHONE, signIn } from './help'
import { chooseIn, hit } from './lists-help'

/** A job of its own with one line begun; gives its id. */
export async function newLine(page: Page, name: string, tag = 'Q9'): Promise<string> {
  await signIn(page)
  await page.goto('/jobs')
  await page.getByLabel('Name').fill(name)
  await page.getByText('metric:').click()
  await page.getByRole('button', { name: 'Begin the job' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Nothing set out yet')
  await page.keyboard.press('n')
  await page.getByLabel('Tag').fill(tag)
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Next fitting or piece')).toBeVisible()
  return page.url().split('/job/')[1]?.split('/')[0] ?? ''
}
/** The two ways in which whatever is set out is tried: an inch job by the mouse, a metric one by the thumb. */
export const INCH_MOUSE = {
  how: 'in inches, by the mouse',
  device: { viewport: { width: 1280, height: 800 } },
  school: 'inch: primer, quarter turn',
} as const
export const METRIC_THUMB = {
  how: 'in millimetres, by the thumb',
  device: { viewport: PHONE, hasTouch: true },
  school: 'metric:',
} as const
/** On a server that holds nothing: a job with one line begun; gives the job's id. @param said `inch:` or `metric:` and more. */
export async function begunLine(
  page: Page,
  said: { name: string; school: string; tag: string; method?: string; material?: string },
): Promise<string> {
  await page.request.post('/api/session', { data: { login: 'wren', password: 'tide-and-pipe' } })
  await page.goto('/jobs')
  await page.getByLabel('Name').fill(said.name)
  await hit(page.getByText(said.school))
  await hit(page.getByRole('button', { name: 'Begin the job' }))
  await expect(headline(page)).toContainText('Nothing set out yet')
  await hit(page.getByRole('button', { name: /^(Begin a line|New line)$/ }))
  await page.getByLabel('Tag').fill(said.tag)
  if (said.method) await chooseIn(page.locator('#line-method'), said.method)
  if (said.material) await chooseIn(page.locator('#line-material'), said.material)
  await hit(page.getByRole('button', { name: 'Begin the line' }))
  await expect(page.getByRole('dialog')).toHaveCount(0)
  return page.url().split('/job/')[1]?.split('/')[0] ?? ''
}
/** Begins another line of the job, like the one that is open. */
export async function secondLine(page: Page, tag: string): Promise<void> {
  await hit(page.getByRole('button', { name: 'New line' }))
  await page.getByLabel('Tag').fill(tag)
  await hit(page.getByRole('button', { name: 'Begin the line' }))
  await expect(page.getByRole('dialog')).toHaveCount(0)
}
export async function type(page: Page, ...texts: string[]): Promise<void> {
  const entry = page.getByLabel('Next fitting or piece')
  for (const text of texts) {
    await entry.fill(text)
    await entry.press('Enter')
    await expect(entry).toHaveValue('')
  }
  // The field is free before what was typed is kept: whoever leaves the page waits for that.
  await expect(entry).toHaveAttribute('aria-busy', 'false')
}
export const parts = (page: Page) => page.locator('.grid-space .part .name')
export const typedParts = (page: Page) => page.locator('.grid-space .part .cell:nth-child(2)')
export const headline = (page: Page) => page.getByRole('heading', { level: 1 })
