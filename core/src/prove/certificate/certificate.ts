import { msg } from '../../sources/source.js'
import { recordOf } from '../../methods/sources.js'
import type { Msg } from '../../methods/method.js'
import { jointFacts } from '../../joint/assess.js'
import type { Role } from '../../log/roles.js'
import type { JobState, TestRun } from '../../log/state.js'
import { gatesOf } from '../test-plan/gates.js'
import { answerFor } from '../test-plan/answer.js'
import { type Judgement } from '../verdict/judge.js'
import { correctedCourse, flagsOf, judgeRun, seriesOf } from '../test-run/test-so-far.js'
import { saysOf } from './verdict-sentence.js'
import { limitsOf } from '../test-plan/limits.js'
import { planOf } from '../test-plan/section-plan.js'
import { heldPart } from '../test-plan/stages.js'
import { testPlan, TEST_RULES, type TestRuleId } from '../test-plan/rules.js'

export interface Certificate {
  job: string
  section: string
  test: TestRun
  rule: { id: string | null; reference: string | null; note: string | null }
  workingBar: number
  weakest: { name: string; ratingBar: number; atGaugeBar: number } | null
  gates: { id: string; says: Msg; open: boolean; by: string | null; atS: number | null; how: string | null }[]
  joints: {
    tag: string
    size: string
    method: string
    lives: number
    homeAtS: number | null
    verdict: string
  }[]
  judgement: Judgement
  /** Its judgement, as a sentence: what stands at the top. */
  heading: Msg
  corrected: { atS: number; bar: number }[]
  flags: Msg[]
  /** With what each was said to be on the job when they signed; absent where nobody said. */
  signed: { by: string; atS: number; statement: string; role?: Role }[]
  /** Head of the job's log when it was made: the chain up to it can be checked. */
  head: { seq: number; hash: string }
}

/**
 * Where a rule's figures come from; null for a rule of one's own or one that was not named.
 * @example ruleSource('custom') // null
 */
export function ruleSource(id: string | null): { reference: string; note: string } | null {
  if (!id || id === 'custom' || !(TEST_RULES as readonly string[]).includes(id)) return null
  const plan = testPlan({
    rule: id as TestRuleId,
    designBar: 1,
    workingBar: 1,
    materials: [],
    odMm: null,
    stressRatio: 1,
    custom: null,
  })
  if ('missing' in plan) return null
  const source = recordOf(plan.source)
  return {
    reference: `${source.reference}${source.edition ? ` (${source.edition})` : ''}`,
    note: source.note,
  }
}

/** What the readings come to; a leak that was seen is lost whatever they say. */
export function headingOf(test: TestRun, judgement: Judgement): Msg {
  if (!test.ended) return msg('certificate-not-ended')
  if (test.leaks.length) return msg('certificate-leak', { where: test.leaks[0]?.where ?? '' })
  const says = saysOf(judgement, test)
  // It is over: nobody goes on to the end of this hold.
  return says.code === 'verdict-short' ? msg('certificate-short', says.params) : says
}

/** A joint as the certificate lists it: none where it is not known any more. */
function jointRow(state: JobState, jointId: string, begunAtS: number): Certificate['joints'] {
  const facts = jointFacts(state, jointId, 'coldest', begunAtS)
  if (!facts) return []
  return [
    {
      tag: facts.tag,
      size: facts.place.way.size,
      method: facts.place.way.method,
      lives: facts.lifeNo,
      homeAtS: facts.homeAtS,
      verdict: facts.inspection?.verdict ?? 'unknown',
    },
  ]
}

/** Everything a certificate says of a test, from the record alone. Null when the test or its section is not known. */
export function certificateOf(
  state: JobState,
  testId: string,
  head: { seq: number; hash: string },
): Certificate | null {
  const run = state.tests.get(testId)
  // What is printed as read is what was judged.
  const test = run && heldPart(run)
  const section = test ? state.sections.get(test.sectionId) : undefined
  if (!test || !section) return null
  const series = seriesOf(state, test)
  const judgement = judgeRun(state, test, series)
  const answer = answerFor(state, section, test.begunAtS)
  const weakest = limitsOf(state, section)[0]
  const rule = test.rule ?? planOf(section).rule
  const source = ruleSource(rule)
  const firstS = test.readings[0]?.atS ?? test.begunAtS
  return {
    job: state.job.name,
    section: section.tag,
    test,
    rule: { id: rule, reference: source?.reference ?? null, note: source?.note ?? null },
    workingBar: section.workingBar,
    weakest: weakest
      ? { name: weakest.name, ratingBar: weakest.ratingBar, atGaugeBar: weakest.atGaugeBar }
      : null,
    gates: gatesOf(state, answer).map(({ id, says, open, by, atS, how }) => ({
      id,
      says,
      open,
      by,
      atS,
      how,
    })),
    joints: section.jointIds.flatMap((id) => jointRow(state, id, test.begunAtS)),
    judgement,
    heading: headingOf(test, judgement),
    corrected: correctedCourse(series, judgement).map((p) => ({ atS: firstS + p.tS, bar: p.bar })),
    flags: flagsOf(state, test),
    signed: state.signed
      .filter(
        (signing) =>
          signing.refId === test.id ||
          (signing.what === 'section' && signing.refId === section.id && signing.atS >= test.begunAtS),
      )
      .map(({ by, atS, statement, role }) => ({ by, atS, statement, ...(role ? { role } : {}) })),
    head,
  }
}
