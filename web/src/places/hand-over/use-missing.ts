import type { JointFacts } from '@jugalis/core'
import { type ComputedRef, computed } from 'vue'
import { useJob } from '../../stores/job'
import type { SectionHead } from '../../view'
import { named, word } from '../../words/word'

/** Joints of one line that are not made stand in one row once they are many. */
const MANY = 3

/** Each by itself while they are few in a line; many in a row of their own. */
function told<To>(
  joints: readonly JointFacts[],
  one: (facts: JointFacts) => string,
  many: (count: number, first: JointFacts, last: JointFacts) => string,
  to: (facts: JointFacts) => To,
) {
  const byLine = new Map<string, JointFacts[]>()
  for (const facts of joints) {
    const own = byLine.get(facts.place.line.id)
    if (own) own.push(facts)
    else byLine.set(facts.place.line.id, [facts])
  }
  return [...byLine.values()].flatMap((own) => {
    const [first, last] = [own[0] as JointFacts, own.at(-1) as JointFacts]
    return own.length > MANY
      ? [{ id: first.id, says: many(own.length, first, last), to: to(first) }]
      : own.map((facts) => ({ id: facts.id, says: one(facts), to: to(facts) }))
  })
}

/** What stands between this job and its hand-over, each with the way there. */
export function useMissing(
  joints: ComputedRef<readonly JointFacts[]>,
  sections: ComputedRef<readonly SectionHead[]>,
) {
  const job = useJob()
  const to = (facts: JointFacts) => ({ name: 'make', params: { jobId: job.jobId, jointId: facts.id } })
  const made = computed(() => joints.value.filter((f) => f.homeAtS !== null))
  const missing = computed(() => [
    ...told(
      joints.value.filter((f) => f.homeAtS === null),
      ({ tag }) => word('hand-over-is-not-made', { tag }),
      (fs, { tag }, last) => word('hand-over-joints-are-not-made', { fs, tag, tag2: last.tag }),
      to,
    ),
    ...made.value
      .filter((f) => f.inspection?.verdict === 'fail')
      .map((facts) => ({
        id: facts.id,
        says: word('hand-over-is-judged-failed', { tag: facts.tag }),
        to: to(facts),
      })),
    ...told(
      made.value.filter((f) => f.inspection?.verdict !== 'pass' && f.inspection?.verdict !== 'fail'),
      ({ tag }) => word('hand-over-is-not-judged-good', { tag }),
      (count, { tag }, last) => word('hand-over-not-good', { count, tag, tag2: last.tag }),
      to,
    ),
    ...sections.value
      .filter((a) => !a.proved)
      .map(({ section }) => ({
        id: section.id,
        says: word('hand-over-is-not-proved', { tag: section.tag }),
        to: { name: 'prove', params: { jobId: job.jobId, sectionId: section.id } },
      })),
    ...[...job.state.tags.values()]
      .filter((t) => !t.back)
      .map((tag) => ({
        id: tag.id,
        says: word('hand-over-is-not-back', {
          kind: named(tag.kind),
          where: tag.where,
        }),
        to: { name: 'prove', params: { jobId: job.jobId, sectionId: tag.sectionId } },
      })),
    ...(signed.value.length
      ? []
      : [{ id: 'sign', says: word('hand-over-nobody-has-signed-the'), to: { hash: '#sign' } }]),
  ])
  const signed = computed(() => job.state.signed.filter((s) => s.what === 'job'))
  return { missing }
}
