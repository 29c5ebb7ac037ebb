import { type Clock, type JointFacts, type Msg, fmt } from '@jugalis/core'
import { type ComputedRef, computed } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { hhmmss, when } from '../../when'
import { capital, word } from '../../words/word'
import type { usePhase } from './use-phase'

/** Minutes run as a clock; hours are said in words. */
const span = (seconds: number): string => (seconds < 3600 ? fmt.clock(seconds) : fmt.duration(seconds))
/** A sentence with the time left put behind its first part. */
function within(sentence: string, seconds: number): string {
  const at = sentence.indexOf('.')
  return word('make-within', {
    does: at < 0 ? sentence : sentence.slice(0, at),
    span: span(seconds),
    rest: at < 0 ? '' : sentence.slice(at),
  })
}

/** What is said of a clock of the joint, and of one that is made, by what it is now. */
function useSaid({ open, left }: ReturnType<typeof usePhase>) {
  const clock = useClock()
  const job = useJob()
  const view = useView()
  const zone = computed(() => job.state.job.zone)
  const openedFor = (running: Clock): string =>
    word('make-too-late-to', { label: job.t(running.label), span: span(clock.nowS - running.fromS) })
  return {
    late(): string {
      const until = open.value?.untilS.value
      if (!open.value || until == null) return ''
      return word('make-the-limit-was', {
        openedFor: openedFor(open.value),
        span: span(until - open.value.fromS),
      })
    },
    window(does: Msg | undefined): string {
      const sentence = does ? job.t(does) : ''
      const until = open.value?.untilS.value
      if (!open.value || until == null) return sentence
      return left(open.value) < 0
        ? word('make-the-limit-was-done', { at: hhmmss(until, zone.value) })
        : within(sentence, left(open.value))
    },
    hold(clock: Clock | null): string {
      const more = fmt.clock(Math.max(0, Math.ceil(clock ? left(clock) : 0)))
      if (clock?.kind !== 'exact') return word('make-hold-more-do-not', { more })
      return word('make-more-no-longer', { what: capital(job.t(clock.label)), more })
    },
    rest(facts: JointFacts): string {
      const set = facts.movable.value
      if (set === null) return word('make-made-leave-it-alone')
      return set > clock.nowS
        ? word('make-leave-alone-until', { when: when(set, clock.nowS, zone.value) })
        : word('make-made-it-may-be')
    },
    /** When a joint that is made may take the test pressure of its section. */
    ready(facts: JointFacts): string {
      const section = view.sectionOf(facts.id)
      const mine = section?.joints.find((j) => j.facts.id === facts.id)
      if (!section || !mine) return ''
      const bar = fmt.pressure(section.section.testBar, job.reader)
      if (mine.readyAtS === null) return word('make-no-figure-for-by', { bar })
      return mine.readyAtS > clock.nowS
        ? word('make-from-by-this-rule', { bar, when: when(mine.readyAtS, clock.nowS, zone.value) })
        : word('make-may-take-by-this', { bar })
    },
    since: (from: Clock): string =>
      word('make-since-2', {
        at: when(from.fromS, clock.nowS, zone.value),
        why: from.untilS.value === null ? job.t(from.untilS.why) : '',
      }),
    homeAt: (c: Clock): string => word('make-home-at', { at: when(c.fromS, clock.nowS, zone.value) }),
  }
}

/** The headline of the open joint, and the sentence under it. */
export function useSentences(facts: ComputedRef<JointFacts | null>, here: ReturnType<typeof usePhase>) {
  const job = useJob()
  const said = useSaid(here)
  const { phase, step, open, hold } = here
  const headline = computed(() => {
    const joint = facts.value
    if (!joint) return ''
    const worst = joint.inspection?.findings.find((x) => x.level === 'stop')
    switch (phase.value) {
      case 'failed':
        return worst ? job.t(worst) : word('make-judged-failed-cut-out')
      case 'late':
        return said.late()
      case 'hold':
        return said.hold(hold.value)
      case 'rest':
        return said.rest(joint)
      case 'window':
        return said.window(joint.nextStep?.does)
      default:
        return step.value ? job.t(step.value.does) : ''
    }
  })
  const why = computed(() => {
    const joint = facts.value
    if (!joint) return ''
    if (phase.value === 'failed') return (joint.inspection?.causes ?? []).map((c) => job.t(c)).join(' ')
    if (phase.value === 'late' && open.value) return job.t(open.value.onMiss.say)
    if (phase.value === 'hold' && hold.value) return said.homeAt(hold.value)
    if (phase.value === 'rest') return said.ready(joint)
    if (phase.value === 'window' && open.value) return said.since(open.value)
    return step.value ? job.t(step.value.lookFor) : ''
  })
  return { headline, why }
}
