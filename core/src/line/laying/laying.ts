import { outsideDiameterMm, parseSize } from '../../sizes/size.js'
import { type Fig, fig, msg, noFig } from '../../sources/source.js'
import { type LaidPipe, sectionOf } from './section.js'
import { layingOf } from './tables.js'

const GRAVITY = 9.80665
const WATER_KG_M3 = 1000
/** Half the short-time modulus stands for years of load; sag of a five-hundredth; several spans one after another. */
const SAG = { longTerm: 0.5, share: 500, several: 185, maxC: 25 }

export type Pipe = LaidPipe
const discM2 = (mm: number): number => (Math.PI / 4) * (mm / 1000) ** 2

/** Weight of empty pipe, kg/m. Source: `wall-weight`. */
export function pipeWeight(pipe: Pipe): Fig {
  const ring = sectionOf(pipe)
  const { density } = layingOf(pipe.material)
  if (!ring || density === null)
    return noFig(msg('weight-unknown', { size: pipe.size, material: pipe.material }))
  return fig((discM2(ring.odMm) - discM2(ring.boreMm)) * density, 'wall-weight')
}
/** Volume of a metre of pipe, litres. */
export function litresPerMetre(pipe: Pipe): Fig {
  const ring = sectionOf(pipe)
  return ring
    ? fig(discM2(ring.boreMm) * 1000, 'wall-weight')
    : noFig(msg('wall-unknown', { size: pipe.size }))
}
/** Weight of pipe full of a liquid, kg/m. @param densityKgM3 of the liquid. */
export function filledWeight(pipe: Pipe, densityKgM3 = WATER_KG_M3): Fig {
  const empty = pipeWeight(pipe)
  const litres = litresPerMetre(pipe)
  if (empty.value === null) return empty
  if (litres.value === null) return litres
  return fig(empty.value + (litres.value * densityKgM3) / 1000, 'wall-weight')
}

/**
 * Growth of a straight run in mm, shorter where negative. @param fromC laid at. @param toC in service.
 * @example growthMm('copper', 10_000, 20, 60).value // 6.8
 */
export function growthMm(material: string, lengthMm: number, fromC: number, toC: number): Fig {
  const { growth } = layingOf(material)
  return growth === null
    ? noFig(msg('growth-unknown', { material }))
    : fig((lengthMm / 1000) * growth * (toC - fromC), 'cp-expansion')
}
/** Free arm that takes up a growth by bending, mm. A loop has two arms that share it: each for half. */
export function armMm(pipe: Pipe, growth: number): Fig {
  const size = parseSize(pipe.size)
  const odMm = size && outsideDiameterMm(size)
  const { arm } = layingOf(pipe.material)
  if (arm === null || !odMm) return noFig(msg('arm-unknown', { material: pipe.material }))
  return fig(arm * Math.sqrt(odMm * Math.abs(growth)), 'cp-expansion-arm')
}

/** Spacing of hangers, or of a riser's supports, by the code's table, mm. @param wallC warmest wall in service. */
export function hangerSpacingMm(pipe: Pipe, wallC: number, upright = false): Fig {
  const size = parseSize(pipe.size)
  const odMm = size && outsideDiameterMm(size)
  const { spacings, risers, spacingMaxC } = layingOf(pipe.material)
  const spacing = odMm ? (upright ? risers : spacings).find(({ toOdMm }) => odMm <= toOdMm) : undefined
  if (!spacing) return noFig(msg('span-unknown', { material: pipe.material }))
  if (wallC > spacingMaxC) return noFig(msg('span-too-warm', { material: pipe.material, c: spacingMaxC }))
  return fig(spacing.mm, 'ipc-308-5')
}
/** Span that sags by a five-hundredth when full of a liquid, mm; plastics up to 25 °C. Source: `sag-span`. */
export function sagSpanMm(pipe: Pipe, wallC: number, densityKgM3 = WATER_KG_M3): Fig {
  const ring = sectionOf(pipe)
  const full = filledWeight(pipe, densityKgM3)
  const { modulusMpa } = layingOf(pipe.material)
  if (!ring || full.value === null || modulusMpa === null)
    return noFig(msg('span-unknown', { material: pipe.material }))
  if (wallC > SAG.maxC) return noFig(msg('span-too-warm', { material: pipe.material, c: SAG.maxC }))
  const loadNPerMm = (full.value * GRAVITY) / 1000
  return fig(
    Math.cbrt((SAG.several * modulusMpa * SAG.longTerm * ring.inertiaMm4) / (SAG.share * loadNPerMm)),
    'sag-span',
  )
}
