import { type JobState, type JointFacts, type Proposal, type Section, madeWithout } from '@jugalis/core'
import { named, word } from '../../words/word'

/** What it is about, for the way there. */
export type MissingOf = { joint: string } | { section: string } | 'sign'
export interface Missing {
  id: string
  says: string
  of: MissingOf
}
/** Joints of one line that are not made stand in one row once they are many. */
const MANY = 3

/** Each by itself while they are few in a line; many in a row of their own. */
function toldOf(
  joints: readonly JointFacts[],
  one: (facts: JointFacts) => string,
  many: (count: number, first: JointFacts, last: JointFacts) => string,
): Missing[] {
  const byLine = new Map<string, JointFacts[]>()
  for (const facts of joints) {
    const own = byLine.get(facts.place.line.id)
    if (own) own.push(facts)
    else byLine.set(facts.place.line.id, [facts])
  }
  return [...byLine.values()].flatMap((own) => {
    const [first, last] = [own[0] as JointFacts, own.at(-1) as JointFacts]
    return own.length > MANY
      ? [{ id: first.id, says: many(own.length, first, last), of: { joint: first.id } }]
      : own.map((facts) => ({ id: facts.id, says: one(facts), of: { joint: facts.id } }))
  })
}
const judgedAs = (facts: JointFacts): 'good' | 'failed' | 'open' => {
  const verdict = facts.inspection?.verdict
  return verdict === 'pass' ? 'good' : verdict === 'fail' ? 'failed' : 'open'
}

/** One sentence: whether it is whole. */
export function handOverHead(
  joints: readonly JointFacts[],
  sections: readonly { proved: boolean }[],
  missing: readonly Missing[],
): string {
  if (!joints.length) return word('hand-over-nothing-to-hand-over')
  if (!missing.length) return word('hand-over-ready-to-hand-over')
  return word('hand-over-of-joints-made-and', {
    good: joints.filter((facts) => judgedAs(facts) === 'good').length,
    joints: joints.length,
    proved: sections.filter((one) => one.proved).length,
    sections: sections.length,
    missing: missing.length,
  })
}
/**
 * What stands between a job, or some sections of it, and its hand-over.
 * @param joints those it is about. @param sections with whether they are proved. @param proposals corrections that were
 * proposed; those of other joints are left out.
 */
export function missingOf(
  state: Pick<JobState, 'tags' | 'signed' | 'qualifications' | 'job'>,
  joints: readonly JointFacts[],
  sections: readonly { section: Section; proved: boolean }[],
  proposals: readonly Proposal[],
): Missing[] {
  const made = joints.filter((f) => f.homeAtS !== null)
  const ids = new Set(sections.map(({ section }) => section.id))
  return [
    ...toldOf(
      joints.filter((f) => f.homeAtS === null),
      ({ tag }) => word('hand-over-is-not-made', { tag }),
      (fs, { tag }, last) => word('hand-over-joints-are-not-made', { fs, tag, tag2: last.tag }),
    ),
    ...made
      .filter((facts) => judgedAs(facts) === 'failed')
      .map(({ id, tag }) => ({ id, says: word('hand-over-is-judged-failed', { tag }), of: { joint: id } })),
    ...toldOf(
      made.filter((facts) => judgedAs(facts) === 'open'),
      ({ tag }) => word('hand-over-is-not-judged-good', { tag }),
      (count, { tag }, last) => word('hand-over-not-good', { count, tag, tag2: last.tag }),
    ),
    ...toldOf(
      joints.filter((facts) => madeWithout(state, facts).length > 0),
      ({ tag }) => word('hand-over-no-paper', { tag }),
      (count, { tag }, last) => word('hand-over-no-papers', { count, tag, tag2: last.tag }),
    ).map((one) => ({ ...one, id: `paper-${one.id}` })),
    ...proposals.flatMap(({ id, target, answer }): Missing[] => {
      const about = answer ? undefined : joints.find((facts) => facts.id === target.jointId)
      return about
        ? [{ id, says: word('hand-over-proposed', { tag: about.tag }), of: { joint: about.id } }]
        : []
    }),
    ...sections
      .filter((a) => !a.proved)
      .map(({ section: { id, tag } }) => ({
        id,
        says: word('hand-over-is-not-proved', { tag }),
        of: { section: id },
      })),
    ...[...state.tags.values()]
      .filter((tag) => !tag.back && ids.has(tag.sectionId))
      .map((tag) => ({
        id: tag.id,
        says: word('hand-over-is-not-back', { kind: named(tag.kind), where: tag.where }),
        of: { section: tag.sectionId },
      })),
    ...(state.signed.some(({ what }) => what === 'job')
      ? []
      : [{ id: 'sign', says: word('hand-over-nobody-has-signed-the'), of: 'sign' as const }]),
  ]
}
