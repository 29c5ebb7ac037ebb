import type { Reading } from '../../conditions/history.js'
import type { JointFacts } from '../../joint/assess.js'
import { placeHealth } from '../../joint/climate.js'
import type { JobState } from '../../log/state.js'

/** What a joint has cured under so far: said beside its time, so that nothing a rule passes over is silently gone. */
export interface CuredUnder {
  /** Coldest wall that counted since home, °C; null = nothing was read. */
  coldestC: number | null
  /** A colder dip that the rule let pass, because one reading alone saw it for less than a quarter of an hour. */
  passed: Reading | null
  /** Since when the air was damp, epoch seconds, where the rule asks for more in damp air; null = dry, or no matter. */
  dampFromS: number | null
}
/** @param nowS up to when, epoch seconds. Null before the joint is home. */
export function curedUnder(
  state: JobState,
  facts: JointFacts,
  table: string,
  nowS: number,
): CuredUnder | null {
  const homeS = facts.homeAtS
  if (homeS === null) return null
  const spans = facts.history.filter(
    (s, i) => s.basis !== 'none' && (facts.history[i + 1]?.fromS ?? Infinity) > homeS && s.fromS < nowS,
  )
  const coldestC = spans.reduce<number | null>((a, s) => (a === null || s.minC < a ? s.minC : a), null)
  const passed = placeHealth(state, facts.place.line.placeId, homeS, nowS)
    .blips.filter((r) => r.atS >= homeS && r.atS <= nowS && (coldestC === null || r.value < coldestC))
    .reduce<Reading | null>((a, r) => (a === null || r.value < a.value ? r : a), null)
  const damp = spans.find((s) => s.humid)
  return {
    coldestC,
    passed,
    dampFromS: damp && asksMoreInDamp(facts, table, damp.minC) ? Math.max(damp.fromS, homeS) : null,
  }
}
function asksMoreInDamp(facts: JointFacts, table: string, temperatureC: number): boolean {
  if (!facts.method?.cures || facts.spec === null) return false
  const curing = facts.method.curing(facts.spec, { table })
  return (
    curing.by === 'rule' &&
    curing.rule.classes.some((k) => k.requiredS(temperatureC, true) !== k.requiredS(temperatureC, false))
  )
}
