import { readFileSync, readdirSync } from 'node:fs'
import path from 'node:path'
import { sourcesPage } from '../../scripts/lib/sources-page'
import { type Method, allSources, allTables, registerMethod, sourceOf } from '../src/index.js'
import { type TableFile, tableOf } from '../src/sources/table.js'
import { toyMethod } from './toy-method.js'

const CORE = path.join(import.meta.dirname, '../src')
const jsonFiles = (readdirSync(CORE, { recursive: true }) as string[]).filter((f) => f.endsWith('.json'))
const read = (file: string): TableFile => JSON.parse(readFileSync(path.join(CORE, file), 'utf8')) as TableFile

describe('tables as data', () => {
  it('every file is read by somebody, and called by its name', () => {
    expect(jsonFiles.map((f) => path.basename(f, '.json')).sort()).toEqual(
      allTables()
        .map((t) => t.id)
        .sort(),
    )
  })
  it.each(jsonFiles)('%s: its source is written down with this edition; practices have none', (file) => {
    const table = read(file)
    const source = allSources().find((s) => s.id === table.source)
    expect([source?.kind, source?.edition ?? null]).toEqual([
      table.edition === null ? 'common-practice' : 'published',
      table.edition,
    ])
    expect(table.sure.length).toBeGreaterThan(0)
  })
  it.each(jsonFiles)('%s: each row has each figure, and no other', (file) => {
    const { rows, units } = read(file)
    for (const row of rows) {
      expect(Object.keys(units).filter((column) => !(column in row))).toEqual([])
      for (const [column, cell] of Object.entries(row))
        if (!(column in units)) expect([column, typeof cell]).toEqual([column, 'string'])
    }
  })
  it('docs/sources.md is made from them', () => {
    const plain = (text: string): string => text.replace(/-+/g, '-').replace(/\s+/g, ' ').trim()
    const page = readFileSync(path.join(CORE, '../../docs/sources.md'), 'utf8')
    // Stale? npm run sources.
    expect(plain(page) === plain(sourcesPage())).toBe(true)
  })
})

describe('reading a table', () => {
  const file = {
    id: 'of-a-test',
    of: 'A test',
    source: 'cp-tube-od',
    edition: null,
    sure: 'invented',
    checked: { by: 'Wren', on: '2026-11-28', with: 'a copy' },
    units: { depth: 'in', warm: 'F', cure: 'time', torque: 'in-lbf', pressure: 'psi' },
    rows: [{ size: '1/2', depth: 2, warm: 50, cure: '1.5 h', torque: 10, pressure: 100 }],
  }
  it('gives figures in what core computes with', () => {
    const row = tableOf(file, 'cp-tube-od').at('1/2')
    expect(row).toMatchObject({ depth: 50.8, warm: 10, cure: 5400 })
    // NIST SP 811, appendix B.8: 1 in-lbf is 0.1129848 Nm, 1 psi 6894.757 Pa.
    expect(row?.torque).toBeCloseTo(1.129848, 6)
    expect(row?.pressure).toBeCloseTo(6.894757, 6)
  })
  it('finds a row by its name, and none where several share it', () => {
    const [row] = file.rows as [(typeof file.rows)[0]]
    const twice = tableOf({ ...file, rows: [row, { ...row, depth: 3 }] }, 'cp-tube-od')
    expect([tableOf(file, 'cp-tube-od').at('3/4'), twice.at('1/2')]).toEqual([undefined, undefined])
    expect(twice.rows.map((r) => Math.round(r.depth))).toEqual([51, 76])
  })
  it('a source is checked once all its tables were compared', () => {
    const open = tableOf({ ...file, id: 'of-a-test-too', checked: null }, 'cp-tube-od')
    const verified = (...tables: Method['tables']): boolean => {
      const gone = registerMethod({ ...toyMethod, tables } as Method)
      const { verified: is } = sourceOf('cp-tube-od')
      gone()
      return is
    }
    const checked = tableOf(file, 'cp-tube-od')
    expect([verified(), verified(checked), verified(checked, open)]).toEqual([false, true, false])
  })
  it.each([
    ['a unit nobody knows', { units: { ...file.units, depth: 'ell' } }],
    ['a cell that is no figure', { rows: [{ ...file.rows[0], depth: 'deep' }] }],
    ['a cell that is missing', { rows: [{ size: '1/2' }] }],
    ['a duration that is none', { rows: [{ ...file.rows[0], cure: 'a while' }] }],
    ['the source of another', { source: 'iso-161' }],
  ])('%s ends the program when it starts', (_what, fault) => {
    expect(() => tableOf({ ...file, ...fault } as unknown as typeof file, 'cp-tube-od')).toThrow(
      /table|duration/,
    )
  })
})
