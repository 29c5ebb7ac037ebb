import { expect } from '@playwright/test'
import { bothWays } from './both-ways'
import { noViolations } from './help'
import { hit } from './lists-help'
import { INCH_MOUSE, METRIC_THUMB, begunLine, headline, type, typedParts } from './set-out-help'

const WAYS = [
  { ...INCH_MOUSE, method: 'Solvent cement', material: 'PVC', parts: ['tee 2', '30', 'elbow 90 2'] },
  { ...METRIC_THUMB, method: 'Solvent cement', material: 'PVC-U', parts: ['tee 63', '900', 'elbow 90 63'] },
] as const

bothWays(
  WAYS,
  `a job is begun like another, closed and opened, put away and brought back, taken out while empty`,
  async (page, own) => {
    const job = await begunLine(page, { ...own, name: 'House 1', tag: 'Q9' })
    await type(page, ...own.parts)
    await expect(typedParts(page)).toHaveCount(3)
    await page.goto(`/job/${job}/about`)
    const name = page.getByLabel('What the new job is called')
    await expect(name).toHaveValue('')
    await noViolations(page)
    // Without a name none is begun.
    await name.fill(' ')
    await hit(page.getByRole('button', { name: 'Begin one like it' }))
    await expect(page.getByRole('alert')).toContainText('Give the job a name')
    await name.fill('House 2')
    await hit(page.getByRole('button', { name: 'Begin one like it' }))
    await expect(headline(page)).toContainText('Q9')
    await expect(typedParts(page)).toHaveCount(3)
    expect(page.url()).not.toContain(job)

    // Closed, then opened again; and closed, and taken back.
    await page.goto(`/job/${job}/about`)
    await hit(page.getByRole('button', { name: 'Close the job' }))
    await expect(page.getByText(/^Closed .* by Wren\.$/)).toBeVisible()
    await hit(page.getByRole('button', { name: 'Open it again' }))
    await hit(page.getByRole('button', { name: 'Close the job' }))
    await expect(page.getByText(/^Closed .* by Wren\.$/)).toBeVisible()
    await expect(page.getByRole('link', { name: /^This job was closed/ })).toBeVisible()
    await page.goto('/jobs')
    await expect(page.getByRole('link', { name: /^closed \d/ })).toBeVisible()
    await page.goto(`/job/${job}/about`)
    await hit(page.getByRole('button', { name: 'Open it again' }))
    await expect(page.getByRole('button', { name: 'Close the job' })).toBeVisible()

    // Nobody else is on it: it cannot be handed on, and that is said.
    await expect(page.getByText('Nobody else is on this job')).toBeVisible()
    await expect(page.getByRole('button', { name: 'Take it out' })).toHaveCount(0)
    await hit(page.getByRole('button', { name: 'Put it away' }))
    await expect(page.getByText('This job is put away.')).toBeVisible()
    await page.goto('/jobs')
    const names = page.locator('.job .name .strong')
    await expect(names).toHaveText(['House 2'])
    await hit(page.getByRole('radio', { name: 'Put away 1' }))
    await expect(names).toHaveText(['House 1'])
    await noViolations(page)
    await page.goto(`/job/${job}/about`)
    await hit(page.getByRole('button', { name: 'Bring it back' }))
    await expect(page.getByRole('button', { name: 'Put it away' })).toBeVisible()

    // Begun by a slip: taken out, but not by another slip.
    await page.goto('/jobs')
    await page.getByLabel('Name').fill('Huose 3')
    await page.getByLabel('Name').press('Enter')
    await expect(headline(page)).toContainText('Nothing set out yet')
    await page.goto(`${page.url().split('/set-out')[0]}/about`)
    await hit(page.getByRole('button', { name: 'Take it out' }))
    await hit(page.getByRole('button', { name: 'Leave it' }))
    await hit(page.getByRole('button', { name: 'Take it out' }))
    await noViolations(page)
    await hit(page.getByRole('button', { name: 'Take it out for good' }))
    await expect(page).toHaveURL(/\/jobs$/)
    await expect(names).toHaveText(['House 1', 'House 2'])
  },
)
