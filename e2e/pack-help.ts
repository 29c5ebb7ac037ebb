import { type Page, expect } from '@playwright/test'
import { strFromU8, unzipSync } from 'fflate'
import { fileOf, pagesOf } from './files-help'
import { chooseIn, hit } from './lists-help'

/** All that is said to who reads: sources are named as they are, in the units they were written in. */
const inOwnUnits = (paper: string): string => paper.replace(/Where figures come from.*?Lines as built/s, '')

/** What is handed over, as a paper of one section and as a folder of the whole job, from the page Hand over. */
export async function packIsWhole(
  page: Page,
  o: { held: string; foreign: RegExp; name: string },
): Promise<void> {
  await hit(page.getByRole('button', { name: 'Hand-over pack\u2026' }))
  const sheet = page.getByRole('dialog', { name: 'Hand-over pack' })
  await chooseIn(sheet.getByRole('combobox', { name: 'What it is about' }), `${o.held}-A`)
  const paper = await pagesOf(await fileOf(page, sheet.getByRole('button', { name: 'One paper (PDF)' })))
  expect(paper[0]).toContain(`Hand-over of ${o.name}, ${o.held}-A`)
  expect(paper.join(' ')).toContain(`Pressure test of ${o.held}-A`)
  expect(inOwnUnits(paper.join(' '))).not.toMatch(o.foreign)
  await expect(sheet.getByRole('status')).toContainText('Saved as')

  // The wrong one: the whole job was meant.
  await chooseIn(sheet.getByRole('combobox', { name: 'What it is about' }), 'The whole job')
  const folder = unzipSync(await fileOf(page, sheet.getByRole('button', { name: 'A folder (zip)' })))
  const listed = strFromU8(folder['contents.csv'] ?? new Uint8Array())
  for (const name of Object.keys(folder)) if (name !== 'contents.csv') expect(listed).toContain(`${name},`)
  for (const name of ['hand-over.pdf', 'joint-log.csv', 'record.json'])
    expect(Object.keys(folder)).toContain(name)
  expect(JSON.parse(strFromU8(folder['record.json'] ?? new Uint8Array()))).toMatchObject({
    head: expect.anything() as unknown,
  })
  const whole = (await pagesOf(Buffer.from(folder['hand-over.pdf'] ?? []))).join(' ')
  for (const says of ['C-01', 'Where figures come from', 'Lines as built']) expect(whole).toContain(says)
  expect(inOwnUnits(whole)).not.toMatch(o.foreign)
  await hit(sheet.getByRole('button', { name: 'Shut this sheet' }))
}
