import QRCode from 'qrcode'
import type { Paper } from './sheet'

/** Squares of a code that are dark, as rows of runs: fewer shapes than one for each square. */
export function qrCode(paper: Paper, url: string, x: number, y: number, sizeMm: number): void {
  const { modules } = QRCode.create(url, { errorCorrectionLevel: 'M' })
  const step = sizeMm / modules.size
  for (let row = 0; row < modules.size; row++)
    for (let col = 0; col < modules.size;) {
      let end = col
      while (end < modules.size && modules.get(row, end)) end++
      if (end > col) paper.box(x + col * step, y + row * step, (end - col) * step, step, true)
      col = Math.max(end, col + 1)
    }
}
