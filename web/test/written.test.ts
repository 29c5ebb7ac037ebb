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
const BY_OTHERS: readonly string[] = ['tool-said', 'log-brought']
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
/**
 * What a screen says by another kind of entry, with the field of it that means the same: a step from memory is written for
 * one joint as it is for several (core `record` holds that both fold alike).
 */
const SAID_BY: Readonly<Record<string, Readonly<Record<string, readonly [kind: string, field: string]>>>> = {
  'step-done': {
    earliestS: ['batch-done', 'fromS'],
    latestS: ['batch-done', 'toS'],
    basis: ['batch-done', 'basis'],
  },
}

describe('every kind of entry has a screen that writes it', () => {
  it.each(Object.entries(KINDS).filter(([kind]) => ![...BY_OTHERS, ...OLD].includes(kind)))(
    '%s, with each of its fields',
    (kind, { fields }) => {
      const own = WRITERS.filter((source) => source.includes(`'${kind}'`))
      const isIn = (name: string): boolean => own.some((source) => new RegExp(`\\b${name}\\b`).test(source))
      const elsewhere = Object.keys(SAID_BY[kind] ?? {})
      const lacks = fields
        .map(({ name }) => name)
        .filter((name) => !isIn(name) && !isIn(HELPED[kind]?.[name] ?? name))
      expect(lacks).toEqual(elsewhere)
    },
  )
  it('what is said by another kind of entry is written there', () => {
    for (const [kind, field] of Object.values(SAID_BY).flatMap((fields) => Object.values(fields))) {
      expect(KINDS[kind]?.fields.map(({ name }) => name)).toContain(field)
      const own = WRITERS.filter((source) => source.includes(`'${kind}'`))
      expect(own.some((source) => new RegExp(`\\b${field}\\b`).test(source))).toBe(true)
    }
  })
  it('what is told of here is a kind that is known', () => {
    const told = [...BY_OTHERS, ...OLD, ...Object.keys(HELPED), ...Object.keys(SAID_BY)]
    expect(told.filter((kind) => !(kind in KINDS))).toEqual([])
  })
})
