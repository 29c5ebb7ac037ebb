import { wantsLook } from '../../joint/look-over.js'
import { append } from '../../units/extent.js'
import type { Msg } from '../../methods/method.js'
import { msg } from '../../sources/source.js'
import { SAME_BAR } from '../../units/units.js'
import type { JobState } from '../../log/state.js'
import { type SectionAnswer, sectionAnswer } from '../test-plan/answer.js'
import { gatesOf } from '../test-plan/gates.js'
import { limitsOf } from '../test-plan/limits.js'
import { endsOf } from '../test-plan/section.js'

/** What a test is to be read on. Nulls were not said. */
export interface Gauge {
  resolutionBar: number
  topBar: number | null
  dueOn: string | null
}
/**
 * Stops that nobody sets aside: gas on brittle plastic, more than the weakest part may take, and what would make the
 * record untrue. All others a named tester may set aside with a reason, which is kept.
 */
const HARD: ReadonlySet<string> = new Set([
  'stop-unknown-section',
  'stop-test-running',
  'stop-gas-on-plastic',
  'stop-over-rating',
  'stop-not-made',
  'section-empty',
])
/** A stop that nobody may set aside. */
export const isHardStop = (stop: Msg): boolean => HARD.has(stop.code)
/** Stops that are left when those set aside are taken away; the hard ones always stay. */
export const leftStops = (
  stops: readonly Msg[],
  setAside: readonly { code: string; reason: string }[],
): Msg[] => {
  const reasons = new Set(setAside.filter((s) => s.reason.trim()).map((s) => s.code))
  return stops.filter((s) => isHardStop(s) || !reasons.has(s.code))
}

/**
 * Reasons why a test may not begin at a time, by the careful rule (coldest reading). Empty = it may, by these rules
 * and readings. @param bar test pressure at the gauge. @param gauge checked where it is given.
 */
export function stopsForTest(
  state: JobState,
  sectionId: string,
  bar: number,
  medium: string,
  nowS: number,
  more: { rule?: string | null; gauge?: Gauge | null; today?: string } = {},
): Msg[] {
  const answer = sectionAnswer(state, sectionId, nowS, 'coldest')
  if (!answer) return [msg('stop-unknown-section')]
  const stops: Msg[] = []
  if (answer.lastTest && !answer.lastTest.ended) stops.push(msg('stop-test-running'))
  if (medium !== 'water') {
    const forbids = answer.joints.flatMap((joint) =>
      joint.facts.method && joint.facts.spec
        ? joint.facts.method.testing(joint.facts.spec, { no: 1, done: [], interrupted: [] }, joint.facts.ctx)
            .forbids
        : [],
    )
    if (forbids.some((f) => f.level === 'stop')) stops.push(msg('stop-gas-on-plastic'))
  }
  append(stops, jointStops(answer, bar))
  const weakest = limitsOf(state, answer.section)[0]
  if (weakest && bar > weakest.atGaugeBar + SAME_BAR)
    stops.push(msg('stop-over-rating', { bar, rating: weakest.atGaugeBar, part: weakest.name }))
  const check = isLeakCheck(more.rule)
  for (const gate of gatesOf(state, answer))
    // The first look is what closes its own gate.
    if (
      gate.open &&
      (gate.byPerson ||
        gate.id === 'state' ||
        gate.id === 'neighbours' ||
        (gate.id === 'leak-check' && !check))
    )
      stops.push(msg('stop-gate-open', { gate: gate.id }))
  if (check) append(stops, tooLow(state, answer, bar, medium))
  if (more.gauge) append(stops, gaugeStops(more.gauge, bar, more.today))
  if (!answer.joints.length) stops.push(msg('section-empty'))
  return stops
}

/** Is this the low look for joints that are not fixed? */
export const isLeakCheck = (rule: string | null | undefined): boolean =>
  rule?.startsWith('press-leak-check') ?? false
/** Least pressure at the highest fitting at which an unpressed joint shows, bar. Source: `cp-press-leak-check`. */
const LEAST_AT_TOP = { water: 1.0342, gas: 0.0345 }
function tooLow(state: JobState, answer: SectionAnswer, bar: number, medium: string): Msg[] {
  const atHighBar = endsOf(state, answer.section, bar)?.atHighBar ?? bar
  const least = medium === 'water' ? LEAST_AT_TOP.water : LEAST_AT_TOP.gas
  return atHighBar < least - SAME_BAR ? [msg('stop-check-too-low', { bar: atHighBar, least })] : []
}

function jointStops(answer: SectionAnswer, bar: number): Msg[] {
  const stops: Msg[] = []
  for (const own of answer.joints) {
    const joint = own.facts.tag
    const jointId = own.facts.id
    if (own.look.glyph === 'failed') stops.push(msg('stop-failed', { joint, jointId }))
    else if (own.facts.homeAtS === null) stops.push(msg('stop-not-made', { joint, jointId }))
    else if (own.look.glyph === 'hold' || (own.look.glyph === 'set' && own.facts.movable.value !== null))
      stops.push(msg('stop-not-set', { joint, jointId }))
    else if (own.allowsBar < bar - SAME_BAR) {
      if (own.readyAtS === null) stops.push(msg('stop-no-figure', { joint, jointId }))
      else
        stops.push(
          msg('stop-not-cured', { joint, jointId, allowed: own.allowsBar, bar, readyAtS: own.readyAtS }),
        )
    } else if (!own.look.inspected) stops.push(msg('stop-not-judged', { joint, jointId }))
    if (own.facts.homeAtS !== null && wantsLook(own.facts.life))
      stops.push(msg('stop-not-looked-over', { joint, jointId }))
  }
  return stops
}

/** A gauge out of date, or of a range that does not fit. Source: `cp-gauge-range`. */
function gaugeStops(gauge: Gauge, bar: number, today: string | undefined): Msg[] {
  const stops: Msg[] = []
  if (gauge.dueOn && today && gauge.dueOn < today) stops.push(msg('stop-gauge-late', { on: gauge.dueOn }))
  if (gauge.topBar !== null && (gauge.topBar < 1.5 * bar - SAME_BAR || gauge.topBar > 4 * bar + SAME_BAR))
    stops.push(msg('stop-gauge-range', { top: gauge.topBar, from: 1.5 * bar, to: 4 * bar }))
  return stops
}
