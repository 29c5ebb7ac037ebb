import { prepareZXingModule } from 'zxing-wasm/reader'
import wasm from 'zxing-wasm/reader/zxing_reader.wasm?url'
import { type Pixels, readCodes } from './read-codes'

/** Looks for codes in pictures, off the main thread. The decoder ships with the app. */
prepareZXingModule({ overrides: { locateFile: () => wasm } })
self.onmessage = async ({ data }: MessageEvent<Pixels>) => {
  self.postMessage(await readCodes(data).catch(() => null))
}
