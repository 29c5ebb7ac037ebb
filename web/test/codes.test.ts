import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import bwipjs from 'bwip-js/node'
import { PNG } from 'pngjs'
import QRCode from 'qrcode'
import { prepareZXingModule } from 'zxing-wasm/reader'
import { codeSaid } from '@jugalis/core'
import { readCodes } from '../src/workers/read-codes'

/** Codes made by two packages are read by a third, as the camera's worker reads them. */
const wasm = createRequire(import.meta.url).resolve('zxing-wasm/reader/zxing_reader.wasm')
const TODAY = '2026-11-29'
beforeAll(
  () => void prepareZXingModule({ overrides: { wasmBinary: readFileSync(wasm) as unknown as ArrayBuffer } }),
)
const seenIn = (png: Buffer): Promise<string[]> => {
  const { data, width, height } = PNG.sync.read(png)
  return readCodes({ data: new Uint8ClampedArray(data), width, height })
}
const drawn = (bcid: string, text: string): Promise<Buffer> =>
  bwipjs.toBuffer({ bcid, text, scale: 3, paddingwidth: 12, paddingheight: 12, backgroundcolor: 'FFFFFF' })

it.each([
  ['code128', '26105A'],
  ['code39', 'JAW-28'],
  ['ean13', '9506000134352'],
  ['interleaved2of5', '123456'],
  ['qrcode', 'L 07/26, gaskets'],
  ['datamatrix', '26105A'],
  ['azteccode', 'G-1'],
  ['pdf417', 'tin 26105'],
])('%s: %s', async (kind, text) => {
  expect(await seenIn(await drawn(kind, text))).toEqual([text])
})
it.each(['gs1-128', 'gs1datamatrix', 'gs1qrcode'])('%s tells batch and last day', async (kind) => {
  const [text = ''] = await seenIn(await drawn(kind, '(01)09506000134352(17)271231(10)L-7'))
  expect(codeSaid(text, TODAY)).toEqual({ name: 'L-7', batch: 'L-7', expiresOn: '2027-12-31' })
})
it('the code of a label of ours opens its thing', async () => {
  const url =
    'https://site.example/job/00000000-0000-4000-8000-000000000001/store/00000000-0000-4000-8000-000000000700'
  expect(await seenIn(await QRCode.toBuffer(url, { errorCorrectionLevel: 'M' }))).toEqual([url])
})
it('a picture without a code, and one of no size, show none', async () => {
  const grey = { data: new Uint8ClampedArray(400 * 300 * 4).fill(120), width: 400, height: 300 }
  expect(await readCodes(grey)).toEqual([])
})
