import { type Laid, type LaidPart, hasBranch, symbolOf } from '@jugalis/core'
import { signPath } from '../../space/sign-path'

/** Where the drawing lies on the screen: mm along and lanes to px, and how thick a pipe is drawn. */
export interface Frame {
  x(mm: number): number
  mid(lane: number): number
  thick(odMm: number): number
}

/** Outline of a part. @param more px that it stands out above and below. @param wider px to either side. */
export function outline(frame: Frame, part: LaidPart, more: number, wider = 0): string {
  const half = frame.thick(part.odMm) / 2 + more
  const [a, b] = [(frame.x(part.fromMm) - wider).toFixed(1), (frame.x(part.toMm) + wider).toFixed(1)]
  return `M${a} ${frame.mid(part.lane) - half}H${b}v${2 * half}H${a}Z`
}
/** However many parts there are, each kind is one shape to the browser. */
export const outlines = (frame: Frame, parts: readonly LaidPart[], more: number): string =>
  parts.map((p) => outline(frame, p, more)).join('')

/** Widest that a sign of a drawing in space is drawn in the strip, px of its own. */
const SIGN_PX = 32
/** What tells fittings apart by shape: a collar at a tee's branch, a slant in an elbow, else the sign that it has in space. */
export function fittingMark(frame: Frame, part: LaidPart): string {
  const [a, b, y] = [frame.x(part.fromMm), frame.x(part.toMm), frame.mid(part.lane)]
  const half = frame.thick(part.odMm) / 2 + 5
  const middle = (a + b) / 2
  const kind = part.item.fitting ?? ''
  if (kind.startsWith('elbow')) return `M${a} ${y + half}L${b} ${y - half}`
  if (hasBranch(part.item)) return `M${middle} ${y}v${half}M${middle - 5} ${y}h10`
  const scale = Math.min(1, (b - a) / SIGN_PX)
  if (scale <= 0) return ''
  const at = [middle, y] as const
  return symbolOf(part.item, at, [scale, 0], [0, scale])
    .map((sign) => signPath(sign.kind === 'circle' ? { ...sign, radius: sign.radius * scale } : sign))
    .join('')
}

/** Widest that a way down to a branch is drawn, px. */
const STEM_PX = 14
/** The ways from tees down to the lanes of their branches that are in sight. */
export function stemPaths(
  frame: Frame,
  laid: Laid,
  fromMm: number,
  toMm: number,
): { id: string; d: string; width: number }[] {
  return laid.stems
    .filter((s) => s.atMm >= fromMm - 400 && s.atMm <= toMm + 400)
    .map((stem) => {
      const first = laid.parts.find((p) => p.item.run === stem.run)
      const path = `M${frame.x(stem.atMm)} ${frame.mid(stem.fromLane) + frame.thick(stem.odMm) / 2}V${frame.mid(stem.toLane)}H${frame.x(first?.fromMm ?? stem.atMm)}`
      return { id: stem.run, d: path, width: Math.min(frame.thick(stem.odMm), STEM_PX) }
    })
}
