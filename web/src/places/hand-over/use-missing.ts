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
    for (const f of joints.value)
      if (f.homeAtS === null) byLine.set(f.place.line.id, [...(byLine.get(f.place.line.id) ?? []), f])
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
      .map((f) => ({
        id: f.id,
        says:
          f.inspection?.verdict === 'fail'
            ? word('hand-over-is-judged-failed', { tag: f.tag })
            : word('hand-over-is-not-judged-good', { tag: f.tag }),
        to: { name: 'make', params: { jobId: job.jobId, jointId: f.id } },
      })),
    ...sections.value
      .filter((a) => !a.proved)
      .map((a) => ({
        id: a.section.id,
        says: word('hand-over-is-not-proved', { tag: a.section.tag }),
        to: { name: 'prove', params: { jobId: job.jobId, sectionId: a.section.id } },
      })),
    ...[...job.state.tags.values()]
      .filter((t) => !t.back)
      .map((t) => ({
        id: t.id,
        says: word('hand-over-is-not-back', {
          kind: named(t.kind),
          where: t.where,
        }),
        to: { name: 'prove', params: { jobId: job.jobId, sectionId: t.sectionId } },
      })),
    ...(signed.value.length
      ? []
      : [{ id: 'sign', says: word('hand-over-nobody-has-signed-the'), to: { hash: '#sign' } }]),
  ])
  const signed = computed(() => job.state.signed.filter((s) => s.what === 'job'))
  return { missing }
}
