import { tableOf } from '../../sources/table.js'
import ARMS from './tables/arms.json' with { type: 'json' }
import DENSITIES from './tables/densities.json' with { type: 'json' }
import GROWTH from './tables/growth.json' with { type: 'json' }
import HANGERS from './tables/hangers.json' with { type: 'json' }
import METALS from './tables/metal-moduli.json' with { type: 'json' }
import MODULI from './tables/moduli.json' with { type: 'json' }
import WARM_HANGERS from './tables/warm-hangers.json' with { type: 'json' }

/** Figures of one material for how it lies. Null: none is known. */
export interface Laying {
  /** kg/m³. Source: `cp-density`. */
  density: number | null
  /** mm a metre and kelvin. Source: `cp-expansion`. */
  growth: number | null
  /** Constant of the arm: length = constant x root(diameter x growth), all in mm. Source: `cp-expansion-arm`. */
  arm: number | null
  /** Hanger spacing up to an outside diameter, both in mm, least first. Source: `ipc-308-5`. */
  spacings: readonly { toOdMm: number; mm: number }[]
  /** Warmest wall for which that spacing is given, °C. Source: `cp-span-warm`. */
  spacingMaxC: number
  /** Of risers: up to an outside diameter, both in mm, least first. Source: `ipc-308-5`. */
  risers: readonly { toOdMm: number; mm: number }[]
  /** Short-time modulus of a plastic at 23 °C, MPa. Source: `b31-3-c8`. */
  modulusMpa: number | null
  /** Modulus of a metal at 21 °C, MPa. Source: `b31-3-c6`. */
  metalMpa: number | null
}
const density = tableOf(DENSITIES, 'cp-density')
const growth = tableOf(GROWTH, 'cp-expansion')
const arm = tableOf(ARMS, 'cp-expansion-arm')
const hangers = tableOf(HANGERS, 'ipc-308-5')
const warm = tableOf(WARM_HANGERS, 'cp-span-warm')
const modulus = tableOf(MODULI, 'b31-3-c8')
const metal = tableOf(METALS, 'b31-3-c6')

const spacingsOf = (material: string, way: 'spacing' | 'riser'): Laying['spacings'] =>
  hangers.rows
    .filter((row) => row.material === material)
    .map((row) => ({ toOdMm: row.to ?? Infinity, mm: row[way] }))

/**
 * Figures by which a material is laid: growth, spans, stiffness. Throws for a material without a row.
 * @example layingOf('copper').growth // 0.017
 */
export const layingOf = (material: string): Laying => ({
  density: density.at(material)?.density ?? null,
  growth: growth.at(material)?.growth ?? null,
  arm: arm.at(material)?.arm ?? null,
  spacings: spacingsOf(material, 'spacing'),
  risers: spacingsOf(material, 'riser'),
  spacingMaxC: warm.at(material)?.to ?? Infinity,
  modulusMpa: modulus.at(material)?.modulus ?? null,
  metalMpa: metal.at(material)?.modulus ?? null,
})
