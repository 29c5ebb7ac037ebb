import { type SectionAnswer, WHOLE_JOB, answerFor, wholeJob } from '@jugalis/core'
import { type ComputedRef, computed } from 'vue'
import { useRoute } from 'vue-router'
import { type SectionHead, useView } from './view'

/**
 * The section that a place speaks of: the one in the address, else the first that is not proved, since one that is
 * proved has nothing to ask.
 */
export function useSection(): {
  sections: ComputedRef<readonly SectionHead[]>
  answer: ComputedRef<SectionAnswer | null>
} {
  const view = useView()
  const route = useRoute()
  const sections = computed(() => view.sections)
  const whole = computed(() => {
    const section = route.params.sectionId === WHOLE_JOB ? wholeJob(view.judged) : null
    return section && answerFor(view.judged, section, view.nowS, view.mode)
  })
  const answer = computed(() => {
    if (whole.value) return whole.value
    const asked = sections.value.find(({ section }) => section.id === route.params.sectionId)
    const head = asked ?? sections.value.find(({ proved }) => !proved) ?? sections.value[0]
    return head ? view.answerOf(head.section.id) : null
  })
  return { sections, answer }
}
