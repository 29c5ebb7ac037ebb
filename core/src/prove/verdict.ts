import { type Msg, msg } from '../sources/source.js'
import type { TestRun } from '../joint/state.js'

export interface Verdict {
  verdict: 'held' | 'lost' | 'inconclusive'
  /** Fall over the hold by the fitted line, bar; positive when falling. Null before there is a line. */
  dropBar: number | null
  uncertaintyBar: number | null
  says: Msg
}
/** A change of the water's temperature above this hides what a plain gauge can say (ours, common practice). */
const STEADY_K = 1
const T95 = 2

/**
 * Judges a water test from its readings: a straight line through the hold, its 95 % half-width from scatter and the
 * gauge's resolution, against the allowed fall. No correction for temperature: where it moved by more than 1 K, or is
 * not known to have stayed, and the fall is not plain, the answer is inconclusive.
 */
export function judgeTest(
  test: Pick<TestRun, 'readings' | 'holdS' | 'allowedDropBar' | 'resolutionBar'>,
): Verdict {
  const { readings } = test
  const none = (
    code: string,
    params = {},
    dropBar: number | null = null,
    u: number | null = null,
  ): Verdict => ({
    verdict: 'inconclusive',
    dropBar,
    uncertaintyBar: u,
    says: msg(code, params),
  })
  const first = readings[0]
  const last = readings.at(-1)
  if (!first || !last || readings.length < 3) return none('inconclusive-few')
  const seenS = last.atS - first.atS
  const line = fitLine(readings.map((r) => [r.atS - first.atS, r.bar]))
  if (!line) return none('inconclusive-few')
  const dropBar = -line.slope * test.holdS
  // Each reading is off by up to half a graduation: two of them bound the fall.
  const uncertaintyBar = Math.hypot(
    T95 * line.slopeError * test.holdS,
    (test.resolutionBar / Math.sqrt(3)) * (test.holdS / seenS),
  )
  const temperatures = readings.map((r) => r.temperatureC).filter((t): t is number => t !== null)
  const kelvin = temperatures.length ? Math.max(...temperatures) - Math.min(...temperatures) : 0
  if (kelvin > STEADY_K) return none('inconclusive', { kelvin: kelvin.toFixed(1) }, dropBar, uncertaintyBar)
  const params = { dropBar, allowedBar: test.allowedDropBar, seenS, holdS: test.holdS }
  if (dropBar - uncertaintyBar > test.allowedDropBar)
    return { verdict: 'lost', dropBar, uncertaintyBar, says: msg('lost', params) }
  if (seenS < test.holdS) return none('inconclusive-short', params, dropBar, uncertaintyBar)
  if (dropBar + uncertaintyBar <= test.allowedDropBar)
    return { verdict: 'held', dropBar, uncertaintyBar, says: msg('held', params) }
  return none('inconclusive-close', params, dropBar, uncertaintyBar)
}

function fitLine(
  points: readonly (readonly [number, number])[],
): { slope: number; slopeError: number } | null {
  const n = points.length
  const mx = points.reduce((a, p) => a + p[0], 0) / n
  const my = points.reduce((a, p) => a + p[1], 0) / n
  const sxx = points.reduce((a, p) => a + (p[0] - mx) ** 2, 0)
  if (sxx === 0) return null
  const slope = points.reduce((a, p) => a + (p[0] - mx) * (p[1] - my), 0) / sxx
  const rest = points.reduce((a, p) => a + (p[1] - my - slope * (p[0] - mx)) ** 2, 0)
  return { slope, slopeError: n > 2 ? Math.sqrt(rest / (n - 2) / sxx) : 0 }
}
