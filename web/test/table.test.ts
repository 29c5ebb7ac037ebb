import writeWorkbook from 'write-excel-file/universal'
import { readTable } from '../src/workers/read-table'

const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text)
const bytesOf = async (b: Blob): Promise<Uint8Array> => new Uint8Array(await b.arrayBuffer())

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
  it('other encodings are read, and the guess is said', async () => {
    const latin = Uint8Array.from([...'größe;länge\n63;1250'].map((c) => c.charCodeAt(0)))
    const read = await readTable(latin)
    expect(read.rows[0]).toEqual(['größe', 'länge'])
    expect(read.notes[0]).toContain('not in UTF-8')
    const utf16 = new Uint8Array([0xff, 0xfe, ...[...'a;b'].flatMap((c) => [c.charCodeAt(0), 0])])
    expect((await readTable(utf16)).rows[0]).toEqual(['a', 'b'])
  })
  it('what is no table is refused in words', async () => {
    await expect(readTable(new Uint8Array())).rejects.toThrow('The file is empty.')
    await expect(readTable(Uint8Array.from([0xd0, 0xcf, 0x11, 0xe0]))).rejects.toThrow('old kind')
    await expect(readTable(Uint8Array.from([0x50, 0x4b, 3, 4, 9, 9]))).rejects.toThrow('cannot be opened')
    await expect(readTable(utf8('\u0001\u0000\u0002'))).rejects.toThrow('not a table')
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
    expect(read.notes.join()).toContain('Cells are merged (A1:B1)')
  })
})
