import { type SectionAnswer, fmt, greatest } from '@jugalis/core'
import { listed, reading, told, word } from '../../words/word'

/** How an instant is written: by the clock on a screen, with its day on paper. */
type At = (atS: number) => string
const bar = (b: number): string => fmt.pressure(b, reading.value)

/** From when on, were the joints that are not made home as planned. */
function planned(answer: SectionAnswer, at: At): string {
  const open = answer.joints.filter((j) => j.facts.homeAtS === null)
  const lastHome = greatest(open.map((j) => j.plannedHomeS ?? 0))
  if (!open.length || answer.plannedReadyAtS === null) return ''
  return word('wait-from-if-are-home', {
    bar: answer.section.testBar,
    at: at(answer.plannedReadyAtS),
    joints: open
      .map((j) => j.facts.tag)
      .slice(0, 3)
      .join(', '),
    count: open.length,
    homeAt: at(lastHome),
  })
}
/** Joints that allow nothing, those of one kind together: "Q2-07 and Q2-08 are not made". */
function nothing(answer: SectionAnswer): string {
  const all = answer.blockers
  const first = all[0]
  if (!first) return ''
  const alike = all.filter((b) => b.says.code === first.says.code).map((b) => String(b.says.params.joint))
  const rest = all.length - alike.length
  const said = told({
    ...first.says,
    params: { joint: listed(alike), many: alike.length > 1 ? 'yes' : 'no' },
  })
  return word('wait-nothing-and-more', { nothing: said, rest })
}
/** What a section may take, or that it is proved, or why nothing may be put on: one sentence. */
export function answerHead(answer: SectionAnswer, at: At): string {
  const tag = answer.section.tag
  const test = bar(answer.section.testBar)
  if (!answer.joints.length) return word('wait-has-no-joints-yet', { tag })
  if (answer.proved)
    return word('wait-is-proved-at-held', {
      tag,
      bar: bar(answer.lastTest?.bar ?? 0),
      when: at(answer.lastTest?.ended?.atS ?? 0),
    })
  const first = answer.blockers[0]
  const later =
    answer.readyAtS !== null ? word('wait-test-from', { test, at: at(answer.readyAtS) }) : planned(answer, at)
  if (first) return word('wait-may-take-nothing-yet', { tag, nothing: nothing(answer), later }).trim()
  if (answer.allowedBar === null || answer.allowedBar >= answer.section.testBar - 1e-6)
    return word('wait-is-ready-for-by', { tag, test })
  return word('wait-may-take-now', {
    tag,
    bar: bar(answer.allowedBar),
    later: later || word('wait-no-figure-above'),
  })
}
