import type { Msg } from '../../methods/method.js'
import { msg } from '../../sources/source.js'
import { SAME_BAR } from '../../units/units.js'
import type { JobState } from '../../log/state.js'
import type { SectionAnswer } from './answer.js'
import { behindSameValve } from './live.js'

export interface Gate {
  id: string
  open: boolean
  says: Msg
  /** Computed gates close by themselves; the others are confirmed by a person. */
  byPerson: boolean
  by: string | null
  atS: number | null
  how: string | null
}
/** Gates a person confirms. The short list is for small work: two joints need no permit board. */
const BY_PERSON = ['supports', 'vents', 'isolated', 'gauge', 'people'] as const
const SMALL_WORK = 2

/** Some joint of the section is first looked at under little pressure, at which one that is not fixed leaks. */
export const wantsLeakCheck = (answer: SectionAnswer): boolean =>
  answer.joints.some((joint) => {
    const { method, spec, life, ctx } = joint.facts
    return (
      method !== null &&
      spec !== null &&
      method
        .testing(spec, life ?? { no: 1, done: [], interrupted: [] }, ctx)
        .open.some((f) => f.source === 'cp-press-leak-check')
    )
  })

/** A gate that closes by itself. */
const auto = (id: string, open: boolean, says: Msg): Gate => ({
  id,
  open,
  says,
  byPerson: false,
  by: null,
  atS: null,
  how: null,
})
/** So many joints are named; the rest are counted. */
const NAMED = 4
const named = (list: readonly { facts: { tag: string } }[]): { list: string; more: number } => ({
  list: list
    .slice(0, NAMED)
    .map((j) => j.facts.tag)
    .join(', '),
  more: Math.max(0, list.length - NAMED),
})
/** That every joint is made, judged and cured, and that it is known what the section holds. */
function ownGates({ section, joints, allowedBar, holdsBack }: SectionAnswer): Gate[] {
  const unmade = joints.filter((j) => j.facts.homeAtS === null)
  const unjudged = joints.filter((j) => !j.look.inspected)
  const uncured = !(allowedBar === null || allowedBar >= section.testBar - SAME_BAR)
  const says = (open: typeof joints) => ({ open: open.length, all: joints.length, ...named(open) })
  return [
    auto('made', unmade.length > 0 || joints.length === 0, msg('gate-joints-made', says(unmade))),
    auto('judged', unjudged.length > 0, msg('gate-joints-judged', says(unjudged))),
    auto(
      'cured',
      uncured,
      msg('gate-cured', { open: uncured ? 1 : 0, bar: section.testBar, list: holdsBack?.facts.tag ?? '' }),
    ),
    auto('state', section.state === 'not known', msg('gate-state', { state: section.state })),
  ]
}
/** What lies behind the same valve must be known too. */
function neighbourGates(state: JobState, { section }: SectionAnswer): Gate[] {
  const near = behindSameValve(state, section)
  if (!near.length) return []
  const unknown = near.filter((s) => s.state === 'not known')
  const list = (unknown.length ? unknown : near).map((s) => `${s.tag} is ${s.state}`).join(', ')
  return [auto('neighbours', unknown.length > 0, msg('gate-neighbours', { open: unknown.length, list }))]
}
function leakCheckGates(state: JobState, answer: SectionAnswer): Gate[] {
  if (!wantsLeakCheck(answer)) return []
  const done = [...state.tests.values()].some(
    (test) =>
      test.sectionId === answer.section.id &&
      test.rule?.startsWith('press-leak-check') &&
      test.ended?.verdict === 'held',
  )
  return [auto('leak-check', !done, msg('gate-leak-check', { open: done ? 0 : 1 }))]
}
function personGates({ section, joints }: SectionAnswer): Gate[] {
  const asked = joints.length <= SMALL_WORK ? BY_PERSON.slice(3) : BY_PERSON
  return asked.map((id) => {
    const done = section.gates[id]
    return {
      id,
      open: !done?.done,
      says: msg(`gate-${id}`),
      byPerson: true,
      by: done?.by ?? null,
      atS: done?.atS ?? null,
      how: done?.how ?? null,
    }
  })
}

/** What must be true before pressure is put on a section, open ones first. Source: `cp-gates`. */
export const gatesOf = (state: JobState, answer: SectionAnswer): Gate[] =>
  [
    ...ownGates(answer),
    ...neighbourGates(state, answer),
    ...leakCheckGates(state, answer),
    ...personGates(answer),
  ].sort((a, b) => Number(b.open) - Number(a.open))
