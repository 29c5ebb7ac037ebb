import { type Laid, type LaidPart, hasBranch } from '@jugalis/core'

/** Where the drawing lies on the screen: mm along and lanes to px, and how thick a pipe is drawn. */
export interface Frame {
  x(mm: number): number
  mid(lane: number): number
  thick(odMm: number): number
}

/** Outline of a part. @param more px that it stands out above and below. @param wider px to either side. */
export function outline(f: Frame, p: LaidPart, more: number, wider = 0): string {
  const half = f.thick(p.odMm) / 2 + more
  const [a, b] = [(f.x(p.fromMm) - wider).toFixed(1), (f.x(p.toMm) + wider).toFixed(1)]
  return `M${a} ${f.mid(p.lane) - half}H${b}v${2 * half}H${a}Z`
}
/** However many parts there are, each kind is one shape to the browser. */
export const outlines = (f: Frame, parts: readonly LaidPart[], more: number): string =>
  parts.map((p) => outline(f, p, more)).join('')

/** What tells fittings apart by shape: a cross in a valve, a collar at a tee's branch, a wedge in a reducer. */
export function fittingMark(f: Frame, p: LaidPart): string {
  const [a, b, y] = [f.x(p.fromMm), f.x(p.toMm), f.mid(p.lane)]
  const half = f.thick(p.odMm) / 2 + 5
  const middle = (a + b) / 2
  const kind = p.item.fitting ?? ''
  if (kind.endsWith('valve')) return `M${a} ${y - half}L${b} ${y + half}M${a} ${y + half}L${b} ${y - half}`
  if (kind === 'union') return [-3, 3].map((d) => `M${middle + d} ${y - half - 4}v${2 * half + 8}`).join('')
  if (kind === 'flange') return `M${a + 3} ${y - half - 7}v${2 * half + 14}`
  if (kind.startsWith('elbow')) return `M${a} ${y + half}L${b} ${y - half}`
  if (hasBranch(p.item)) return `M${middle} ${y}v${half}M${middle - 5} ${y}h10`
  return kind === 'reducer' ? `M${a} ${y - half}L${b} ${y}L${a} ${y + half}` : ''
}

/** Widest that a way down to a branch is drawn, px. */
const STEM_PX = 14
/** The ways from tees down to the lanes of their branches that are in sight. */
export function stemPaths(
  f: Frame,
  laid: Laid,
  fromMm: number,
  toMm: number,
): { id: string; d: string; width: number }[] {
  return laid.stems
    .filter((s) => s.atMm >= fromMm - 400 && s.atMm <= toMm + 400)
    .map((s) => {
      const first = laid.parts.find((p) => p.item.run === s.tee.id)
      const d = `M${f.x(s.atMm)} ${f.mid(s.fromLane) + f.thick(s.odMm) / 2}V${f.mid(s.toLane)}H${f.x(first?.fromMm ?? s.atMm)}`
      return { id: s.tee.id, d, width: Math.min(f.thick(s.odMm), STEM_PX) }
    })
}
