import { parseSize } from '../sizes/size.js'
import { pipeRating } from '../prove/test-plan/rating.js'

/** The bench's pump ends here where no rating of the pipe is known, bar. */
const USUAL_BAR = 40
/** The bench goes to so many times the pipe's rating. */
const TIMES = 4

/**
 * How high the bench goes, bar: four times what the pipe is rated for where its wall is said, else 40.
 * @param joint material, size as text, wall, and the wall's temperature in °C.
 */
export function triedToBar(joint: {
  material: string
  size: string
  schedule?: string | null
  details?: Readonly<Record<string, unknown>> | null
  site: { wallC: number }
}): number {
  const size = parseSize(joint.size)
  const said = joint.schedule ?? joint.details?.wallSeries
  if (!size || typeof said !== 'string') return USUAL_BAR
  const rated = pipeRating(
    { material: joint.material, size, series: said, threaded: false },
    joint.site.wallC,
  )
  return 'value' in rated ? USUAL_BAR : TIMES * rated.ratingBar
}
