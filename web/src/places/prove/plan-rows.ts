import { type Section, contentsOf, fmt, litresToRaise, planOf } from '@jugalis/core'
import { useJob } from '../../stores/job'
import { named, word } from '../../words/word'
import { ruleName } from './rule-names'
import type { useProve } from './use-prove'

export type PlanRow = readonly [name: string, says: string]
type Contents = ReturnType<typeof contentsOf>
type Figures = ReturnType<typeof useProve>

/** A row where there is something to say. */
const row = (name: string, says: string | false | 0 | null | undefined): PlanRow[] =>
  says ? [[name, says]] : []

/** Figures as the reader reads them. */
interface Printed {
  bar(b: number): string
  fine(b: number): string
  litres(l: number): string
}
function testRows(section: Section, figures: Figures, { bar, fine }: Printed): PlanRow[] {
  const plan = planOf(section)
  const ends = figures.ends.value
  return [
    ...row(
      word('ui-rule'),
      word('prove-rule-with', { rule: ruleName(plan.rule), medium: named(plan.medium) }),
    ),
    ...row(
      word('prove-test'),
      word('prove-at-the-gauge-held', {
        bar: bar(section.testBar),
        holdS: section.holdS,
        fine: fine(section.allowedDropBar),
      }),
    ),
    ...row(
      word('prove-static-head'),
      ends && word('prove-then-at-the-lowest', { low: fine(ends.atLowBar), high: fine(ends.atHighBar) }),
    ),
    ...row(word('prove-heights'), figures.heights.value),
  ]
}
function weakestRows(figures: Figures, { bar, fine }: Printed): PlanRow[] {
  const weak = figures.limits.value[0]
  const gauge = figures.gauge.value
  return [
    ...row(
      word('ui-weakest-part'),
      weak
        ? word('prove-the-gauge-may-show', {
            name: weak.name,
            bar: bar(weak.ratingBar),
            factor: fmt.number(weak.factor, 2),
            isFactor: weak.factor < 1 ? 'yes' : 'no',
            fine: fine(weak.atGaugeBar),
          })
        : word('prove-no-rating-was-said'),
    ),
    ...row(
      word('ui-gauge'),
      gauge && word('prove-range', { from: bar(gauge.minBar), to: bar(gauge.maxBar) }),
    ),
  ]
}
function contentRows(section: Section, held: Contents, figures: Figures, { litres }: Printed): PlanRow[] {
  const filling = planOf(section).medium === 'water' ? figures.filling.value : null
  const raise = litresToRaise(section, held)
  const more = held.unknown ? word('prove-and-pieces-of-unknown', { unknown: held.unknown }) : ''
  return [
    ...row(word('prove-holds'), `${litres(held.litres)}${more}`),
    ...row(
      word('prove-fill'),
      filling &&
        word('prove-no-faster-than-min', {
          litresPerMin: filling.litresPerMin,
          minutes: fmt.number(filling.minutes, filling.minutes < 10 ? 1 : 0),
        }),
    ),
    ...row(word('prove-raise'), raise !== null && word('prove-from-full-to-the', { litres: litres(raise) })),
  ]
}
function ruleRows(figures: Figures, { fine }: Printed): PlanRow[] {
  const [rule, energy] = [figures.rule.value, figures.energy.value]
  return [
    ...row(
      word('prove-relief-valve'),
      rule?.reliefBar && word('prove-set-at-most-to', { fine: fine(rule.reliefBar) }),
    ),
    ...row(
      word('prove-at-least'),
      rule?.testMinBar && word('prove-at-the-highest-fitting', { fine: fine(rule.testMinBar) }),
    ),
    ...row(
      word('prove-energy'),
      energy &&
        word('prove-kj-like-of-tnt', {
          energyJ: fmt.number(energy.energyJ / 1e3, 0),
          tntKg: energy.tntKg,
          distanceM: energy.distanceM * 1000,
        }),
    ),
  ]
}

/** The plan of a section's test in rows: what it is tested with, what it may take, what it holds and stores. */
export function usePlanRows(figures: Figures): () => PlanRow[] {
  const job = useJob()
  const printed: Printed = {
    bar: (b) => fmt.pressure(b, job.reader),
    fine: (b) => fmt.pressureFine(b, job.reader),
    litres: (l) => fmt.volume(l, job.reader),
  }
  return () => {
    const [section, held] = [figures.section.value, figures.contents.value]
    if (!section || !held) return []
    return [
      ...testRows(section, figures, printed),
      ...weakestRows(figures, printed),
      ...contentRows(section, held, figures, printed),
      ...ruleRows(figures, printed),
    ]
  }
}
