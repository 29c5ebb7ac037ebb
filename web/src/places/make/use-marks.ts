import { type JointFacts, MARKS_APART, type Step, alignmentOf } from '@jugalis/core'
import { type ComputedRef, type Ref, computed } from 'vue'
import { useJob } from '../../stores/job'

/**
 * The step at hand; at the last one, where it is known how the fitting should stand about its pipe, with how far its mark and
 * the pipe's are apart besides what the method reads.
 */
export function useMarks(facts: ComputedRef<JointFacts>, step: Ref<Step | null>): ComputedRef<Step | null> {
  const job = useJob()
  return computed(() => {
    const here = step.value
    const isLast = here !== null && here.id === facts.value.steps.at(-1)?.id
    return isLast && alignmentOf(job.state, facts.value.place)
      ? { ...here, reads: [...here.reads, MARKS_APART] }
      : here
  })
}
