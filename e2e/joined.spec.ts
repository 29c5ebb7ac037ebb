import { expect } from '@playwright/test'
import { bothWays } from './both-ways'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, begunLine, secondLine, type, typedParts } from './set-out-help'

/** A main with a tee, and a line that begins in its branch, in both systems. */
const WAYS = [
  {
    ...INCH_MOUSE,
    main: ['from +8\'-0" east', 'cap 2', '36 c-c', 'tee branch north', '72 c-c', 'cap'],
    socket: 'elbow 90 2 up',
    other: ['24 c-c', 'elbow 90 up', '12 c-c', 'cap'],
  },
  {
    ...METRIC_THUMB,
    main: ['from +2.400 east', 'cap 63', '1000 c-c', 'tee branch north', '2000 c-c', 'cap'],
    socket: 'elbow 90 63 up',
    other: ['600 c-c', 'elbow 90 up', '300 c-c', 'cap'],
  },
] as const

bothWays(
  WAYS,
  `a line that begins in another's branch is joined to it, drawn with it, and lets go of it`,
  async (page, own) => {
    await begunLine(page, { name: 'Plant room', school: own.school, tag: 'Q9' })
    await type(page, ...own.main)
    await secondLine(page, 'Q8')
    const entry = page.getByLabel('Next fitting or piece')
    await type(page, 'from Q9/F02 branch')
    // A socket does not go into a socket: said at the entry, and nothing is set out.
    await entry.fill(own.socket)
    await entry.press('Enter')
    await expect(page.getByText('A pipe goes into both')).toBeVisible()
    await expect(typedParts(page)).toHaveCount(0)
    await entry.fill('')
    await type(page, ...own.other)
    await expect(page.locator('.space-drawing .joint', { hasText: 'Q8-01' })).toBeVisible()
    // The branch is spoken for.
    await secondLine(page, 'Q7')
    await entry.fill('from Q9/F02 branch')
    await entry.press('Enter')
    await expect(page.getByText('No branch of Q9/F02 stands open')).toBeVisible()

    // Seen together; a part of the other line leads to that line.
    await page
      .getByRole('tab', { name: /^Q8/ })
      .or(page.getByRole('link', { name: /^Q8/ }))
      .first()
      .click()
    const drawing = page.locator('.space-drawing')
    await expect(drawing.locator('.joint')).toHaveCount(4)
    await hit(page.getByRole('button', { name: /^With what it is joined to/ }))
    await expect(drawing.locator('.joint')).toHaveCount(8)
    await expect(drawing.getByText('Q9/F02')).toBeVisible()
    await drawing.locator('[data-part="Q9/F03"]').click()
    await expect(page).toHaveURL(/set-out/)
    await expect(drawing.getByText('Q8/F01')).toBeVisible()
    await hit(page.getByRole('button', { name: /^With what it is joined to/ }))
    await expect(drawing.locator('.joint')).toHaveCount(4)

    // Without its tee the main has nothing for the other to stand in: the joint goes, and comes back with it.
    const tags = async (): Promise<string[]> => {
      const job = page.url().split('/job/')[1]?.split('/')[0] ?? ''
      const log = (await (await page.request.get(`/api/jobs/${job}/events?after=0`)).json()) as {
        lines: { event: { kind: string; data: { item?: { tag: string; tagA: string | null } } } }[]
      }
      const puts = log.lines.flatMap(({ event }) => event.data.item ?? []).filter((i) => i.tag === 'Q8/P01')
      return puts.map((i) => i.tagA ?? 'none')
    }
    expect((await tags()).at(-1)).toBe('Q8-01')
    await page
      .getByText('Q9/F02', { exact: true })
      .or(page.locator('.grid-space .part .name', { hasText: 'F02' }))
      .first()
      .click()
    await page.keyboard.press('Delete')
    await expect.poll(async () => (await tags()).at(-1)).toBe('none')
    await hit(page.getByRole('button', { name: 'Undo' }))
    await page
      .getByRole('tab', { name: /^Q8/ })
      .or(page.getByRole('link', { name: /^Q8/ }))
      .first()
      .click()
    await expect(page.locator('.space-drawing .joint', { hasText: 'Q8-01' })).toBeVisible()
  },
)
