import type { JointFacts, SectionAnswer } from '@jugalis/core'
import { type ComputedRef, computed } from 'vue'
import { useJob } from '../../stores/job'
import { named, word } from '../../words/word'

/** Joints of one line that are not made stand in one row once they are many. */
const MANY = 3

/** What stands between this job and its hand-over, each with the way there. */
export function useMissing(
  joints: ComputedRef<readonly JointFacts[]>,
  sections: ComputedRef<readonly SectionAnswer[]>,
) {
  const job = useJob()
  const notMade = computed(() => {
    const byLine = new Map<string, JointFacts[]>()
    for (const facts of joints.value)
      if (facts.homeAtS === null)
        byLine.set(facts.place.line.id, [...(byLine.get(facts.place.line.id) ?? []), facts])
    const to = (f: JointFacts) => ({ name: 'make', params: { jobId: job.jobId, jointId: f.id } })
    return [...byLine.values()].flatMap((fs) => {
      const [first, last] = [fs[0] as JointFacts, fs.at(-1) as JointFacts]
      return fs.length > MANY
        ? [
            {
              id: first.id,
              says: word('hand-over-joints-are-not-made', { fs: fs.length, tag: first.tag, tag2: last.tag }),
              to: to(first),
            },
          ]
        : fs.map((f) => ({ id: f.id, says: word('hand-over-is-not-made', { tag: f.tag }), to: to(f) }))
    })
  })
  const missing = computed(() => [
    ...notMade.value,
    ...joints.value
      .filter((f) => f.homeAtS !== null && f.inspection?.verdict !== 'pass')
      .map((facts) => ({
        id: facts.id,
        says:
          facts.inspection?.verdict === 'fail'
            ? word('hand-over-is-judged-failed', { tag: facts.tag })
            : word('hand-over-is-not-judged-good', { tag: facts.tag }),
        to: { name: 'make', params: { jobId: job.jobId, jointId: facts.id } },
      })),
    ...sections.value
      .filter((a) => !a.proved)
      .map((answer) => ({
        id: answer.section.id,
        says: word('hand-over-is-not-proved', { tag: answer.section.tag }),
        to: { name: 'prove', params: { jobId: job.jobId, sectionId: answer.section.id } },
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
