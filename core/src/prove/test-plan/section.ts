import { greatest, smallest } from '../../units/extent.js'
import { litresPerMetre } from '../../line/laying/laying.js'
import { pieceCut } from '../../line/piece.js'
import { outsideDiameterMm, parseSize } from '../../sizes/size.js'
import { wallMm } from '../../sizes/walls.js'
import { jointPlaces } from '../../joint/lookup.js'
import type { JobState, Section } from '../../log/state.js'
import { heightsOf } from './heights.js'
import { planOf } from './section-plan.js'
import { atEnds } from './water-column.js'
import { stretchPerBar, stuffOf } from '../verdict/physics/pipe.js'
import { waterSqueeze } from '../verdict/physics/water.js'
import type { TestSeries } from '../verdict/series.js'

/** Pipe of one kind in a section. */
export interface PipeRun {
  material: string
  size: string
  series: string | null
  odMm: number | null
  wallMm: number | null
  lengthMm: number
  litres: number
}
export interface Contents {
  runs: PipeRun[]
  litres: number
  /** Pieces of which the length or the bore is not known: the volume is that of the rest. */
  unknown: number
  materials: string[]
  /** The largest outside diameter, mm. */
  largestOdMm: number | null
  /** The narrowest bore, mm: it sets how fast the line may be filled. */
  narrowestBoreMm: number | null
}

/** What a section holds, from the pieces its joints are on. */
export function contentsOf(state: JobState, section: Section): Contents {
  const places = jointPlaces(state)
  const seen = new Set<string>()
  const joined = new Set<string>()
  const runs = new Map<string, PipeRun>()
  let unknown = 0
  for (const id of section.jointIds) {
    const place = places.get(id)
    if (place) joined.add(place.way.material)
    if (!place || place.part.type !== 'piece' || seen.has(place.part.id)) continue
    seen.add(place.part.id)
    const { line, part: piece } = place
    const { material, series } = place.way.pipe
    const size = parseSize(piece.size)
    const cutMm = piece.cut?.mm ?? pieceCut(state, line, piece).cutMm.value
    const perMetre = litresPerMetre({ material, size: piece.size, series })
    const key = `${material} ${piece.size} ${series}`
    let run = runs.get(key)
    if (!run) {
      const wall = size ? wallMm(material, size, series) : null
      run = {
        material,
        size: piece.size,
        series,
        odMm: size ? outsideDiameterMm(size) : null,
        wallMm: wall?.value ?? null,
        lengthMm: 0,
        litres: 0,
      }
      runs.set(key, run)
    }
    if (cutMm === null || perMetre.value === null) {
      unknown++
      continue
    }
    run.lengthMm += cutMm
    run.litres += (perMetre.value * cutMm) / 1000
  }
  const list = [...runs.values()].sort((a, b) => b.litres - a.litres)
  const known = (v: number | null): v is number => v !== null
  const ods = list.map((r) => r.odMm).filter(known)
  const bores = list
    .map((r) => (r.odMm === null || r.wallMm === null ? null : r.odMm - 2 * r.wallMm))
    .filter(known)
  return {
    runs: list,
    litres: list.reduce((a, r) => a + r.litres, 0),
    unknown,
    materials: [...new Set([...list.map((r) => r.material), ...joined])],
    largestOdMm: ods.length ? greatest(ods) : null,
    narrowestBoreMm: bores.length ? smallest(bores) : null,
  }
}

/** The section as the verdict sees it: one pipe for all, the one that holds most. */
export function physicsOf(
  state: JobState,
  section: Section,
): Pick<TestSeries, 'pipeMaterial' | 'odMm' | 'wallMm' | 'axial' | 'airPct' | 'volumeM3'> | null {
  const contents = contentsOf(state, section)
  const [first] = contents.runs
  if (!first) return null
  const plan = planOf(section)
  return {
    pipeMaterial: first.material,
    odMm: first.odMm,
    wallMm: first.wallMm,
    axial: plan.axial,
    airPct: plan.airPct,
    volumeM3: contents.litres > 0 && !contents.unknown ? contents.litres / 1000 : null,
  }
}

/** Pressures at both ends of a section while the gauge shows one; null until heights are known, or for gas. */
export function endsOf(
  state: JobState,
  section: Section,
  gaugeBar: number,
): { atLowBar: number; atHighBar: number } | null {
  const { medium } = planOf(section)
  const { gaugeM, lowM, highM } = heightsOf(state, section)
  return medium === 'water' && gaugeM !== null && lowM !== null && highM !== null
    ? atEnds(gaugeBar, { gaugeM, lowM, highM })
    : null
}

/** Most that a line is filled with, m/s. Source: `cp-fill-rate`. */
const FILL_M_S = 0.3
/** Litres a minute at which a section may be filled, and the minutes that takes. Null until its pipe is known. */
export function fillOf(contents: Contents): { litresPerMin: number; minutes: number } | null {
  if (contents.narrowestBoreMm === null || contents.litres <= 0) return null
  const litresPerMin = (Math.PI / 4) * (contents.narrowestBoreMm / 100) ** 2 * (FILL_M_S * 10) * 60
  return { litresPerMin, minutes: contents.litres / litresPerMin }
}

/** Of the water when nobody said: it hardly matters for how far water is squeezed. */
const USUAL_C = 15
/**
 * Litres to pump in from full to the test pressure when no air is shut in; each litre more is air. Null until pipe and
 * volume are known. Source: `ours-trapped-water`.
 */
export function litresToRaise(section: Section, contents: Contents): number | null {
  const plan = planOf(section)
  const [first] = contents.runs
  const stuff = first ? stuffOf(first.material) : null
  if (
    !first ||
    !stuff ||
    first.odMm === null ||
    first.wallMm === null ||
    contents.unknown ||
    plan.medium !== 'water'
  )
    return null
  const stretch = stretchPerBar(stuff, first.odMm, first.wallMm, plan.axial ?? 'free')
  return contents.litres * (waterSqueeze(plan.temperatureC ?? USUAL_C) + stretch) * section.testBar
}
