import { type JointFacts, type PinnedPlan, isUnfixed, tagOrder } from '@jugalis/core'
import { word } from '../../words/word'

export interface Group {
  title: string
  joints: JointFacts[]
}
const FAR_S = 1e12
/** What somebody has begun stands before what nobody has touched. */
const begunFirst = (a: JointFacts, b: JointFacts): number => Number(Boolean(b.life)) - Number(Boolean(a.life))
const byTag = (a: JointFacts, b: JointFacts): number => tagOrder(a.tag, b.tag)

/** Joints under what they ask for: what is assembled and not fixed first, since that is what gets forgotten. */
export function groupsOf(
  facts: Iterable<JointFacts>,
  pinned: PinnedPlan | null = null,
): { all: JointFacts[]; toMake: JointFacts[]; groups: Group[] } {
  const all = [...facts].sort(byTag)
  const [unfixed, toMake, lookAt, made]: JointFacts[][] = [[], [], [], []]
  for (const facts of all) {
    const verdict = facts.inspection?.verdict
    if (isUnfixed(facts)) unfixed?.push(facts)
    else if (facts.homeAtS === null || verdict === 'fail') toMake?.push(facts)
    else if (verdict === 'unknown') lookAt?.push(facts)
    else made?.push(facts)
  }
  const planned = new Map(pinned?.joints.map(({ jointId, startS }) => [jointId, startS]))
  /** As the plan that is followed has them; what it does not know comes after. */
  const byPlan = (a: JointFacts, b: JointFacts): number =>
    (planned.get(a.id) ?? FAR_S) - (planned.get(b.id) ?? FAR_S)
  toMake?.sort((a, b) => begunFirst(a, b) || byPlan(a, b) || byTag(a, b))
  const groups = (
    [
      [word('ui-assembled-not-fixed'), unfixed],
      [word('make-to-make'), toMake],
      [word('make-to-look-at'), lookAt],
      [word('make-made'), made],
    ] as const
  ).flatMap(([title, joints]) => (joints?.length ? [{ title, joints }] : []))
  return { all, toMake: [...(unfixed ?? []), ...(toMake ?? []), ...(lookAt ?? [])], groups }
}
