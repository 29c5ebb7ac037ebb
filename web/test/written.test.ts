import { readFileSync, readdirSync } from 'node:fs'
import path from 'node:path'
import { KINDS } from '@jugalis/core'

/** Nothing may be in a log that only somebody who writes events by hand can bring there: each kind and field has a screen. */
const sources = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const at = path.join(folder, entry.name)
    if (entry.isDirectory()) return sources(at)
    return /\.(ts|vue)$/.test(entry.name) ? [at] : []
  })
/** What a screen writes with: itself, and what of core puts its entries together. The log's own readers write nothing. */
const WRITERS = ['web/src', 'core/src/line', 'core/src/plan', 'core/src/store', 'core/src/upkeep']
  .flatMap(sources)
  .filter((file) => !/words|job-log\.ts$/.test(file))
  .map((file) => readFileSync(file, 'utf8'))
/** Written by others than a person before a screen. */
const BY_OTHERS: readonly string[] = ['tool-said']
/** Read still, and written no more: something newer took their place. */
const OLD: readonly string[] = ['tin-set']
/** What a screen writes under another name: who puts it together there. */
const HELPED: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'tag-back': { how: 'said' },
  'after-done': { how: 'said', fromS: 'said' },
  'photo-kept': { widthPx: 'taken', heightPx: 'taken', bytes: 'taken' },
  'line-set': { ways: 'lineHead' },
  'line-changed': { school: 'read.head', schedule: 'read.head', insideOf: 'read.head' },
}
/** What no screen writes yet: whoever builds one takes it out of here. */
const NOT_YET: Readonly<Record<string, readonly string[]>> = {
  'step-done': ['earliestS', 'latestS', 'basis'],
}

describe('every kind of entry has a screen that writes it', () => {
  it.each(Object.entries(KINDS).filter(([kind]) => ![...BY_OTHERS, ...OLD].includes(kind)))(
    '%s, with each of its fields',
    (kind, { fields }) => {
      const own = WRITERS.filter((source) => source.includes(`'${kind}'`))
      const isIn = (name: string): boolean => own.some((source) => new RegExp(`\\b${name}\\b`).test(source))
      const lacks = fields
        .map(({ name }) => name)
        .filter((name) => !isIn(name) && !isIn(HELPED[kind]?.[name] ?? name))
      expect(lacks).toEqual(NOT_YET[kind] ?? [])
    },
  )
  it('what is told of here is a kind that is known', () => {
    const told = [...BY_OTHERS, ...OLD, ...Object.keys(HELPED), ...Object.keys(NOT_YET)]
    expect(told.filter((kind) => !(kind in KINDS))).toEqual([])
  })
})
