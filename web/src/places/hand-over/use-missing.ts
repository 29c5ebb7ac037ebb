import { type JointFacts, proposalsOf } from '@jugalis/core'
import { type ComputedRef, computed } from 'vue'
import { useJob } from '../../stores/job'
import type { SectionHead } from '../../view'
import { type MissingOf, missingOf } from './missing'

/** What stands between this job and its hand-over, each with the way there. */
export function useMissing(
  joints: ComputedRef<readonly JointFacts[]>,
  sections: ComputedRef<readonly SectionHead[]>,
) {
  const job = useJob()
  const way = (of: MissingOf) =>
    of === 'sign'
      ? { hash: '#sign' }
      : 'joint' in of
        ? { name: 'make', params: { jobId: job.jobId, jointId: of.joint } }
        : { name: 'prove', params: { jobId: job.jobId, sectionId: of.section } }
  const missing = computed(() =>
    missingOf(job.state, joints.value, sections.value, proposalsOf(job.entries())).map((one) => ({
      ...one,
      to: way(one.of),
    })),
  )
  return { missing }
}
