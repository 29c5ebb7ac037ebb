import { type Page, expect } from '@playwright/test'
import { signIn } from './help'

/** A job of its own with one line begun; gives its id. */
export async function newLine(page: Page, name: string, tag = 'Q9'): Promise<string> {
  await signIn(page)
  await page.goto('/jobs')
  await page.getByLabel('Name').fill(name)
  await page.getByRole('button', { name: 'Begin the job' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Nothing set out yet')
  await page.keyboard.press('n')
  await page.getByLabel('Tag').fill(tag)
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Next fitting or piece')).toBeVisible()
  return page.url().split('/job/')[1]?.split('/')[0] ?? ''
}
export async function type(page: Page, ...texts: string[]): Promise<void> {
  const entry = page.getByLabel('Next fitting or piece')
  for (const text of texts) {
    await entry.fill(text)
    await entry.press('Enter')
    await expect(entry).toHaveValue('')
  }
}
export const parts = (page: Page) => page.locator('.grid-space .part .name')
export const typedParts = (page: Page) => page.locator('.grid-space .part .cell:nth-child(2)')
export const headline = (page: Page) => page.getByRole('heading', { level: 1 })
