import { smallest } from '../../units/extent.js'
import { parseSize } from '../../sizes/size.js'
import { jointPlaces } from '../../joint/lookup.js'
import type { Pipe } from '../../parts/ends.js'
import type { JobState, Line, Section, SectionPlan } from '../../log/state.js'
import { headBar } from './water-column.js'
import { isPlastic } from '../../methods/joinable.js'
import { deratingFactor, pipeRating } from './rating.js'
import { heightsOf } from './heights.js'
import { planOf } from './section-plan.js'

export interface Limit {
  name: string
  /** What it may take where it is, at the temperature of the test. */
  ratingBar: number
  /** What the gauge may show so that it does not see more. */
  atGaugeBar: number
  /** By how much its rating was lowered for warmth; 1 = not. */
  factor: number
}
/**
 * Everything in a section that has a rating, weakest first, as the gauge would see it. Head counts: a part below the
 * gauge sees more than the gauge shows; one whose height nobody said is taken to lie at the lowest point. Plastic is
 * lowered for the temperature that was said.
 */
export function limitsOf(state: JobState, section: Section): Limit[] {
  const plan = planOf(section)
  const { gaugeM, lowM } = heightsOf(state, section)
  const places = jointPlaces(state)
  const lines = new Map<string, Line>()
  const pipes = new Map<string, Walls>()
  for (const id of section.jointIds) {
    const place = places.get(id)
    if (!place) continue
    lines.set(place.line.id, place.line)
    const { part, way } = place
    const { pipe } = way
    const thread = way.halved ? (part.type === 'piece' ? 'pipe' : 'fitting') : null
    pipes.set(`${place.line.id} ${Object.values(pipe).join(' ')} ${thread}`, { ...pipe, thread })
  }
  const factorOf = (material: string): number =>
    plan.temperatureC === null ? 1 : factorAt(material, plan.temperatureC)
  const plastic = smallest([1, ...[...pipes.values()].map((pipe) => factorOf(pipe.material))])
  const below = (atM: number | null): number => {
    if (gaugeM === null || plan.medium !== 'water') return 0
    const at = atM ?? lowM
    return at === null ? 0 : headBar(gaugeM - at)
  }
  const limit = (name: string, ratingBar: number, factor: number, atM: number | null): Limit => ({
    name,
    ratingBar: ratingBar * factor,
    atGaugeBar: ratingBar * factor - below(atM),
    factor,
  })
  return [
    ...[...lines.values()].flatMap((line) =>
      line.ratingBar === null
        ? []
        : [limit(`Line ${line.tag}`, line.ratingBar, factorOf(line.material), null)],
    ),
    ...[...pipes.values()].flatMap((pipe) => {
      const rated = pipeLimit(pipe, plan)
      return rated ? [{ ...limit(rated.name, rated.bar, 1, null), factor: rated.factor }] : []
    }),
    ...(section.ratingBar === null ? [] : [limit(section.tag, section.ratingBar, 1, null)]),
    ...section.parts.map((part) =>
      limit(
        part.name,
        part.ratingBar,
        part.kind === 'thread' || part.kind === 'union' ? plastic : 1,
        part.atM,
      ),
    ),
  ].sort((a, b) => a.atGaugeBar - b.atGaugeBar)
}

/** Too hot for any figure is no pressure at all; a material of which no factor is known keeps its rating. */
function factorAt(material: string, temperatureC: number): number {
  const fig = deratingFactor(material, temperatureC)
  return fig.value ?? (fig.why.code === 'derating-too-hot' ? 0 : 1)
}
/** Cool, where nobody said how warm the pipe will be. */
const COOL_C = 20
/** What a test by DVS 2210-1 may be above the pipe's PN. Source: `dvs-2210-1-2`. */
const ABOVE_PN_BAR = 5
/** A pipe, and what is cut into it: a thread on the pipe itself, or one moulded on a fitting of its size. */
type Walls = Pipe & { thread: 'pipe' | 'fitting' | null }
/** What the pipe itself may take, where the series of its walls was said; null where there is no figure. */
function pipeLimit(
  { material, size: sizeText, series, said, thread }: Walls,
  plan: SectionPlan,
): { name: string; bar: number; factor: number } | null {
  const size = parseSize(sizeText)
  if (!said || series === null || !size) return null
  // Metal keeps what it has under a thread; plastic half, and a wall that is never threaded nothing that is known.
  const halves = thread !== null && isPlastic(material)
  const rated = pipeRating(
    { material, size, series, threaded: halves && thread === 'pipe' },
    plan.temperatureC ?? COOL_C,
  )
  const name = `${halves ? 'Thread' : 'Pipe'} ${sizeText} ${series}`
  if ('value' in rated)
    return rated.field === 'temperatureC' || rated.field === 'threaded' ? { name, bar: 0, factor: 0 } : null
  const above = plan.rule?.startsWith('dvs') && size.family === 'd' ? ABOVE_PN_BAR : 0
  const half = halves && thread === 'fitting' ? 0.5 : 1
  return { name, bar: (rated.ratingBar + above) * half, factor: rated.factor * half }
}
