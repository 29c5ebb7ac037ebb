import type { Msg } from '../methods/method.js'
import { msg } from '../sources/source.js'
import { SAME_BAR } from '../units/units.js'
import type { JobState } from '../joint/state.js'
import { sectionAnswer } from './answer.js'
import { gatesOf } from './gates.js'

/**
 * Reasons why a test may not begin at a time, by the careful rule (coldest reading). Empty = it may, by these rules
 * and readings. @param bar test pressure, gauge.
 */
export function stopsForTest(
  state: JobState,
  sectionId: string,
  bar: number,
  medium: string,
  nowS: number,
): Msg[] {
  const answer = sectionAnswer(state, sectionId, nowS, 'coldest')
  if (!answer) return [msg('stop-unknown-section')]
  const stops: Msg[] = []
  if (answer.lastTest && !answer.lastTest.ended) stops.push(msg('stop-test-running'))
  if (medium !== 'water') {
    const forbids = answer.joints.flatMap((j) =>
      j.facts.method && j.facts.spec
        ? j.facts.method.testing(j.facts.spec, { no: 1, done: [], interrupted: [] }, j.facts.ctx).forbids
        : [],
    )
    if (forbids.some((f) => f.level === 'stop')) stops.push(msg('stop-gas-on-plastic'))
  }
  for (const j of answer.joints) {
    const joint = j.facts.tag
    const jointId = j.facts.id
    if (j.look.glyph === 'failed') stops.push(msg('stop-failed', { joint, jointId }))
    else if (j.facts.homeAtS === null) stops.push(msg('stop-not-made', { joint, jointId }))
    else if (j.look.glyph === 'hold' || (j.look.glyph === 'set' && j.facts.movable.value !== null))
      stops.push(msg('stop-not-set', { joint, jointId }))
    else if (j.allowsBar < bar - SAME_BAR) {
      if (j.readyAtS === null) stops.push(msg('stop-no-figure', { joint, jointId }))
      else
        stops.push(msg('stop-not-cured', { joint, jointId, allowed: j.allowsBar, bar, readyAtS: j.readyAtS }))
    } else if (!j.look.inspected) stops.push(msg('stop-not-judged', { joint, jointId }))
  }
  const limits = answer.joints
    .map((j) => j.facts.place.line.ratingBar)
    .concat(answer.section.ratingBar)
    .filter((r): r is number => r !== null)
  if (limits.length && bar > Math.min(...limits) + SAME_BAR)
    stops.push(msg('stop-over-rating', { bar, rating: Math.min(...limits) }))
  for (const g of gatesOf(answer))
    if (g.open && (g.byPerson || g.id === 'state')) stops.push(msg('stop-gate-open', { gate: g.id }))
  if (!answer.joints.length) stops.push(msg('section-empty'))
  return stops
}
