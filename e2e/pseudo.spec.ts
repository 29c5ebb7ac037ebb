import { accented } from '@jugalis/core'
import { type Page, expect, test } from '@playwright/test'
import { jobOfAll } from './all-help'
import { EVERYWHERE } from './everywhere'
import { signIn } from './help'

/** A name as the pseudo-language has it: accented, padded, between brackets. */
const inPseudo = (name: string | RegExp): RegExp => {
  const source = typeof name === 'string' ? name.replace(/[.?*+^$()[\]{}|\\]/g, '\\$&') : name.source
  return new RegExp(accented(source))
}
/** Codes in groups of four; names of people, jobs, lines; sizes; what a person types; languages by their own names. */
const NOT_SAID =
  /\b(?:(?:[0-9a-f]{4} )+[0-9a-f]{4}|Jugalis|Wren(?: Ashdown)?|[Tt]eal|[Rr]ook|[Pp]lover|wren|Chrome|Linux|Kelpwick Aquarium, quarantine wing|Harrow Point Light, keeper\u2019s house and boiler room|Harrow Point(?: lights)?|HW-\d+|(?:Mon|Tue|Wed|Thu|Fri|Sat|Sun)|(?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sept?|Oct|Nov|Dec)|Hall|All, (?:inch|metric)|English|Español|[AW]\d*|union|tee|elbow|branch|tag V2|SDR|NPS|CTS|OD|DN|BPE|[Ss]ch|mm|in|ft|bar|psi|Nm|kPa|lb|kg|gal|min|pm|am|PDF|CSV|SVG|JSON|XLSX)\b/g

/** Texts on the page with letters that the pseudo-language would have marked: nobody said them by the book. */
const outside = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const texts: string[] = []
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let n = walker.nextNode(); n; n = walker.nextNode()) {
      const at = n.parentElement
      if (at && !at.closest('script, style, code, b, kbd, cite, input, textarea, body [lang=en]'))
        texts.push(n.textContent ?? '')
    }
    // A button beside a source is named by it.
    for (const el of document.querySelectorAll('[aria-label]:not(tr:has([lang=en]) *), [title]'))
      texts.push(el.getAttribute('aria-label') ?? '', el.getAttribute('title') ?? '')
    return texts.map((t) => t.trim().replace(/\s+/g, ' ')).filter((t) => /\p{L}{2,}/u.test(t))
  })
/** A word of two letters and more with one that is marked in the pseudo-language, and is not here. */
const UNMARKED = /(?<![\p{L}\d])[A-Za-z]*[aceinosuyz][A-Za-z]*(?![\p{L}\d])/gu

/** What a longer text does to the page: it slides sideways, or a text is cut off without dots to say so. */
const broken = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const out: string[] = []
    const over = document.documentElement.scrollWidth - window.innerWidth
    if (over > 1) out.push(`slides sideways by ${over} px`)
    for (const el of document.querySelectorAll<HTMLElement>('button, a, label, h1, h2, p, td, th, span')) {
      const how = getComputedStyle(el)
      if (
        how.overflowX === 'hidden' &&
        how.textOverflow !== 'ellipsis' &&
        el.scrollWidth > el.clientWidth + 1 &&
        el.clientWidth > 1
      )
        out.push(`cut off: ${el.innerText.slice(0, 60)}`)
    }
    for (const el of document.querySelectorAll<HTMLElement>('a, button'))
      if (
        getComputedStyle(el).overflowX === 'visible' &&
        el.clientWidth > 1 &&
        el.scrollWidth > el.clientWidth + 2
      )
        out.push(`out of its box: ${el.innerText.slice(0, 60)}`)
    return out
  })

test.use({ viewport: { width: 1280, height: 800 } })
test.describe.configure({ mode: 'parallel' })
for (const school of ['inch', 'metric'] as const)
  for (const [place, go] of EVERYWHERE)
    test(`${place} of a job in ${school}, in a language a third longer, read from the right: all is said by the book`, async ({
      page,
    }) => {
      await page.addInitScript(() => {
        const kept = JSON.parse(localStorage.getItem('jugalis-prefs') ?? '{}') as object
        localStorage.setItem('jugalis-prefs', JSON.stringify({ ...kept, language: 'pseudo' }))
      })
      await signIn(page)
      const found = new Map<string, string>()
      const look = async (where: string): Promise<void> => {
        for (const fault of await broken(page)) found.set(fault, where)
        const texts = await outside(page)
        // Read after it, so that none came in between. Jobs of other tests lie in the list too; those out of sight are not laid out, and have no inner text.
        const names =
          where === 'jobs' ? await page.locator('ul a .strong, .clocks .of').allTextContents() : []
        names.sort((one, other) => other.length - one.length)
        const unnamed = (text: string): string =>
          names.reduce((rest, name) => rest.replaceAll(name, ''), text)
        for (const said of texts.map(unnamed)) {
          const words =
            said
              .replace(NOT_SAID, '')
              .match(UNMARKED)
              ?.filter((w) => w.length > 1) ?? []
          if (words.length) found.set(`${words.join(' ')} | ${said}`, where)
        }
      }
      await go({ ...(await jobOfAll(page, school)), page, look, called: inPseudo })
      expect([...found].map(([said, where]) => `${where}: ${said}`)).toEqual([])
    })
