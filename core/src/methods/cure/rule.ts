import type { SourceId } from '../../sources/source.js'
import { EDGE_BAR } from '../../units/units.js'

/** Inch cure schedules a job can choose from. */
export const CURE_TABLES = ['current', 'd2855-96'] as const

/** Seconds that something takes at a steady temperature, in dry or in damp air; null where there is no figure. */
export type Required = (temperatureC: number, humid: boolean) => number | null

/** One pressure class of a cure rule: what it takes to be trusted with pressures up to `toBar`. */
export interface CureClass {
  /** Highest gauge pressure of the class in bar; null = the rule sets no ceiling. */
  toBar: number | null
  /**
   * Seconds needed at a steady temperature, in dry or in damp air; null outside the rule's range; 0 where only `perBarS`
   * counts. Damp air never asks for less.
   */
  requiredS: Required
}

/** How long a joint must be left alone before it may be moved and before it may take pressure. */
export interface CureRule {
  /** Names rule, size and options: two rules with the same id are the same function. */
  id: string
  /** Where the figure at a temperature comes from (rules may lean on a second table when it is cold). */
  sourceAt(temperatureC: number): SourceId
  setSource: SourceId
  /** Ascending by `toBar`. */
  classes: readonly CureClass[]
  /** Seconds for each bar, on top of the class (the longer of both counts); null = none. */
  perBarS: number | null
  setS(temperatureC: number): number | null
  /** The same at every temperature: needs no reading. */
  steady?: true
}

/** The class that governs a pressure; on an edge the slower one. Null above the rule's ceiling. */
export function classFor(rule: CureRule, bar: number): CureClass | null {
  const last = rule.classes.length - 1
  return (
    rule.classes.find((cureClass, i) =>
      cureClass.toBar === null
        ? true
        : i < last
          ? bar < cureClass.toBar - EDGE_BAR
          : bar <= cureClass.toBar + EDGE_BAR,
    ) ?? null
  )
}

/** Seconds a pressure needs at a steady temperature, in dry or damp air; null without a figure. */
export function requiredFor(rule: CureRule, bar: number): Required | null {
  const cureClass = classFor(rule, bar)
  if (!cureClass) return null
  const perBar = rule.perBarS === null ? 0 : rule.perBarS * bar
  return (temperatureC, humid) => {
    const need = cureClass.requiredS(temperatureC, humid)
    return need === null ? null : Math.max(need, perBar)
  }
}
