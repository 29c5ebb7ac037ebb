import { outsideDiameterMm, parseSize } from '../../sizes/size.js'
import { wallMm } from '../../sizes/walls.js'
import { layingOf } from './tables.js'

/** What a pipe's section is laid by. */
export interface LaidPipe {
  material: string
  size: string
  /** Of its wall; null: the usual one. */
  series: string | null
}
/** A pipe's section: mm, mm², mm⁴; its modulus in MPa, null where that is not known. */
export interface Section {
  odMm: number
  boreMm: number
  areaMm2: number
  inertiaMm4: number
  modulusMpa: number | null
}

/**
 * Section of a pipe; null where its diameter or wall is not known. Source: `wall-weight`, `b31-3-c8`, `b31-3-c6`.
 * @example sectionOf({ material: 'copper', size: 'd22', series: null }).boreMm // 20
 */
export function sectionOf(pipe: LaidPipe): Section | null {
  const size = parseSize(pipe.size)
  const odMm = size && outsideDiameterMm(size)
  const wall = size && wallMm(pipe.material, size, pipe.series)
  if (!odMm || !wall || wall.value === null) return null
  const boreMm = odMm - 2 * wall.value
  const { modulusMpa, metalMpa } = layingOf(pipe.material)
  return {
    odMm,
    boreMm,
    areaMm2: (Math.PI / 4) * (odMm ** 2 - boreMm ** 2),
    inertiaMm4: (Math.PI / 64) * (odMm ** 4 - boreMm ** 4),
    modulusMpa: modulusMpa ?? metalMpa,
  }
}
