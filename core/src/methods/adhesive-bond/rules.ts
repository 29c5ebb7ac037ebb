import { type Fig, type Finding, fig, finding, msg, noFig } from '../../sources/source.js'
import { EDGE_C, HOUR_S, fToC, inchToMm } from '../../units/units.js'
import type { CureRule } from '../cure/rule.js'

export const SAND_BEYOND_MM = inchToMm(0.5)
export const RESAND_AFTER_S = 2 * HOUR_S
const CURE_S = 24 * HOUR_S
const CUT_PLAIN_C = fToC(55)
const CUT_CORED_C = fToC(100)
const CATALYST_FROM_C = fToC(40)
const WHOLE_FROM_C = fToC(70)
const HOT_ABOVE_C = fToC(100)

/**
 * Coldest pipe that may be cut, °C. Source: `cp-resin-cut`.
 * @example cutFromC('epoxy-resin') // 12.8
 */
export const cutFromC = (material: string): number => (material === 'cored-resin' ? CUT_CORED_C : CUT_PLAIN_C)

export type Catalyst = 'cold' | 'whole' | 'hot'
/**
 * Which catalyst instructions apply, by air temperature. Epoxy kits have no choice; below 40 °F there is no figure.
 * @example catalystAt('vinyl-ester', 20).value // 'cold'
 */
export function catalystAt(material: string, airC: number): { value: Catalyst | null; why: Finding | null } {
  if (material === 'epoxy-resin') return { value: null, why: null }
  if (airC < CATALYST_FROM_C - EDGE_C)
    return {
      value: null,
      why: finding('stop', 'resin-too-cold', 'cp-resin-catalyst', {
        temperatureC: airC,
        limitC: CATALYST_FROM_C,
      }),
    }
  const value = airC < WHOLE_FROM_C - EDGE_C ? 'cold' : airC > HOT_ABOVE_C + EDGE_C ? 'hot' : 'whole'
  return { value, why: null }
}
const inCureRange = (t: number): boolean => t >= WHOLE_FROM_C - EDGE_C && t <= HOT_ABOVE_C + EDGE_C

/**
 * Cure without a blanket: 24 h at 70 to 100 °F.
 * @example resinCureS(25).value // 86_400
 */
export const resinCureS = (airC: number): Fig =>
  inCureRange(airC) ? fig(CURE_S, 'cp-resin-cure') : noFig(msg('resin-no-cure', { temperatureC: airC }))
/**
 * Is the air too cold to cure without a heat blanket? @param airC °C. Source: `cp-resin-cure`.
 * @example blanketNeeded(5) // true
 */
export const blanketNeeded = (airC: number): boolean => airC < WHOLE_FROM_C - EDGE_C

export const RESIN_RULE: CureRule = {
  id: 'resin-day',
  sourceAt: () => 'cp-resin-cure',
  setSource: 'cp-resin-cure',
  classes: [{ toBar: null, requiredS: (t) => (inCureRange(t) ? CURE_S : null) }],
  perBarS: null,
  setS: () => null,
}

/** What speaks against cutting and bonding here and now. Temperatures in °C, times in seconds on one clock. */
export function resinFindings(
  material: string,
  now: { airC: number; pipeC: number; sandedForS: number | null },
): Finding[] {
  const out: Finding[] = []
  const from = cutFromC(material)
  if (now.pipeC < from - EDGE_C)
    out.push(finding('stop', 'resin-pipe-cold', 'cp-resin-cut', { temperatureC: now.pipeC, limitC: from }))
  const { why } = catalystAt(material, now.airC)
  if (why) out.push(why)
  // On the edge the careful side: two hours are over.
  if (now.sandedForS !== null && now.sandedForS >= RESAND_AFTER_S)
    out.push(finding('stop', 'resin-sand-again', 'cp-resin-sand', { forS: now.sandedForS }))
  if (blanketNeeded(now.airC))
    out.push(finding('warn', 'resin-needs-blanket', 'cp-resin-cure', { temperatureC: now.airC }))
  return out
}
