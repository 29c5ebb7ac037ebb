import {
  type Fig,
  type Stretch,
  armMm,
  filledWeight,
  growthMm,
  hangerSpacingMm,
  litresPerMetre,
  sagSpanMm,
  smallest,
  stretchesOf,
} from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'

/** So many stretches are worked out, longest first. */
const MOST = 60
/** More hangers than this are not drawn one by one. */
const DRAWN = 60
/** What the wall is taken at where nobody said how warm it gets, °C. */
const ORDINARY_C = 20

export interface SupportRow {
  stretch: Stretch
  grows: Fig | null
  arm: Fig | null
  loop: Fig | null
  hangers: Fig
  full: Fig
  litres: Fig
  /** The closer of the two spacings. */
  everyMm: number | null
}
/** Temperatures at which it is laid and used, °C, null = not said; density of what is in it, kg/m³. */
interface Service {
  laidC: number | null
  coldC: number | null
  warmC: number | null
  density: number
}
/** The larger movement of the two between laid and service; null where a temperature is not said. */
function movement(stretch: Stretch, { laidC, coldC, warmC }: Service): Fig | null {
  if (laidC === null) return null
  return [coldC, warmC]
    .filter((t): t is number => t !== null)
    .map((t) => growthMm(stretch.pipe.material, stretch.lengthMm, laidC, t))
    .reduce<Fig | null>(
      (a, b) => (a === null || Math.abs(b.value ?? 0) > Math.abs(a.value ?? 0) ? b : a),
      null,
    )
}
function rowOf(stretch: Stretch, service: Service): SupportRow {
  const { pipe } = stretch
  const grows = movement(stretch, service)
  const mm = grows?.value ?? null
  const wallC = service.warmC ?? ORDINARY_C
  const hangers = hangerSpacingMm(pipe, wallC, stretch.upright)
  // A riser does not sag.
  const sag = stretch.upright ? null : sagSpanMm(pipe, wallC, service.density)
  const spans = [hangers.value, sag?.value ?? null].filter((v): v is number => v !== null)
  return {
    stretch,
    grows,
    arm: mm === null ? null : armMm(pipe, mm),
    loop: mm === null ? null : armMm(pipe, mm / 2),
    hangers,
    full: filledWeight(pipe, service.density),
    litres: litresPerMetre(pipe),
    everyMm: spans.length ? smallest(spans) : null,
  }
}

/** How many hangers a stretch takes; 0 where no spacing is known. */
export const hangersOf = (row: SupportRow): number =>
  row.everyMm ? Math.ceil(row.stretch.lengthMm / row.everyMm) + 1 : 0
/** Where they stand along a bar of a width, px. */
export function hangersAlong(row: SupportRow, widthPx: number): number[] {
  const count = hangersOf(row)
  return count < 2 || count > DRAWN
    ? []
    : Array.from({ length: count }, (_, i) => 4 + (i / (count - 1)) * widthPx)
}

/** Straight stretches of the job, longest first, with their movement, supports and weight in service. */
export function useSupportRows(service: () => Service) {
  const job = useJob()
  const view = useView()
  const stretches = computed(() =>
    view.lines.flatMap((l) => stretchesOf(job.state, l)).sort((a, b) => b.lengthMm - a.lengthMm),
  )
  const rows = computed(() => stretches.value.slice(0, MOST).map((s) => rowOf(s, service())))
  return { stretches, rows }
}
