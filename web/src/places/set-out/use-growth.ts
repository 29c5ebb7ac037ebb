import { type Fig, type Growth, type GrowthLeg, type Line, armMm, growthOf, shortTag } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'

/** A straight between two corners as it must bend between laid and service. */
export interface LegRow {
  leg: GrowthLeg
  from: string
  to: string
  bendsMm: number
  /** Length that takes so much bending; none where the material has no figure. */
  needs: Fig
  stressMpa: number | null
  /** What it is kept from growing, where that is much of it, mm; else 0. */
  squeezedMm: number
  /** It is shorter than what it needs. */
  short: boolean
}
/** Less bending than this is not told, mm. */
const TOLD_MM = 0.3
/** From this share of its growth on it is said that a straight cannot grow. */
const MUCH = 0.2

const rowOf = (leg: GrowthLeg, kelvin: number): LegRow => {
  const bendsMm = leg.acrossMm * Math.abs(kelvin)
  const needs = armMm(leg.pipe, bendsMm)
  const squeezed = leg.squeezedMm * Math.abs(kelvin)
  const { line, from, to } = leg
  return {
    leg,
    from: shortTag(line.tag, from),
    to: shortTag(line.tag, to),
    bendsMm,
    needs,
    stressMpa: leg.stressMpa === null ? null : leg.stressMpa * Math.abs(kelvin),
    squeezedMm: squeezed >= TOLD_MM && leg.squeezedMm > MUCH * leg.growsMm ? squeezed : 0,
    short: needs.value !== null && needs.value > leg.lengthMm,
  }
}
/** How much of what it has a leg needs; of those without a figure how far they bend. */
const demand = ({ needs, leg, bendsMm }: LegRow): number =>
  needs.value === null ? bendsMm / leg.lengthMm : needs.value / leg.lengthMm

const wrong = ({ squeezedMm, short }: LegRow): number => (squeezedMm > 0 ? 2 : Number(short))

/** How much warmer than laid, or colder, °C: the larger way. Null where nobody said. */
export function largerWay(laidC: number | null, serviceC: readonly (number | null)[]): number | null {
  if (laidC === null) return null
  const ways = serviceC.flatMap((to) => (to === null ? [] : [to - laidC]))
  return ways.length ? ways.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a)) : null
}

/** How the lines that have a place move. @param kelvin warmer than laid, the larger way; null where nobody said. */
export function useGrowth(kelvin: () => number | null) {
  const job = useJob()
  const view = useView()
  const growth = computed<Growth>(() => growthOf(job.state))
  /** Lines of which something is known, or is known to be missing. */
  const lines = computed<Line[]>(() =>
    view.lines.filter(
      ({ id }) => growth.value.bows.has(id) || growth.value.without.some(({ line }) => line.id === id),
    ),
  )
  /** Legs that bend, the most strained first. */
  const rows = computed<LegRow[]>(() => {
    const by = kelvin()
    if (by === null) return []
    return growth.value.legs
      .map((leg) => rowOf(leg, by))
      .filter(({ bendsMm, squeezedMm }) => bendsMm >= TOLD_MM || squeezedMm > 0)
      .sort((a, b) => wrong(b) - wrong(a) || demand(b) - demand(a))
  })
  const worst = computed(() => rows.value.find((row) => wrong(row) > 0) ?? null)
  return { growth, lines, rows, worst }
}
