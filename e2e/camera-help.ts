import { writeFile } from 'node:fs/promises'
import { type Browser, chromium } from '@playwright/test'
import bwipjs from 'bwip-js/node'
import { PNG } from 'pngjs'

/** A printed code as a picture. */
export const codePicture = (bcid: string, text: string): Promise<Buffer> =>
  bwipjs.toBuffer({ bcid, text, scale: 2, paddingwidth: 20, paddingheight: 20, backgroundcolor: 'FFFFFF' })

const WIDE = 640
const HIGH = 480
const FRAMES = 5
/** What a camera held over a code sees, as raw video (Y4M): the code in the middle of a grey table. */
export async function codeVideo(file: string, picture: Buffer): Promise<void> {
  const { data, width, height } = PNG.sync.read(picture)
  const grey = Buffer.alloc(WIDE * HIGH, 150)
  const [atX, atY] = [Math.floor((WIDE - width) / 2), Math.floor((HIGH - height) / 2)]
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) grey[(atY + y) * WIDE + atX + x] = data[(y * width + x) * 4] as number
  const frame = Buffer.concat([Buffer.from('FRAME\n'), grey, Buffer.alloc((WIDE * HIGH) / 2, 128)])
  const head = Buffer.from(`YUV4MPEG2 W${WIDE} H${HIGH} F10:1 Ip A1:1 C420jpeg\n`)
  await writeFile(file, Buffer.concat([head, ...Array<Buffer>(FRAMES).fill(frame)]))
}
/** A browser whose camera shows a video, and lends it without asking. */
export const browserSeeing = (video: string): Promise<Browser> =>
  chromium.launch({
    ...(process.env.CHROMIUM ? { executablePath: process.env.CHROMIUM } : {}),
    args: [
      '--no-sandbox',
      '--disable-dev-shm-usage',
      '--disable-gpu',
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${video}`,
    ],
  })
