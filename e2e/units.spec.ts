import { type Page, expect, test } from '@playwright/test'
import { jobOfAll } from './all-help'
import { EVERYWHERE, inEnglish } from './everywhere'
import { cellsOf, entriesOf, fileOf, pagesOf } from './files-help'
import { signIn } from './help'

/** A figure with a unit of the other system behind it. */
const FOREIGN = {
  inch: /\d\s?(?:mm|cm|bar|mbar|kPa|°C|Nm|kg|kJ\/m|l\/m|K|m|l)(?![A-Za-z\d])/g,
  metric: /\d\s?(?:psi|°F|in-lb|ft-lb|ft|lb|gal)(?![A-Za-z])/g,
} as const
const NEVER = [
  ['more digits than can be read', /\d[.,]\d{4,}/g],
  ['a figure without its unit', /\d[.,]\d+ (?:clamp|gasket|flange|seal|nut|ring)\b/g],
  ['not a number', /NaN|undefined|\[object|Infinity/g],
  [
    'a raw id',
    /\b(?:grip-nut|ball-valve|twin-ferrule|carbon-steel|pvc-u|epoxy-resin|solvent-cement|socket-fusion|stop-[a-z-]+|verdict-[a-z-]+|[dD]\d+\.\d+ clamp)\b/g,
  ],
] as const

/** Everything a person can read or hear on this page, as one text. */
const readable = (page: Page): Promise<string> =>
  page.evaluate(() => {
    // Sources are quoted by the names they bear, units and all.
    const cited = [...document.querySelectorAll('cite')].map((c) => c.innerText)
    const out: string[] = [cited.reduce((text, c) => text.replace(c, ''), document.body.innerText)]
    for (const el of document.querySelectorAll('[aria-label], [placeholder], [title], svg text, svg title'))
      out.push(
        el.getAttribute('aria-label') ?? '',
        el.getAttribute('placeholder') ?? '',
        el.getAttribute('title') ?? '',
        el instanceof SVGElement ? (el.textContent ?? '') : '',
      )
    for (const el of document.querySelectorAll('input')) out.push(el.value)
    return out.join('\n')
  })

/** Pages that say a figure in both systems, or quote sources by their names. */
const BOTH: readonly string[] = ['handbook, a joint', 'handbook, not yet checked']
/** Sixteenths of an inch as a spreadsheet has them are no digits too many. */
const whole = (text: string): string =>
  text.replace(/\b\d+\.\d+\b/g, (n) => (Number.isInteger(Number(n) * 16) ? 'SIXTEENTHS' : n))
/** What both systems share, and sizes that carry figures of their own. */
const known = (text: string): string =>
  text
    .replace(/\b(?:NPS|CTS|OD|BPE|DN) [\d-/]+/g, 'SIZE')
    .replace(/\bd\d+(?:\.\d+)?\b/g, 'SIZE')
    .replace(/PN ?\d+/g, 'PN')

type School = keyof typeof FOREIGN
/** What is wrong with a text of a place, of a job in one system. */
function judged(school: School, where: string, said: string): string[] {
  const text = known(said)
  const foreign = BOTH.includes(where) ? [] : [['a unit of the other system', FOREIGN[school]] as const]
  return [...foreign, ...NEVER].flatMap(([what, pattern]) =>
    [...text.matchAll(pattern)].map(
      (m) =>
        `${where}: ${what}: …${text.slice(Math.max(0, m.index - 40), m.index + 25).replace(/\s+/g, ' ')}…`,
    ),
  )
}

test.describe.configure({ mode: 'parallel' })
for (const school of ['inch', 'metric'] as const) {
  for (const [place, go] of EVERYWHERE)
    test(`${place} of a job in ${school}: no unit of the other system, no figure beyond what can be read`, async ({
      page,
    }) => {
      await signIn(page)
      const found: string[] = []
      // The page of settings shows how each system reads; the names of jobs are whatever people called them.
      const look = async (where: string): Promise<void> => {
        if (!['settings', 'jobs'].includes(where)) found.push(...judged(school, where, await readable(page)))
      }
      await go({ ...(await jobOfAll(page, school)), page, look, called: inEnglish })
      expect([...new Set(found)]).toEqual([])
    })

  test(`papers and files of a job in ${school}: no unit of the other system`, async ({ page }) => {
    await signIn(page)
    const { job } = await jobOfAll(page, school)
    const found: string[] = []
    // The unit stands in the heading.
    const read = (where: string, text: string): void => {
      expect([where, text.length > 20]).toEqual([where, true])
      found.push(...judged(school, where, text))
    }
    await page.goto(`/job/${job}/cut`)
    await page
      .getByRole('button', { name: /On paper|Print|Papers/ })
      .first()
      .click()
    const paper = (name: string) => fileOf(page, page.getByRole('button', { name, exact: true }))
    const csv = (await paper('Cut list, CSV')).toString('utf8')
    const unit = school === 'inch' ? 'in' : 'mm'
    expect(csv.split('\n')[0]).toContain(`measured_${unit},cut_${unit}`)
    expect(csv).toContain(school === 'inch' ? '55.375' : '1407')
    read('cut list, CSV', whole(csv.replaceAll(',', ' | ')))
    for (const name of ['Cut list, PDF', 'Labels for pieces and joints, PDF'])
      read(name, (await pagesOf(await paper(name))).join('\n'))
    // The strips bear both rulers, to be held against whatever tape is at hand.
    const strips = (await pagesOf(await paper('Mark strips, full size, PDF'))).join('\n')
    read('mark strips', strips.replaceAll('100 mm', '').replaceAll(/\b4 in\b/g, ''))
    const cells = await cellsOf(await paper('Cut list, workbook'))
    expect(cells).toContain(`cut_${unit}`)
    read('workbook', whole(cells.join('\n')))
    const log = await (await page.request.get(`/api/jobs/${job}/log.csv`)).text()
    read('joint log', log.replaceAll(',', ' | '))
    const feed = (await (await page.request.get(`/api/jobs/${job}/calendar`)).json()) as { path: string }
    read('calendar', entriesOf(await (await page.request.get(feed.path)).text()).join('\n'))
    expect([...new Set(found)]).toEqual([])
  })
}
