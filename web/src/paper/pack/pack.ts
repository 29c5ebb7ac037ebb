import {
  type JobState,
  type JointFacts,
  type Line,
  type Proposal,
  type SectionAnswer,
  type TagItem,
  type TestRun,
  answerOn,
  tagOrder,
} from '@jugalis/core'
import { type Missing, missingOf } from '../../places/hand-over/missing'

/** What is handed over, and as what it is told. */
export interface PackAsked {
  state: JobState
  facts: ReadonlyMap<string, JointFacts>
  proposals: readonly Proposal[]
  /** The one section it is about; null: the whole job. */
  sectionId: string | null
  nowS: number
  name(personId: string): string
  /** Where the log ended; the address is for a code. */
  head: { seq: number; hash: string; address: string; short: string }
  /** Entries that wait on this device: they are told, and the server has not got them. */
  waiting: number
  /** Files of pictures by their hash, in a folder that they lie in; none where there is no folder. */
  pictureFiles: ReadonlyMap<string, string>
  /** A picture small enough for a page; null where it can't be had. */
  pictureOf(hash: string): Promise<Uint8Array | null>
}
/** How far it is: what is worked at, how many of it are done. */
export type Heard = (part: 'joints' | 'tests' | 'pictures' | 'files', done: number, all: number) => void

/** All that a pack tells of, looked up once. */
export interface Pack extends PackAsked {
  joints: readonly JointFacts[]
  sections: readonly SectionAnswer[]
  lines: readonly Line[]
  tests: readonly TestRun[]
  tags: readonly TagItem[]
  missing: readonly Missing[]
  ids: ReadonlySet<string>
}
/** @throws RangeError where the section is not known. */
export function packOf(asked: PackAsked): Pack {
  const { state, facts, sectionId, nowS } = asked
  const own = sectionId === null ? null : state.sections.get(sectionId)
  if (own === undefined) throw new RangeError('no such section')
  const sections = (own ? [own] : [...state.sections.values()])
    .sort((one, other) => tagOrder(one.tag, other.tag))
    .map((section) => answerOn(null, state, section, nowS, 'coldest', facts))
  const joints = [...(own ? own.jointIds.flatMap((id) => facts.get(id) ?? []) : facts.values())].sort(
    (one, other) => tagOrder(one.tag, other.tag),
  )
  const ids = new Set(joints.map(({ id }) => id))
  const about = (id: string): boolean => own === null || id === own.id
  return {
    ...asked,
    joints,
    sections,
    lines: [...state.lines.values()].filter(({ items }) =>
      items.some((item) => item.joints.some((id) => id !== null && ids.has(id))),
    ),
    tests: [...state.tests.values()]
      .filter(({ sectionId: of }) => about(of))
      .sort((one, other) => one.begunAtS - other.begunAtS),
    tags: [...state.tags.values()].filter(({ sectionId: of }) => about(of)),
    missing: missingOf(state, joints, sections, asked.proposals),
    ids,
  }
}
