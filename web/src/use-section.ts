import { type SectionAnswer, WHOLE_JOB, answerFor, tagOrder, wholeJob } from '@jugalis/core'
import { type ComputedRef, computed } from 'vue'
import { useRoute } from 'vue-router'
import { useView } from './view'

/**
 * The section that a place speaks of: the one in the address, else the first that is not proved, since one that is
 * proved has nothing to ask.
 */
export function useSection(): {
  answers: ComputedRef<SectionAnswer[]>
  answer: ComputedRef<SectionAnswer | null>
} {
  const view = useView()
  const route = useRoute()
  const answers = computed(() =>
    [...view.answers.values()].sort((a, b) => tagOrder(a.section.tag, b.section.tag)),
  )
  const whole = computed(() => {
    const section = route.params.sectionId === WHOLE_JOB ? wholeJob(view.judged) : null
    return section && answerFor(view.judged, section, view.nowS, view.mode, view.factsIn(view.mode))
  })
  const answer = computed(
    () =>
      whole.value ??
      view.answers.get(String(route.params.sectionId ?? '')) ??
      answers.value.find((a) => !a.proved) ??
      answers.value[0] ??
      null,
  )
  return { answers, answer }
}
