import { type JobEvent, type JobState, foldJob } from '@jugalis/core'
import { type Locator, type Page, expect, test } from '@playwright/test'
import { CARRIER, LINES, RATING_BAR, SECTION, STOCK, TAKE_OFFS } from '../demo/lines'
import { tellStory } from '../demo/world'
import { fromNothing } from './empty-help'

/** Tab until something has the focus: the way there is part of what is tried. */
async function tabTo(page: Page, target: Locator): Promise<void> {
  for (let i = 0; i < 120; i++) {
    if (await target.evaluate((el) => el === document.activeElement).catch(() => false)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`not reached by Tab: ${target}`)
}
async function choose(page: Page, label: string, option: string): Promise<void> {
  await tabTo(page, page.getByRole('combobox', { name: label }))
  await page.keyboard.press('Enter')
  const lit = page.locator('.el-select-dropdown__item.is-hovering:visible')
  for (let i = 0; i < 30 && (await lit.textContent().catch(() => '')) !== option; i++)
    await page.keyboard.press('ArrowDown')
  await expect(lit).toHaveText(option)
  await page.keyboard.press('Enter')
}
const said: Record<string, string> = { solder: 'Solder', press: 'Press', 'sanitary-clamp': 'Sanitary clamp' }

/** What a job is, apart from ids and times. */
function shapeOf(state: JobState) {
  return {
    lines: [...state.lines.values()]
      .map((l) => ({
        head: [l.tag, l.name, l.method, l.material, l.school, l.series ?? null, l.ratingBar],
        inside: l.insideOf ? state.lines.get(l.insideOf)?.tag : null,
        items: l.items.map((i) => [
          i.type,
          i.tag,
          i.fitting,
          i.size,
          i.size2,
          i.measure,
          i.measuredMm,
          i.jointTags,
          i.bend ?? null,
          l.items.find((f) => f.id === i.run)?.tag ?? null,
        ]),
      }))
      .sort((a, b) => String(a.head[0]).localeCompare(String(b.head[0]))),
    takeOffs: [...state.takeOffs].map(([key, t]) => [key, t.takeOffMm, t.takeOffTo]).sort(),
    sections: [...state.sections.values()]
      .map((s) => [s.tag, s.jointIds.length, s.workingBar, s.testBar, s.holdS, s.allowedDropBar, s.ratingBar])
      .sort(),
    stock: state.stock && {
      ...state.stock,
      offcuts: state.stock.offcuts.map(({ pipe, lengthMm }) => [pipe, lengthMm]),
    },
  }
}
const SETTING_OUT = [
  'line-set',
  'item-put',
  'items-put',
  'item-moved',
  'item-removed',
  'take-off',
  'section-set',
  'stock-set',
]

test('the demo job is set out from an empty database by keyboard alone', async ({ browser }) => {
  await fromNothing(browser, async (page, url) => {
    const { keyboard } = page
    const fill = async (field: Locator, text: string): Promise<void> => {
      await tabTo(page, field)
      await keyboard.type(text)
    }
    const h1 = page.getByRole('heading', { level: 1 })
    await page.goto(`${url}/`)
    await fill(page.getByLabel('Name'), 'wren')
    await fill(page.getByLabel('Password'), 'tide-and-pipe')
    await keyboard.press('Enter')
    await expect(h1).toContainText('You are on no job yet')
    await fill(page.getByLabel('Name'), 'Kelpwick by keys')
    await keyboard.press('Enter')
    await expect(h1).toContainText('Nothing set out yet')
    const job = page.url().split('/job/')[1]?.split('/')[0] ?? ''

    const known = new Set<string>()
    const grid = page.getByRole('grid')
    for (const l of LINES) {
      await keyboard.press('n')
      await keyboard.type(l.tag)
      await fill(page.getByLabel('What it carries'), l.name)
      if (l.joined) {
        await choose(page, 'Joined by', said[l.joined.method] as string)
        await choose(page, 'Material', l.joined.material)
      }
      await fill(page.getByLabel(/Rating of its weakest/), String(RATING_BAR))
      await keyboard.press('Enter')
      await expect(h1).toContainText('Nothing set out yet. Type a fitting')
      await keyboard.press('.')
      for (const text of l.entries) {
        await keyboard.type(text)
        await keyboard.press('Enter')
      }
      await expect(
        page.getByRole('status').filter({ hasText: `${l.entries.at(-1)}: set out.` }),
      ).toBeVisible()
      await keyboard.press('Escape')
      // Take-offs: row by row, T where one is to be measured.
      const own = TAKE_OFFS.map(([fitting, size, size2, mm]) => ({
        name: [fitting, [size, size2].filter(Boolean).join(' to ')].join(' '),
        mm,
      }))
      await tabTo(page, grid)
      await keyboard.press('Home')
      const rows = Number(await grid.getAttribute('aria-rowcount')) - 1
      for (let i = 0; i < rows; i++) {
        const row = page.locator('.part.here')
        for (const ask of await row.locator('.take.refusal').all()) {
          // One measure may have answered both outlets of a fitting, while this row was still being drawn anew.
          if (!(await ask.count())) continue
          const text = (await ask.textContent())?.trim() ?? ''
          if (text.startsWith('branch')) await keyboard.press('Shift+T')
          else if (await row.locator('.take.refusal').count()) await keyboard.press('t')
          else continue
          const title = (await page.getByRole('dialog').getAttribute('aria-label')) ?? ''
          const t = own.find((o) => title === `Take-off of ${o.name}`)
          if (t && !known.has(t.name)) {
            known.add(t.name)
            await keyboard.type(String(t.mm))
            await keyboard.press('Enter')
            await expect(row.locator('.take.refusal').filter({ hasText: text })).toHaveCount(0)
          } else await keyboard.press('Escape')
          await expect(page.getByRole('dialog')).toHaveCount(0)
        }
        await keyboard.press('j')
      }
      if (l.tag === 'Q1' || l.tag === 'Q2') {
        await tabTo(page, page.getByRole('button', { name: /Paint a section/ }))
        await keyboard.press('Enter')
        await fill(page.getByLabel('Working pressure'), String(SECTION.workingBar))
        await fill(page.getByLabel('Test pressure'), String(SECTION.testBar))
        await fill(page.getByLabel('Fall allowed'), String(SECTION.allowedDropBar))
        await keyboard.press('Enter')
        await expect(h1).toContainText('1 section')
      }
      if (l.tag === CARRIER.inside) {
        await tabTo(page, page.getByRole('button', { name: /a carrier inside/ }))
        await keyboard.press('Enter')
        await fill(page.getByLabel('Carrier inside d63'), '32')
        await keyboard.press('Enter')
        await expect(h1).toContainText('ADi')
      }
      await keyboard.press('Escape')
    }

    await keyboard.press('2')
    await expect(h1).toContainText('Cut')
    await tabTo(page, page.getByRole('link', { name: 'Lay out on bars' }))
    await keyboard.press('Enter')
    await tabTo(page, page.getByRole('button', { name: 'What it is cut from' }))
    await keyboard.press('Enter')
    await keyboard.type(STOCK.barsMm.join('; '))
    await fill(page.getByLabel('The saw takes'), String(STOCK.kerfMm))
    await fill(page.getByLabel('Worth keeping'), String(STOCK.keepMm))
    await tabTo(page, page.getByLabel('Pipe of the offcut'))
    await keyboard.type('copper')
    await fill(page.getByLabel('An offcut at hand'), '1240')
    await tabTo(page, page.getByRole('button', { name: 'Add' }))
    await keyboard.press('Enter')
    await tabTo(page, page.getByRole('button', { name: 'Note it' }))
    await keyboard.press('Enter')
    await tabTo(page, page.getByRole('button', { name: 'Lay out on bars' }))
    await keyboard.press('Enter')
    await expect(h1).toContainText(/pieces from \d+ new bars/)

    const read = await page.request.get(`${url}/api/jobs/${job}/events?after=0`)
    const { lines } = (await read.json()) as { lines: { event: JobEvent }[] }
    const typed = shapeOf(foldJob(lines.map((x) => x.event)))
    const nowS = Date.now() / 1000
    const told = tellStory(nowS, false)
      .filter((t) => SETTING_OUT.includes(t.draft.kind))
      .map((t): JobEvent => ({
        ...t.draft,
        jobId: job,
        deviceId: '',
        actorId: '',
        occurredAtS: t.atS,
        clockErrorS: 0,
      }))
    expect(typed).toEqual(shapeOf(foldJob(told)))
  })
})
