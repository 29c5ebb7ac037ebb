import { type Browser, type Page, expect, test } from '@playwright/test'
import { onOwnServer, peopled } from './empty-help'
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
/** What another wrote is said to be wrong: it stands until they say so too. */
async function proposed(lead: Page, other: Page, [job, joint]: readonly [string, string]): Promise<void> {
  const rows = async (page: Page) => {
    await page.goto(`/job/${job}/make/${joint}`)
    await hit(page.getByRole('button', { name: 'History\u2026' }))
    return page.getByRole('dialog').getByRole('listitem').filter({ hasText: 'Looked over by another, good' })
  }
  const theirs = await rows(other)
  await hit(theirs.getByRole('button', { name: 'It is wrong\u2026' }))
  await hit(theirs.getByRole('button', { name: 'Propose to take it back' }))
  await expect(theirs.getByRole('alert')).toContainText('Say what is wrong with it')
  await theirs.getByLabel('What is wrong with it?').fill('that was M-02')
  await hit(theirs.getByRole('button', { name: 'Propose to take it back' }))
  await expect(theirs).toContainText('Waits for Wren, or who leads the job.')
  await noViolations(other)
  await lead.goto(`/job/${job}/hand-over`)
  await hit(lead.getByRole('link', { name: 'A correction of M-01 is proposed and not answered.' }))
  const own = await rows(lead)
  await expect(own).toContainText('Teal')
  await own.getByLabel('Why not, if you decline').fill('I looked at this one')
  await hit(own.getByRole('button', { name: 'Decline' }))
  await expect(theirs).toContainText('I looked at this one')
  await expect(theirs).toContainText(/Declined by Wren/)
  // Once more, and this time it is so: taken back by who wrote it, and readable.
  await hit(theirs.getByRole('button', { name: 'It is wrong\u2026' }))
  await theirs.getByLabel('What is wrong with it?').fill('look at the tag')
  await hit(theirs.getByRole('button', { name: 'Propose to take it back' }))
  await hit(own.getByRole('button', { name: 'Accept' }))
  await expect(theirs).toContainText(/Accepted by Wren/)
  await expect(theirs).toContainText(/Taken back by Wren.*look at the tag/)
  await noViolations(lead)
}
/** Once a paper for a way of joining is written down, whoever has none for it is told so at the joint. */
async function papers(lead: Page, other: Page, [job, joint]: readonly [string, string]): Promise<void> {
  await other.goto(`/job/${job}/make/${joint}`)
  await expect(headline(other)).toBeVisible()
  await expect(other.getByText(/no paper for/)).toHaveCount(0)
  await lead.goto(`/job/${job}/about`)
  const keep = lead.getByRole('dialog').getByRole('button', { name: 'Keep it' })
  const write = async (who: string, until: string): Promise<void> => {
    await hit(lead.getByRole('button', { name: 'Write down a paper\u2026' }))
    await lead.getByLabel('Whose it is').selectOption(who)
    await hit(lead.getByRole('dialog').getByRole('button', { name: 'Solvent cement' }))
    await lead.getByLabel('Last day').fill(until)
    await hit(keep)
  }
  await hit(lead.getByRole('button', { name: 'Write down a paper\u2026' }))
  await hit(keep)
  await expect(lead.getByRole('alert')).toContainText('Say which ways of joining it is for.')
  await noViolations(lead)
  await lead.keyboard.press('Escape')
  await write('Wren', '30.11.27')
  await expect(lead.getByRole('alert')).toContainText('A last day is written like 2027-11-30')
  await lead.getByLabel('Last day').fill('2099-11-30')
  await lead.getByLabel('Standard and number of the paper').fill('EN 13067, no. 12')
  await hit(keep)
  await expect(lead.getByText('Solvent cement (EN 13067, no. 12)')).toBeVisible()
  await expect(other.getByText('You have no paper for Solvent cement on this job.')).toBeVisible()
  await write('Teal', '2020-01-31')
  await expect(lead.getByText('ended 31 Jan 2020')).toBeVisible()
  await expect(other.getByText('You have a paper for Solvent cement that ended 31 Jan 2020.')).toBeVisible()
  await noViolations(other)
  // The wrong year: it is changed, and nothing is asked any more.
  await hit(lead.getByRole('button', { name: 'Change a paper of Teal\u2026' }))
  await lead.getByLabel('Last day').fill('2099-01-31')
  await hit(keep)
  await expect(other.getByText(/a paper for/)).toHaveCount(0)
}
for (const own of WAYS)
  test(`${own.how}: a reader reads, an apprentice's joint wants another eye, who leads says what each is`, async ({
    browser,
  }) => {
    test.slow()
    await onOwnServer(async ({ url, pool }) => {
      await peopled(pool, ['Wren', 'Teal'], PASSWORD)
      const lead = await person(browser, url, 'wren', own.device)
      const other = await person(browser, url, 'teal', own.device)
      const { job, joints } = await jobOf(lead, { ...own.joined, name: 'Two on one job', joints: 2 })
      await lead.goto(`/job/${job}/about`)
      await lead.getByLabel('Signs in as').fill('teal')
      await hit(lead.getByRole('button', { name: 'Put on the job' }))
      await settingOut(lead, other, job, own.piece)
      await secondEye(lead, other, [job, String(joints[0])], own)
      await proposed(lead, other, [job, String(joints[0])])
      await papers(lead, other, [job, String(joints[1])])
      for (const each of [lead, other]) await each.context().close()
    })
  })
