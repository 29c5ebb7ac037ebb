import { readBarcodes } from 'zxing-wasm/reader'

/** A picture as a canvas gives it. */
export type Pixels = Pick<ImageData, 'data' | 'width' | 'height'>

/** Texts of all codes in a picture, bars and squares alike; codes of parts with their identifiers in brackets. */
export async function readCodes(pixels: Pixels): Promise<string[]> {
  const found = await readBarcodes(pixels as ImageData, {
    tryHarder: true,
    maxNumberOfSymbols: 8,
    textMode: 'HRI',
  })
  return [...new Set(found.filter(({ isValid }) => isValid).map(({ text }) => text.trim()))].filter(Boolean)
}
