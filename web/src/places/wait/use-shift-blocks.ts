import {
  type AnyMsg,
  type JobState,
  type JointFacts,
  type SectionAnswer,
  type shiftOf,
  placeHealth,
} from '@jugalis/core'
import { type ComputedRef, computed } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { when } from '../../when'
import { word } from '../../words/word'

interface Line {
  key: string
  tag: string
  jointId?: string
  says: string
}
interface Block {
  title: string
  lines: Line[]
}
type Shift = ReturnType<typeof shiftOf>

const DAY_S = 86_400
/** A place not read for so long is said, s. */
const OLD_S = 7200
const of = (facts: JointFacts, says: string): Line => ({
  key: facts.id,
  tag: facts.tag,
  jointId: facts.id,
  says,
})

/** The job now, as this person reads it. */
interface Here {
  state: JobState
  answers: Iterable<SectionAnswer>
  nowS: number
  at(s: number): string
  say(m: AnyMsg): string
}
function halfMade({ facts, lastStep, lastAtS, byS }: Shift['halfMade'][number], here: Here): Line {
  const { at, nowS } = here
  const action = facts.steps.find((s) => s.id === lastStep)?.action
  const over = byS !== null && byS < nowS
  const code = over ? 'wait-last-step-over' : 'wait-last-step-until'
  return of(
    facts,
    word(byS === null ? 'wait-last-step' : code, {
      step: action ? here.say(action) : lastStep,
      at: at(lastAtS),
      by: byS === null ? '' : at(byS),
    }),
  )
}
/** What hurts or spoils work if it is not known. */
const atOnce = (shift: Shift, here: Here): Block[] => [
  {
    title: word('wait-under-pressure-or-vacuum'),
    lines: shift.sections.map((section) => ({
      key: section.id,
      tag: section.tag,
      says: word('wait-is-nobody-cuts-or', { state: section.state }),
    })),
  },
  {
    title: word('ui-assembled-not-fixed'),
    lines: shift.unfixed.map((f) => of(f, f.nextStep ? here.say(f.nextStep.does) : '')),
  },
  { title: word('wait-half-made'), lines: shift.halfMade.map((x) => halfMade(x, here)) },
  {
    title: word('wait-judged-failed-still-in'),
    lines: shift.failed.map((f) => of(f, word('wait-cut-out-and-make'))),
  },
  {
    title: word('wait-not-to-be-touched'),
    lines: shift.dontTouch.map((x) =>
      of(
        x.facts,
        x.untilS === null
          ? word('wait-until-somebody-has-said')
          : word('wait-until', { at: here.at(x.untilS) }),
      ),
    ),
  },
  {
    title: word('wait-blankets-on'),
    lines: shift.blanketsOn.map((blanket) => ({
      key: blanket.tool.id,
      tag: blanket.tool.name,
      says: word('wait-on-since', { at: here.at(blanket.sinceS) }),
    })),
  },
]
/** What is looked at before work goes on. */
const before = (shift: Shift, { say, at }: Here): Block[] => [
  {
    title: word('wait-to-look-at-again'),
    lines: shift.toLookAt.map((facts) =>
      of(facts, facts.inspection?.findings[0] ? say(facts.inspection.findings[0]) : word('wait-not-judged')),
    ),
  },
  {
    title: word('wait-tools-not-good'),
    lines: shift.toolsNotGood.map((tool) => ({
      key: tool.id,
      tag: tool.name,
      says: word('wait-failed-its-trial', { how: tool.proofs.at(-1)?.how ?? '' }),
    })),
  },
  {
    title: word('wait-hot-work-permits-in'),
    lines: shift.permits.map((permit) => ({
      key: permit.number,
      tag: permit.number,
      says: word('wait-until', { at: at(permit.untilS) }),
    })),
  },
]
function noPressureYet({ answers, nowS, at }: Here): Block {
  const waiting = [...answers].filter((a) => !a.proved && !(a.readyAtS !== null && a.readyAtS <= nowS))
  return {
    title: word('wait-no-pressure-yet'),
    lines: waiting.map((answer) => ({
      key: answer.section.id,
      tag: answer.section.tag,
      says: word(answer.readyAtS === null ? 'wait-at-no-time-yet' : 'wait-bar-from', {
        bar: answer.section.testBar,
        at: answer.readyAtS === null ? '' : at(answer.readyAtS),
      }),
    })),
  }
}
function doubts({ state, nowS, at }: Here): Block {
  const lines = [...state.places].flatMap(([placeId, name]) => {
    const health = placeHealth(state, placeId, nowS - DAY_S, nowS)
    if (!state.readings.has(placeId)) return []
    const old = health.lastAtS !== null && nowS - health.lastAtS > OLD_S
    return [
      ...(old ? [word('wait-not-read-since', { name, at: at(health.lastAtS ?? 0) })] : []),
      ...(health.jumps.length ? [word('wait-jumps-of-the-probe', { name, jumps: health.jumps.length })] : []),
    ]
  })
  return {
    title: word('wait-readings-in-doubt'),
    lines: lines.map((says) => ({ key: says, tag: '', says })),
  }
}

/** What the next shift must know, under the heading it belongs to; a heading with nothing under it is left out. */
export function useShiftBlocks(shift: ComputedRef<Shift>) {
  const job = useJob()
  const view = useView()
  const blocks = computed(() => {
    const here: Here = {
      state: job.state,
      answers: view.sections.flatMap(({ section }) => view.answerOf(section.id) ?? []),
      nowS: view.nowS,
      at: (s) => when(s, view.nowS, job.state.job.zone),
      say: job.t,
    }
    return [
      ...atOnce(shift.value, here),
      ...before(shift.value, here),
      noPressureYet(here),
      doubts(here),
    ].filter((b) => b.lines.length)
  })
  return { blocks }
}
