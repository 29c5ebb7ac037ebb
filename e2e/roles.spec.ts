import { randomUUID } from 'node:crypto'
import { type Browser, type Page, expect, test } from '@playwright/test'
import { addPerson } from '../server/src/people'
import { onOwnServer } from './empty-help'
import { noViolations, write } from './help'
import { hit } from './lists-help'
import { PVC, PVC_INCH, jobOf, step } from './make-help'
import { INCH_MOUSE, METRIC_THUMB, headline, type } from './set-out-help'

/** Two on one job, of whom one leads: what the other is decides what they write, from the moment it is said. */
const PASSWORD = 'tide-and-pipe'
const WAYS = [
  {
    ...INCH_MOUSE,
    joined: PVC_INCH,
    piece: '42 c-c',
    steps: ['fit', 'prime', 'cement', 'home'],
    checkMm: 50.8,
  },
  { ...METRIC_THUMB, joined: PVC, piece: '1250 c-c', steps: ['fit', 'cement', 'home'], checkMm: 50 },
] as const
async function person(browser: Browser, url: string, login: string, device: object): Promise<Page> {
  const page = await (await browser.newContext({ ...device, baseURL: url })).newPage()
  await page.request.post('/api/session', { data: { login, password: PASSWORD } })
  return page
}
const roleOf = (lead: Page) => lead.getByLabel('What Teal is on this job')

async function settingOut(lead: Page, other: Page, job: string, piece: string): Promise<void> {
  await other.goto(`/job/${job}/about`)
  await expect(headline(other)).toContainText('Two on one job')
  await roleOf(lead).selectOption('reader')
  await expect(lead.getByText('Teal: reader on this job from now on.')).toBeVisible()
  await noViolations(lead)
  // Told at once, without being asked for.
  await expect(other.getByRole('note')).toContainText('You are a reader here')
  await other.goto(`/job/${job}/set-out`)
  const entry = other.getByLabel('Next fitting or piece')
  await entry.fill(piece)
  await entry.press('Enter')
  await expect(other.getByText('You are a reader here: nothing was written.')).toBeVisible()
  await expect(entry).toHaveValue(piece)
  await noViolations(other)
  await roleOf(lead).selectOption('fitter')
  await expect(other.getByRole('note')).toHaveCount(0)
  await type(other, piece)
  await expect(other.getByText(`${piece}: set out.`)).toBeVisible()
}
async function secondEye(
  lead: Page,
  other: Page,
  [job, joint]: readonly [string, string],
  { steps, checkMm }: (typeof WAYS)[number],
): Promise<void> {
  await roleOf(lead).selectOption('apprentice')
  await expect(other.getByRole('note')).toContainText('You are an apprentice here')
  await write(other, job, [
    ...steps.map((name, i) => step(joint, name, 0.5 - i / 10)),
    step(joint, 'judge', 0, { checkMm, bead: 'all-round' }),
  ])
  await other.goto(`/job/${job}/make/${joint}`)
  // While it is held, hands are full: it is asked for afterwards.
  await expect(other.getByText('Teal made M-01 as an apprentice.')).toBeVisible({ timeout: 60_000 })
  await expect(other.getByRole('button', { name: 'It is good' })).toHaveCount(0)
  await lead.goto(`/job/${job}/make/${joint}`)
  await expect(lead.getByText('Teal made M-01 as an apprentice.')).toBeVisible()
  await expect(lead.getByRole('button', { name: 'It is wrong' })).toBeDisabled()
  await lead.getByLabel('What you saw').fill('dry at the bottom')
  await hit(lead.getByRole('button', { name: 'It is wrong' }))
  await expect(other.getByText(/Wren looked at it .* and found it wrong: dry at the bottom\./)).toBeVisible()
  await noViolations(lead)
  await hit(lead.getByRole('button', { name: 'It is good' }))
  await expect(other.getByText(/Wren looked at it .* and found it good\./)).toBeVisible()
}
for (const own of WAYS)
  test(`${own.how}: a reader reads, an apprentice's joint wants another eye, who leads says what each is`, async ({
    browser,
  }) => {
    test.slow()
    await onOwnServer(async ({ url, pool }) => {
      const orgId = randomUUID()
      await pool.query('insert into org (org_id, name) values ($1, $2)', [orgId, 'Own'])
      for (const name of ['Wren', 'Teal'])
        await addPerson(pool, {
          personId: randomUUID(),
          name,
          login: name.toLowerCase(),
          orgId,
          password: PASSWORD,
        })
      const lead = await person(browser, url, 'wren', own.device)
      const other = await person(browser, url, 'teal', own.device)
      const { job, joints } = await jobOf(lead, { ...own.joined, name: 'Two on one job', joints: 2 })
      await lead.goto(`/job/${job}/about`)
      await lead.getByLabel('Signs in as').fill('teal')
      await hit(lead.getByRole('button', { name: 'Put on the job' }))
      await settingOut(lead, other, job, own.piece)
      await secondEye(lead, other, [job, String(joints[0])], own)
      for (const each of [lead, other]) await each.context().close()
    })
  })
