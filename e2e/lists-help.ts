import { type Locator, type Page, expect } from '@playwright/test'

/** A hand: it taps where the screen is touched, and clicks elsewhere. */
const touched = new WeakMap<Page, boolean>()
export async function hit(at: Locator): Promise<void> {
  const page = at.page()
  if (!touched.has(page)) touched.set(page, await page.evaluate(() => navigator.maxTouchPoints > 0))
  await (touched.get(page) ? at.tap() : at.click())
}

/** What lies behind More… where there is no room for it; the room may still be found out. */
export async function hitOrMore(at: Locator): Promise<void> {
  const more = at.page().getByRole('button', { name: 'More…' })
  await expect(async () => {
    if (!(await at.count())) await more.click({ timeout: 2000 })
    await expect(at).toBeVisible({ timeout: 2000 })
  }).toPass()
  await hit(at)
}

/** Waits until a thing lies where it lay a moment ago: what is pointed at while it moves is missed. */
async function lies(at: Locator): Promise<void> {
  let before = ''
  await expect
    .poll(
      async () => {
        const now = JSON.stringify(await at.boundingBox())
        const same = now === before
        before = now
        return same
      },
      { intervals: [150] },
    )
    .toBe(true)
}

/** Opens a list by pointing at it and chooses in it; the next may not be asked for before this one is gone. */
export async function chooseIn(box: Locator, option: string | RegExp): Promise<void> {
  const page = box.page()
  await hit(box.locator('xpath=ancestor::*[contains(concat(" ", @class, " "), " el-select ")][1]'))
  await expect(box).toHaveAttribute('aria-expanded', 'true')
  const list = page.locator(`#${(await box.getAttribute('aria-controls')) ?? ''}`)
  const one = list.getByRole('option', { name: option, exact: typeof option === 'string' }).first()
  // A list near the end of the screen opens the other way once it is scrolled to.
  await one.scrollIntoViewIfNeeded()
  await lies(one)
  await hit(one)
  await expect(box).toHaveAttribute('aria-expanded', 'false')
  await expect(list).toBeHidden()
}
