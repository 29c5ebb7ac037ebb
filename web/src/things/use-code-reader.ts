import { onBeforeUnmount } from 'vue'

/** A code stands large enough in this many pixels across; more only takes longer. */
const WIDEST_PX = 1280

/** Finds codes in what a camera or a picture shows. Null: the decoder could not be loaded. */
export function useCodeReader(): (picture: HTMLVideoElement | ImageBitmap) => Promise<string[] | null> {
  const worker = new Worker(new URL('../workers/codes.worker.ts', import.meta.url), { type: 'module' })
  const canvas = document.createElement('canvas')
  onBeforeUnmount(() => worker.terminate())
  return (picture) =>
    new Promise((done) => {
      const [wide, high] =
        picture instanceof HTMLVideoElement
          ? [picture.videoWidth, picture.videoHeight]
          : [picture.width, picture.height]
      const share = Math.min(1, WIDEST_PX / wide)
      canvas.width = Math.max(1, Math.round(wide * share))
      canvas.height = Math.max(1, Math.round(high * share))
      const context = canvas.getContext('2d', { willReadFrequently: true })
      if (!context || !wide) return done([])
      context.drawImage(picture, 0, 0, canvas.width, canvas.height)
      const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height)
      worker.onmessage = (event: MessageEvent<string[] | null>) => done(event.data)
      worker.onerror = () => done(null)
      worker.postMessage({ data, width, height }, [data.buffer])
    })
}
