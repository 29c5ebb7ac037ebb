import { type JobState, jointFacts, jointPlaces } from '@jugalis/core'
import { type Page, expect, test } from '@playwright/test'
import { fromNothing } from './empty-help'
import { PHONE, stateOf, write } from './help'
import { doesStep, seesAll } from './make-help'
import { chooseIn, hit } from './lists-help'
import { ends, readUntilHeld } from './prove-help'
import { begunLine, headline, type, typedParts } from './set-out-help'

/** What is read of a good joint besides the first option of each choice. */
const READS: Readonly<Record<string, number>> = { turns: 2, threadsShowing: 3, torqueNm: 90, outerMm: 0 }
/** All steps of a joint as somebody did them some hours ago, with good readings. */
function madeBefore(state: JobState, jointId: string): Parameters<typeof write>[2] {
  const steps = jointFacts(state, jointId, 'coldest', Date.now() / 1000)?.steps ?? []
  return steps.map(({ id, reads }, i) => ({
    kind: 'step-done',
    v: 2,
    jointId,
    agoS: 6 * 3600 - i * 1200,
    data: {
      life: 1,
      step: id,
      shown: [],
      readings: Object.fromEntries(
        reads.flatMap((r) => (r.needed ? [[r.key, r.options ? r.options[0] : READS[r.key]]] : [])),
      ),
    },
  }))
}

const SET_OUT = [
  'tee 1 1 3/4',
  'branch',
  '4 c-f',
  'female adapter 3/4',
  'drain',
  '..',
  '18 c-c',
  'ball valve 1 press',
  '12 c-f',
  'flange 1',
  'expansion joint 1',
  'pump 1 flanged',
  'flange',
  '10 c-c',
  'elbow 90',
  '6 c-f',
  'dielectric union 1',
  '8 f-f in steel',
  'elbow 90',
]
const WAYS = [
  ['Solder', 8],
  ['Press', 2],
  ['Expansion joint', 2],
  ['Threaded', 3],
  ['Flange', 1],
] as const

/** A soldered copper line in a job of its own, on a server that knows one person and nothing else; gives the job's id. */
const begun = (page: Page, school: string): Promise<string> =>
  begunLine(page, { name: 'Boiler room, hot water', school, tag: 'H1', method: 'Solder', material: 'copper' })
/** A joint of two threads from its first step to judged good; too many turns are taken back, and typed again. */
async function threadJoint(page: Page, { most, turns }: { most: string; turns: string }): Promise<void> {
  const action = page.locator('.action')
  await doesStep(page)
  await hit(page.getByRole('button', { name: 'tape', exact: true }))
  await doesStep(page)
  await doesStep(page)
  await seesAll(page)
  await hit(page.getByRole('button', { name: 'Type it' }))
  await page.locator('#read-turns').fill(most)
  await hit(action)
  await hit(page.getByRole('button', { name: 'Undo' }))
  await page.locator('#read-turns').fill(turns)
  await doesStep(page)
  await page.locator('#read-threadsShowing').fill('3')
  await hit(action)
  await expect(page.locator('.top').getByRole('img', { name: /judged good/ })).toBeVisible()
}

test('hot water in inches: soldered, pressed, flanged at a pump, threaded to a drain; set out, made and proved', async ({
  browser,
}) => {
  await fromNothing(browser, async (page) => {
    const job = await begun(page, 'inch: primer, quarter turn')

    // A wrong entry is refused with what goes between, and the line stays as it was.
    await type(page, ...SET_OUT)
    const entry = page.getByLabel('Next fitting or piece')
    await entry.fill('elbow 90')
    await entry.press('Enter')
    await expect(page.getByRole('alert')).toContainText('a nipple goes between')
    await expect(typedParts(page).last()).toHaveText(/elbow 90 1/)
    await entry.fill('')
    for (const [way, joints] of WAYS) await expect(page.locator('.ways')).toContainText(`${way} ${joints}`)

    // What the other ways ask is said for each of them.
    await page.getByRole('button', { name: 'Flange in line H1' }).click()
    await page.getByLabel('Bolts').fill('4')
    await page.getByLabel('Torque, dry').fill('about right')
    await page.getByRole('button', { name: 'Keep it' }).click()
    await expect(page.getByRole('dialog').getByRole('alert').first()).toBeVisible()
    await page.getByLabel('Torque, dry').fill('66.38 ft-lb')
    await page.getByRole('button', { name: 'Keep it' }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await page.getByRole('button', { name: 'Expansion joint in line H1' }).click()
    await page.getByLabel('Torque, dry').fill('66.38 ft-lb')
    await chooseIn(page.locator('#way-rods'), 'none')
    await page.getByRole('button', { name: 'Keep it' }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)

    // Each joint is made by what its ends are: the drain's thread by hand and wrench, here; the rest before.
    const state = await stateOf(page, job)
    const drain = [...jointPlaces(state).values()].find((p) => p.part.fitting === 'drain')
    if (!drain) throw new Error('no drain')
    const onPart = (fitting: string) =>
      [...jointPlaces(state).values()].filter((p) => p.part.fitting === fitting).map((p) => p.way.method)
    expect([onPart('expansion joint'), onPart('pump'), onPart('flange')]).toEqual([
      ['expansion-joint'],
      ['expansion-joint'],
      ['flange'],
    ])
    for (const id of jointPlaces(state).keys())
      if (id !== drain.jointId) await write(page, job, madeBefore(state, id))
    await page.goto(`/job/${job}/make/${drain.jointId}`)
    await expect(page.locator('.top')).toContainText(/drain .* to female adapter .*Threaded/)
    await threadJoint(page, { most: '5', turns: '2' })

    // Proved over all of them.
    await page.goto(`/job/${job}/set-out`)
    await page.getByRole('button', { name: 'Paint a section on this line' }).click()
    for (const [label, says] of [
      ['Working pressure', '60'],
      ['Test pressure', '90 psi'],
      ['Fall allowed over the hold', '3'],
      ['Hold, minutes', '0.6'],
    ] as const)
      await page.getByLabel(label).fill(says)
    await page.getByRole('button', { name: 'Paint it' }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await expect(page.locator('.sections')).toContainText('Solder 8, Threaded 3')
    await page.goto(`/job/${job}/prove`)
    await expect(headline(page)).toContainText('H1-A')
    await hit(page.getByRole('radio', { name: 'Gates', exact: true }))
    const confirm = page.getByRole('button', { name: 'Confirm', exact: true })
    while (await confirm.count()) {
      const left = await confirm.count()
      await hit(confirm.first())
      await expect(confirm).toHaveCount(left - 1)
    }
    await page.getByLabel('Gauge', { exact: true }).fill('G-1')
    await page.getByLabel('Gauge reads to').fill('0.5')
    await page.getByLabel('Time to settle, min').fill('0')
    await hit(page.getByRole('radio', { name: 'inside the pipe' }))
    await hit(page.getByRole('button', { name: 'Pressure is on: begin' }))
    const reason = page.getByLabel('Reason to begin all the same')
    const read = page.getByRole('button', { name: 'Read', exact: true })
    await expect(read.or(reason)).toBeVisible()
    if (await reason.count()) {
      await reason.fill('looked at every joint at low pressure')
      await hit(page.getByRole('button', { name: /with this reason/ }))
    }
    await readUntilHeld(page, async () => {
      await page.getByLabel('Gauge now').fill('90')
      await page.getByLabel(/^Temperature /).fill('70')
      await hit(read)
    })
    await hit(ends(page, 'held'))
    await expect(headline(page)).toContainText('H1-A is proved at 90')

    // The line is pressed from now on: what is made stays soldered, and that is said first.
    await page.goto(`/job/${job}/set-out`)
    await page.getByRole('button', { name: 'Change it…' }).click()
    await chooseIn(page.locator('#line-method'), 'Press')
    await page.getByRole('button', { name: 'Change the line' }).click()
    await expect(page.getByRole('dialog').getByRole('alert')).toContainText(
      'Begun, and stays as it was: H1-01',
    )
    await page.getByRole('button', { name: 'Change it so' }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await expect(page.locator('.ways')).toContainText('Solder 8')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect
      .poll(async () => (await stateOf(page, job)).lines.values().next().value?.method)
      .toBe('solder')
  })
})

test('a metric line by the thumb: soldered, threaded, pressed; refused, changed, and made', async ({
  browser,
}) => {
  await fromNothing(
    browser,
    async (page) => {
      const job = await begun(page, 'metric:')
      await type(page, 'union 22', '500', 'adapter 22 x 3/4 male')
      const entry = page.getByLabel('Next fitting or piece')
      // Nothing of the other system is put in for a thread of 3/4: what is meant must be said.
      await entry.fill('valve 3/4')
      await hit(page.getByRole('button', { name: 'Set out', exact: true }))
      await expect(page.getByRole('alert')).toContainText('NPS 3/4 is not a size of copper')
      await entry.fill('')
      await type(page, 'valve 3/4 female', 'adapter 3/4 male x 22', '300', 'valve 22 press')
      for (const way of ['Solder 3', 'Threaded 2', 'Press 1'])
        await expect(page.locator('.ways')).toContainText(way)
      const made = async () => [...jointPlaces(await stateOf(page, job)).values()]
      // What was typed last may still be on its way.
      await expect
        .poll(async () => (await made()).map((p) => p.way.size))
        .toEqual(['d22', 'd22', 'NPS 3/4', 'NPS 3/4', 'd22', 'd22'])
      const ways = await made()
      const thread = ways.find((p) => p.way.method === 'threaded')
      await page.goto(`/job/${job}/make/${thread?.jointId}`)
      await expect(page.locator('.top')).toContainText(/valve .* to adapter .*Threaded/)
      await threadJoint(page, { most: '6', turns: '2' })
      // The line is changed: the thread that is made stays, the change is taken back.
      await page.goto(`/job/${job}/set-out`)
      await hit(page.getByRole('button', { name: 'Change it…' }))
      await chooseIn(page.locator('#line-method'), 'Press')
      await hit(page.getByRole('button', { name: 'Change the line' }))
      await expect(page.getByRole('dialog').getByRole('alert')).toContainText('3 joints that are not begun')
      await hit(page.getByRole('button', { name: 'Change it so' }))
      await expect(page.locator('.ways')).toContainText('Press 4')
      await hit(page.getByRole('button', { name: 'Undo' }))
      await expect(page.locator('.ways')).toContainText('Solder 3')
    },
    { viewport: PHONE, hasTouch: true },
  )
})
