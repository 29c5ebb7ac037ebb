import { type Page, expect, test } from '@playwright/test'
import { jobOfAll } from './all-help'
import { EVERYWHERE, inEnglish } from './everywhere'
import { PHONE, signIn } from './help'

/** What on this page nobody could hear, hit or find: drawings without words, tables without headings, small targets. */
const faultsOf = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const LEAST_PX = 44
    const out: string[] = []
    const seen = (e: Element): boolean =>
      e.checkVisibility({ visibilityProperty: true, opacityProperty: true })
    const says = (e: Element): string =>
      `<${e.tagName.toLowerCase()} class="${e.getAttribute('class') ?? ''}"> ${(e.getAttribute('aria-label') ?? e.textContent ?? '').trim().replace(/\s+/g, ' ').slice(0, 50)}`
    const named = (e: Element): boolean =>
      Boolean(
        e.getAttribute('aria-label') ??
        e.getAttribute('aria-labelledby') ??
        e.querySelector(':scope > title')?.textContent,
      )
    for (const svg of document.querySelectorAll('svg')) {
      if (
        !seen(svg) ||
        svg.closest('[aria-hidden=true], [role=img]:not(svg), .el-icon') ||
        svg.parentElement?.closest('svg')
      )
        continue
      if (!named(svg)) out.push(`a drawing without words: ${says(svg.parentElement ?? svg)}`)
    }
    for (const table of document.querySelectorAll('table')) {
      if (!seen(table)) continue
      if (!named(table) && !table.caption) out.push(`a table without a name: ${says(table)}`)
      const loose = [...table.querySelectorAll('th')].filter((th) => !th.scope && !th.closest('thead'))
      if (!table.querySelector('th') || loose.length) out.push(`a table without headings: ${says(table)}`)
    }
    const text = (n: Node): boolean => n.nodeType === 3 && (n.textContent ?? '').trim().length > 1
    /** Stands in a sentence: other words run on beside it, or beside what ties it to the point behind it. */
    const running = (e: Element): boolean =>
      getComputedStyle(e).display.startsWith('inline') &&
      [...(e.parentElement?.closest(':not(.glued)')?.childNodes ?? [])].some(text)
    /** What a finger meets: an input's whole box, a tick's whole label. */
    const hit = (e: Element): Element =>
      e.closest('.el-input__wrapper, .el-select__wrapper, .el-textarea') ??
      (e instanceof HTMLInputElement && ['checkbox', 'radio', 'file'].includes(e.type)
        ? e.closest('label')
        : null) ??
      e
    // A joint in a drawing to scale stands where it stands; each has its row beside the drawing, which is met whole.
    const SKIP = '.el-select-dropdown *, [tabindex="-1"], :disabled, svg a'
    for (const e of document.querySelectorAll(
      'button, a[href], input, .el-select__wrapper, select, textarea, [role=button], [role=radio], [role=tab], [role=option], [role=slider]',
    )) {
      if (!seen(e) || (e.matches(SKIP) && !e.matches('.el-select__wrapper')) || running(e)) continue
      const r = hit(e).getBoundingClientRect()
      if (r.width < 1 || r.height < 1) continue
      // Off to the left until it has the focus: the way past the strips.
      if (r.bottom < 0 || r.right < 0) continue
      if (r.width < LEAST_PX - 0.5 || r.height < LEAST_PX - 0.5)
        out.push(`${Math.round(r.width)} x ${Math.round(r.height)} px to hit: ${says(e)}`)
    }
    return [...new Set(out)]
  })

const SIZES = [
  ['a desk', { width: 1280, height: 800 }],
  ['a phone', PHONE],
] as const
test.describe.configure({ mode: 'parallel' })
for (const [size, viewport] of SIZES)
  for (const [place, go] of EVERYWHERE)
    test(`${place} on ${size}: drawings have words, tables headings, targets 44 px`, async ({ page }) => {
      await page.setViewportSize(viewport)
      await signIn(page)
      const found: string[] = []
      const look = async (where: string): Promise<void> => {
        found.push(...(await faultsOf(page)).map((fault) => `${where}: ${fault}`))
      }
      await go({ ...(await jobOfAll(page, 'inch')), page, look, called: inEnglish })
      expect(found).toEqual([])
    })

/** What lies over the middle of what has the focus, where that is not itself. */
const coveredBy = (page: Page): Promise<string | null> =>
  page.evaluate(() => {
    const e = document.activeElement
    if (!e || e === document.body) return null
    const box = (e.closest('label') ?? e).getBoundingClientRect()
    if (box.width < 1 || box.height < 1) return null
    const [x, y] = [box.left + box.width / 2, box.top + Math.min(box.height / 2, 22)]
    const over = document.elementFromPoint(x, y)
    if (!over) return `it lies outside the window: ${e.textContent?.trim().slice(0, 40) ?? ''}`
    const own = over === e || e.contains(over) || over.contains(e) || over.closest('label')?.contains(e)
    return own ? null : `<${over.tagName} class="${String(over.className)}"> over ${e.outerHTML.slice(0, 90)}`
  })
for (const [size, viewport] of SIZES)
  test(`on ${size} nothing that has the focus lies under a strip, forwards or backwards`, async ({
    page,
  }) => {
    await page.setViewportSize(viewport)
    await signIn(page)
    const { job, joints } = await jobOfAll(page, 'metric')
    const found: string[] = []
    for (const path of ['set-out', 'cut', `make/${joints[0]}`, 'wait', 'prove', 'site', 'hand-over']) {
      await page.goto(`/job/${job}/${path}`)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      for (const key of ['Tab', 'Shift+Tab'])
        for (let i = 0; i < 45; i++) {
          await page.keyboard.press(key)
          const over = await coveredBy(page)
          if (over) found.push(`${path}, ${key}: ${over}`)
        }
    }
    expect([...new Set(found)]).toEqual([])
  })
