import { expect, test } from '@playwright/test'
import { PHONE, eventsOf, noViolations, signIn } from './help'
import { chooseIn } from './lists-help'
import { jobOf } from './make-help'

/** What only somebody on site can say is asked once for a line, by thumb and by mouse, and the rules speak by it. */
for (const [name, viewport] of [
  ['desk', { width: 1280, height: 800 }],
  ['phone', PHONE],
] as const)
  test(`what runs in a line is asked once, and speaks (${name})`, async ({ page }) => {
    await page.setViewportSize(viewport)
    await signIn(page)
    const { job, joints } = await jobOf(page, {
      method: 'press',
      material: 'carbon-steel',
      size: 'NPS 2',
      school: 'inch',
    })
    await page.goto(`/job/${job}/make/${joints[0]}`)
    await page.getByRole('button', { name: '4 questions…' }).click()
    const sheet = page.getByRole('dialog', { name: 'What the rules need to know' })
    await sheet.getByRole('button', { name: 'Keep for the line M' }).click()
    await expect(sheet.getByRole('alert')).toHaveText('Nothing is answered anew. Answer one, or close this.')
    const choose = (label: string, answer: string): Promise<void> =>
      chooseIn(sheet.getByRole('combobox', { name: label }), answer)
    await choose('What runs in it', 'drinking water')
    await sheet.getByRole('radio', { name: 'EPDM' }).click()
    await noViolations(page)
    await sheet.getByRole('button', { name: 'Keep for the line M' }).click()
    const stop = page.getByText('Carbon steel press is not for drinking water: it corrodes.')
    await expect(stop).toBeVisible()
    await expect(page.getByRole('button', { name: '2 questions…' })).toBeVisible()
    // A wrong answer is put right: the next joint of the line knows it without being asked.
    await page.getByRole('button', { name: '2 questions…' }).click()
    await choose('What runs in it', 'heating water')
    await choose('Put on to ease assembly', 'soap')
    await sheet.getByRole('radio', { name: 'nobody can say' }).last().click()
    await sheet.getByRole('button', { name: 'Keep for the line M' }).click()
    await expect(stop).toBeHidden()
    await page.goto(`/job/${job}/make/${joints[3]}`)
    await expect(page.getByText('Here: heating water; EPDM; soap.')).toBeVisible()
    await page.getByRole('button', { name: 'Answers…' }).click()
    await choose('Put on to ease assembly', 'grease')
    await sheet.getByRole('button', { name: 'Only for M-04' }).click()
    await expect(page.getByText(/No oil, grease or silicone/)).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByText(/No oil, grease or silicone/)).toBeHidden()
    const kept = async () =>
      (await eventsOf(page, job))
        .filter((e) => e.kind === 'around-said')
        .map((e) => [e.data.jointId ?? null, e.data.said])
    await expect.poll(kept).toEqual([
      [null, { medium: 'drinking-water', seal: 'EPDM' }],
      [null, { medium: 'heating-water', beside: 'not-known', lubricant: 'soap' }],
      [joints[3], { lubricant: 'grease' }],
    ])
  })
