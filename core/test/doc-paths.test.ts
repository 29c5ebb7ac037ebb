import { existsSync, readFileSync, readdirSync } from 'node:fs'
import path from 'node:path'

/** Folders of core that a text may name without saying that they are core's. */
const FOLDERS = readdirSync('core/src', { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map((entry) => entry.name)
const PATH = new RegExp(`^(?:core/src/)?((?:${FOLDERS.join('|')})/[\\w/*.-]+)$`)
const DOCS = ['docs', 'docs/how-to', 'docs/decisions', '.'].flatMap((folder) =>
  readdirSync(folder)
    .filter((file) => file.endsWith('.md') && file !== 'CHANGELOG.md' && file !== 'mutation.md')
    .map((file) => path.join(folder, file)),
)
const stands = (named: string): boolean =>
  named.includes('*') ||
  // The book lies in three places: core's words, the interface's, and a file for each other language.
  ['core/src', 'web/src', '.'].some((home) =>
    ['', '.ts', '.json'].some((end) => existsSync(path.join(home, named + end))),
  )

it('every folder and file of core that the documents name is there', () => {
  const named = DOCS.flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/`([^`\s]+)`/g)].flatMap((match) => {
      const found = PATH.exec(match[1] as string)?.[1]
      return found ? [{ file, named: found }] : []
    }),
  )
  expect(named.length).toBeGreaterThan(40)
  expect(named.filter((one) => !stands(one.named))).toEqual([])
})
