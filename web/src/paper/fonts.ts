import bold from 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf?url'
import regular from 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf?url'
import type { Letters } from './sheet'

/** Fonts of papers: Latin, Greek and Cyrillic, free to ship and to embed. Fetched when first asked for, then kept. */
let kept: Promise<Letters> | null = null
async function bytesOf(url: string): Promise<ArrayBuffer> {
  const response = await fetch(url)
  if (!response.ok) throw new Error(`a font of the papers did not come: ${response.status}`)
  return response.arrayBuffer()
}
export function paperFonts(): Promise<Letters> {
  kept ??= Promise.all([bytesOf(regular), bytesOf(bold)]).then(
    ([a, b]) => ({ regular: a, bold: b }),
    (error: unknown) => {
      kept = null
      throw error
    },
  )
  return kept
}
