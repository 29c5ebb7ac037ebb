import { type JobState, jointPlaces } from '@jugalis/core'
import { expect } from '@playwright/test'
import { bothWays } from './both-ways'
import { stateOf } from './help'
import { doesStep, seesAll } from './make-help'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, begunLine, headline, type, typedParts } from './set-out-help'

/** A main with a saddle on it, and a pipe from there, in both systems. */
const WAYS = [
  {
    ...INCH_MOUSE,
    main: ['from +8\'-0" east', 'cap 4', "10' c-c", 'elbow 90 north'],
    beyond: "saddle 1 at 11'",
    isBeyond: /is not on it/,
    saddle: 'saddle 1 at 3\'-0" up 30 south',
    branch: ['male adapter 1', "2' c-c", 'cap'],
    takeOff: '3/4',
    marks: /Hole from the end of Q9-01: 37-1\/4 for F03/,
    asks: { 'Hole for the saddle': '1-1/4', 'Largest hole': '1-3/8', Bolts: '2', 'Torque, dry': '20 ft-lb' },
    sits: '36',
    east: '120',
    round: 'looking along the pipe: 1-3/16 in round to the right (30°)',
    reads: { large: '1-1/2', hole: '1-1/4', torque: '20 ft-lb' },
  },
  {
    ...METRIC_THUMB,
    main: ['from +2.400 east', 'cap 110', '3000 c-c', 'elbow 90 north'],
    beyond: 'saddle 1 at 3200',
    isBeyond: /is not on it/,
    saddle: 'saddle 1 at 900 up 30 south',
    branch: ['male adapter 32 x 1', '600 c-c', 'cap'],
    takeOff: '20',
    marks: /Hole from the end of Q9-01: 941 for F03/,
    asks: { 'Hole for the saddle': '30', 'Largest hole': '32', Bolts: '2', 'Torque, dry': '25 Nm' },
    sits: '900',
    east: '3 000',
    round: 'looking along the pipe: 29 mm round to the right (30°)',
    reads: { large: '35', hole: '30', torque: '25' },
  },
] as const

const itemsOf = ({ lines }: JobState) => [...lines.values()].flatMap(({ items }) => items)

bothWays(
  WAYS,
  'a saddle is set on a pipe that stays whole, its hole is marked, and it is made',
  async (page, own) => {
    const job = await begunLine(page, { name: 'Plant room', school: own.school, tag: 'Q9' })
    await type(page, ...own.main)
    const entry = page.getByLabel('Next fitting or piece')
    for (const [said, says] of [
      ['saddle 1', /How far along the pipe/],
      [own.beyond, own.isBeyond],
    ] as const) {
      await entry.fill(said)
      await entry.press('Enter')
      await expect(page.getByRole('alert')).toContainText(says)
      await expect(typedParts(page)).toHaveCount(3)
    }
    await entry.fill('')
    await type(page, own.saddle, ...own.branch)
    await expect(page.locator('.ways')).toContainText('Pipe saddle 1')
    await expect(page.locator('.space-drawing .joint')).toHaveCount(6)
    await expect(typedParts(page)).toHaveCount(7)

    // A saddle stays on its pipe: what stands on it is taken out with it, and comes back with Undo.
    await page.locator('.grid-space .part .name', { hasText: 'F03' }).first().click()
    await page.keyboard.press('Delete')
    await expect(page.getByText('a saddle stays on the pipe it was set on')).toBeVisible()
    await expect(typedParts(page)).toHaveCount(7)

    // What its maker says is answered once for the line.
    await hit(page.getByRole('button', { name: 'Pipe saddle in line Q9' }))
    for (const [key, said] of Object.entries(own.asks)) await page.getByLabel(key).fill(said)
    await hit(page.getByRole('button', { name: 'Keep it' }))
    await expect(page.getByRole('dialog')).toHaveCount(0)

    // The take-offs are measured: of the saddle that of its branch alone.
    const takes = page.getByRole('button', { name: /not known/ })
    for (let left = await takes.count(); left > 0; left = await takes.count()) {
      await hit(takes.first())
      await page.getByLabel('Fitting centre to the').fill(own.takeOff)
      await hit(page.getByRole('button', { name: 'Use it' }))
      await expect(takes).not.toHaveCount(left)
    }
    // Where it sits in the building, and how far the line goes each way.
    await hit(page.getByRole('button', { name: 'Coordinates', exact: true }))
    const places = page.getByRole('dialog')
    await expect(places.getByRole('row', { name: /^F03, centre/ })).toContainText(own.sits)
    await expect(places.getByRole('row', { name: /^East, west/ })).toContainText(own.east)
    await page.keyboard.press('Escape')
    await expect(places).toHaveCount(0)
    // In Cut the pipe stays one piece, and its hole is marked from its end.
    const pipe = itemsOf(await stateOf(page, job)).find((item) => item.tag === 'Q9/P01')
    await page.goto(`/job/${job}/cut/${pipe?.id ?? ''}`)
    await expect(headline(page)).toContainText(own.marks)

    // Made, one step after the other; a hole that was read too large is taken back and read again.
    const joint = [...jointPlaces(await stateOf(page, job)).values()].find(
      (place) => place.way.method === 'pipe-saddle',
    )
    await page.goto(`/job/${job}/make/${joint?.jointId ?? ''}`)
    await expect(page.locator('.top')).toContainText(/saddle Q9\/F03 to pipe Q9\/P01/)
    await expect(page.locator('.turned')).toContainText(/Q9\/F03 points up and south, at 1 o\u2019clock/)
    await hit(page.getByRole('button', { name: 'On a tape round the pipe…' }))
    await expect(page.getByRole('dialog')).toContainText(own.round)
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
    const action = page.locator('.action')
    await doesStep(page)
    await page.locator('#read-holeMm').fill(own.reads.large)
    await seesAll(page)
    await doesStep(page)
    await hit(page.getByRole('button', { name: 'Undo' }))
    await page.locator('#read-holeMm').fill(own.reads.hole)
    await doesStep(page)
    await doesStep(page)
    await doesStep(page)
    await page.locator('#read-torqueNm').fill(own.reads.torque)
    await doesStep(page)
    await seesAll(page)
    await page.getByLabel('Marks of fitting and pipe apart').fill('0')
    await hit(action)
    await expect(page.locator('.top').getByRole('img', { name: /judged good/ })).toBeVisible()

    // No line is joined by saddles throughout.
    await page.goto(`/job/${job}/set-out`)
    await hit(page.getByRole('button', { name: 'New line' }))
    const by = page.locator('#line-method')
    await by.press('Enter')
    await expect(page.getByRole('option', { name: 'Flange', exact: true })).toHaveCount(1)
    await expect(page.getByRole('option', { name: 'Pipe saddle' })).toHaveCount(0)
  },
)
