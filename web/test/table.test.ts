import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import writeWorkbook from 'write-excel-file/universal'
import { type NotATable, csvOf, readTable } from '../src/workers/read-table'
import { word } from '../src/words/word'
import type { Worded } from '../src/words/worded'

const said = (notes: readonly Worded[]): string => notes.map((n) => word(n.code, n.values)).join(' ')
const refused = (bytes: Uint8Array): Promise<string> =>
  readTable(bytes).then(
    () => 'a table',
    (e: unknown) => said([(e as NotATable).says]),
  )

const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text)
const bytesOf = async (b: Blob): Promise<Uint8Array<ArrayBuffer>> => new Uint8Array(await b.arrayBuffer())

describe('a table from a file', () => {
  it('CSV with commas, semicolons or tabs, with or without a byte order mark', async () => {
    for (const sign of [',', ';', '\t']) {
      const csv = ['size', 'length'].join(sign) + '\r\n' + ['63', '1250'].join(sign)
      expect((await readTable(utf8(`\uFEFF${csv}`))).rows.slice(0, 2)).toEqual([
        ['size', 'length'],
        ['63', '1250'],
      ])
    }
  })
  it('as CSV again, whatever it was: nothing empty below, between or to the right of its headings', () => {
    expect(
      csvOf([
        ['kind', 'name', null],
        [null, ' ', null],
        ['cement', 'T-1', null],
        ['wire'],
        ['gauge', null, '', 'beside'],
        [],
      ]),
    ).toBe('kind,name\r\ncement,T-1\r\nwire,\r\ngauge,,,beside')
    expect(csvOf([[null]])).toBe('')
  })
  it('other encodings are read, and the guess is said', async () => {
    const latin = Uint8Array.from([...'größe;länge\n63;1250'].map((c) => c.charCodeAt(0)))
    const read = await readTable(latin)
    expect(read.rows[0]).toEqual(['größe', 'länge'])
    expect(said(read.notes)).toContain('not in UTF-8')
    const utf16 = new Uint8Array([0xff, 0xfe, ...[...'a;b'].flatMap((c) => [c.charCodeAt(0), 0])])
    expect((await readTable(utf16)).rows[0]).toEqual(['a', 'b'])
  })
  it('what is no table is refused in words', async () => {
    expect(await refused(new Uint8Array())).toContain('The file is empty.')
    expect(await refused(Uint8Array.from([0xd0, 0xcf, 0x11, 0xe0]))).toContain('old kind')
    expect(await refused(Uint8Array.from([0x50, 0x4b, 3, 4, 9, 9]))).toContain('cannot be opened')
    expect(await refused(utf8('\u0001\u0000\u0002'))).toContain('not a table')
  })
  it('a workbook: figures, text, merged headings said, formulas without results shown as such', async () => {
    const blob = await writeWorkbook(
      [
        [{ value: 'Pipe', columnSpan: 2 }, null, { value: 'length' }],
        [{ value: 'A1' }, { type: Number, value: 63 }, { type: Number, value: 1250.5 }],
        [{ value: 'A2' }, { type: Number, value: 63 }, { type: 'Formula', value: '=C2*2' }],
      ],
      { sheet: 'Loop' },
    ).toBlob()
    const read = await readTable(await bytesOf(blob))
    expect(read.rows[1]).toEqual(['A1', '63', '1250.5'])
    expect(read.rows[2]).toEqual(['A2', '63', '='])
    expect(said(read.notes)).toContain('Cells are merged (A1:B1)')
  })
  it('a sheet by its name, whatever the order of its files; hidden rows and errors are said', async () => {
    const two = await writeWorkbook(
      [
        { sheet: 'Cover', data: [[{ value: 'nothing here' }]] },
        { sheet: 'Loop & yard', data: [[{ value: 'size' }], [{ value: 'd63' }], [{ value: 'x' }]] },
      ].map(({ sheet, data }) => ({ sheet, data })),
    ).toBlob()
    // As another program would leave it: the first sheet in the second file, a hidden row, an error in a cell.
    const files: Record<string, Uint8Array> = unzipSync(await bytesOf(two))
    const [one, other] = ['xl/worksheets/sheet1.xml', 'xl/worksheets/sheet2.xml'] as const
    const yard = strFromU8(files[other] as Uint8Array)
      .replace('<row r="2"', '<row r="2" hidden="1"')
      .replace(/<c r="A3"[^>]*>.*?<\/c>/s, '<c r="A3" t="e"><v>#N/A</v></c>')
    const cover = files[one] as Uint8Array
    files[one] = strToU8(yard)
    files[other] = cover
    const rels = 'xl/_rels/workbook.xml.rels'
    files[rels] = strToU8(
      strFromU8(files[rels] as Uint8Array)
        .replace('sheet1.xml', 'sheet0.xml')
        .replace('sheet2.xml', 'sheet1.xml')
        .replace('sheet0.xml', 'sheet2.xml'),
    )
    const bytes = zipSync(files)
    const first = await readTable(bytes)
    expect([first.sheets, first.sheet, first.notes]).toEqual([['Cover', 'Loop & yard'], 'Cover', []])
    const read = await readTable(bytes, 'Loop & yard')
    expect(read.rows.map((r) => r[0])).toEqual(['size', 'd63', '#N/A'])
    expect(said(read.notes)).toContain('1 row is hidden in this sheet (2)')
    expect(said(read.notes)).toContain('1 cell holds an error')
  })
})
