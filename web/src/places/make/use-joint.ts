import {
  LATE_TAP_S,
  type Clock,
  type Finding,
  type JointFacts,
  type Step,
  fmt,
  conditionsAt,
  dayOf,
  liveSection,
  saidOf,
  twinFindings,
} from '@jugalis/core'
import { type ComputedRef, type Ref, computed } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { hhmm, hhmmss, when } from '../../when'
import { capital, word } from '../../words/word'

export type Phase = 'failed' | 'late' | 'hold' | 'window' | 'step' | 'rest'

/** What the open joint asks of the person now: phase, headline, why. The screen knows no method. */
export function useJoint(facts: ComputedRef<JointFacts | null>, redo: Ref<Step | null>) {
  const clock = useClock()
  const job = useJob()
  const view = useView()
  const zone = computed(() => job.state.job.zone)
  const left = (c: Clock): number => (c.untilS.value === null ? NaN : c.untilS.value - clock.nowS)
  const open = computed(
    () => facts.value?.clocks.find((c) => c.kind === 'window' && c.stoppedAtS === undefined) ?? null,
  )
  const hold = computed(() => facts.value?.clocks.find((c) => c.shows === 'hold' && left(c) > 0) ?? null)
  /** The step at hand is the one that the open window waits for: hands may be on the pipe when its time runs out. */
  const closing = computed(() => {
    const f = facts.value
    const own = f?.steps.findIndex((s) => s.id === open.value?.step) ?? -1
    return own >= 0 && f?.nextStep?.id === f?.steps[own + 1]?.id
  })
  /** The step at hand: one that is done again comes before what is still to do. */
  const step = computed<Step | null>(() => redo.value ?? facts.value?.nextStep ?? null)
  const phase = computed<Phase>(() => {
    const f = facts.value
    if (redo.value) return 'step'
    if (f?.inspection?.verdict === 'fail') return 'failed'
    if (open.value && left(open.value) < (closing.value ? -LATE_TAP_S : 0)) return 'late'
    if (hold.value) return 'hold'
    if (!f?.nextStep) return 'rest'
    return open.value ? 'window' : 'step'
  })
  const within = (sentence: string, seconds: number): string => {
    const at = sentence.indexOf('.')
    return word('make-within', {
      does: at < 0 ? sentence : sentence.slice(0, at),
      span: span(seconds),
      rest: at < 0 ? '' : sentence.slice(at),
    })
  }
  const headline = computed(() => {
    const f = facts.value
    if (!f) return ''
    const worst = f.inspection?.findings.find((x) => x.level === 'stop')
    switch (phase.value) {
      case 'failed':
        return worst ? job.t(worst) : word('make-judged-failed-cut-out')
      case 'late':
        return open.value?.untilS.value != null
          ? word('make-the-limit-was', {
              openedFor: openedFor(open.value),
              span: span(open.value.untilS.value - open.value.fromS),
            })
          : ''
      case 'hold':
        return holdLine(hold.value)
      case 'rest':
        return restLine(f)
      case 'window':
        return open.value?.untilS.value == null
          ? job.t(f.nextStep?.does ?? { code: '', params: {} })
          : left(open.value) < 0
            ? word('make-the-limit-was-done', { at: hhmmss(open.value.untilS.value, zone.value) })
            : within(job.t(f.nextStep?.does ?? { code: '', params: {} }), left(open.value))
      default:
        return step.value ? job.t(step.value.does) : ''
    }
  })
  const openedFor = (c: Clock): string =>
    word('make-too-late-to', { label: job.t(c.label), span: span(clock.nowS - c.fromS) })
  /** Minutes run as a clock; hours are said in words. */
  const span = (seconds: number): string => (seconds < 3600 ? fmt.clock(seconds) : fmt.duration(seconds))
  function holdLine(c: Clock | null): string {
    const more = fmt.clock(Math.ceil(c ? left(c) : 0))
    if (c?.kind !== 'exact') return word('make-hold-more-do-not', { more })
    const what = job.t(c.label)
    return word('make-more-no-longer', { what: capital(what), more })
  }
  function restLine(f: JointFacts): string {
    const set = f.movable.value
    if (set === null) return word('make-made-leave-it-alone')
    return set > clock.nowS
      ? word('make-leave-alone-until', { when: when(set, clock.nowS, zone.value) })
      : word('make-made-it-may-be')
  }
  const why = computed(() => {
    const f = facts.value
    if (!f) return ''
    if (phase.value === 'failed') return (f.inspection?.causes ?? []).map((c) => job.t(c)).join(' ')
    if (phase.value === 'late' && open.value) return job.t(open.value.onMiss.say)
    if (phase.value === 'hold' && hold.value)
      return word('make-home-at', { at: hhmm(hold.value.fromS, zone.value) })
    if (phase.value === 'rest') return ready(f)
    if (phase.value === 'window' && open.value)
      return word('make-since-2', {
        at: hhmm(open.value.fromS, zone.value),
        why: open.value.untilS.value === null ? job.t(open.value.untilS.why) : '',
      })
    return step.value ? job.t(step.value.lookFor) : ''
  })
  function ready(f: JointFacts): string {
    const section = view.sectionOf(f.id)
    const mine = section?.joints.find((j) => j.facts.id === f.id)
    if (!section || !mine) return ''
    const bar = fmt.pressure(section.section.testBar, job.reader)
    return mine.readyAtS === null
      ? word('make-no-figure-for-by', { bar })
      : mine.readyAtS > clock.nowS
        ? word('make-from-by-this-rule', { bar, when: when(mine.readyAtS, clock.nowS, zone.value) })
        : word('make-may-take-by-this', { bar })
  }
  /** What speaks against starting here and now: from the method, with the tin and the permit that are there. */
  const wrong = (
    tin: { plastic: string; expiresOn: string } | null,
    hotWorkPermit: boolean,
  ): readonly Finding[] => {
    const f = facts.value
    if (!f?.method || f.spec === null) return []
    // Starting goes by what it is like now, not by what it was when the pipe was marked.
    const now = conditionsAt(job.state, f.place.line.placeId, clock.nowS)
    const here = { ...f.ctx, ...now, wallC: now.wallC ?? now.airC }
    const around = {
      ...saidOf(job.state, f.place),
      cement: tin?.plastic ?? null,
      tinExpired: tin ? dayOf(clock.nowS, zone.value) > tin.expiresOn : false,
      live: liveSection(job.state, f.id) !== null,
      hotWorkPermit,
    }
    return [...f.method.selection(f.spec, around, here), ...twinFindings(job.state, f.place)]
  }
  return { phase, step, headline, why, wrong, open, hold, left, zone }
}
