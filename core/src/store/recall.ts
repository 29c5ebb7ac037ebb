import { jointPlaces } from '../joint/lookup.js'
import { tagOrder } from '../units/tag-order.js'
import { isProved } from '../line/touches.js'
import type { JobState, StoreItem, TestRun } from '../log/state.js'

/** Which joints are looked for: made with a thing, by a person, in a stretch of time; all that is said must hold. */
export interface RecallAsk {
  itemId?: string
  personId?: string
  /** Epoch s. */
  fromS?: number
  toS?: number
}
/** A life of a joint that was found. */
export interface Recalled {
  jointId: string
  tag: string
  life: number
  lineId: string
  lineTag: string
  size: string
  /** Its steps that answer to what was asked: the last of them, and who did them. */
  atS: number
  by: readonly string[]
  /** It is not in the line any more. */
  cutOut: boolean
  sections: readonly string[]
  /** A test of its section was held with it. */
  proved: boolean
  /** A hold point of its section was passed: it may lie behind a wall by now. */
  covered: boolean
}

/**
 * Which joints were made with this tin, jaw, gauge or lot, by this person, in this hour: those in the line first, by
 * their tags.
 */
export function recall(
  state: JobState,
  { itemId, personId, fromS = -Infinity, toS = Infinity }: RecallAsk,
): readonly Recalled[] {
  const places = jointPlaces(state)
  const tests = [...state.tests.values()]
  const sections = [...state.sections.values()].map((section) => ({
    tag: section.tag,
    jointIds: new Set(section.jointIds),
    heldAtS: tests.flatMap((test) =>
      test.sectionId === section.id && test.ended?.verdict === 'held' ? [test.begunAtS] : [],
    ),
    covered: [...state.holds.values()].some(
      (hold) => hold.sectionId === section.id && hold.answers.at(-1)?.answer === 'go on',
    ),
  }))
  const found = [...state.joints.values()].flatMap((joint) => {
    const place = places.get(joint.id)
    if (!place) return []
    const own = sections.filter((section) => section.jointIds.has(joint.id))
    return joint.lives.flatMap((life): Recalled[] => {
      const steps = life.done.filter(
        (done) =>
          (itemId === undefined || done.tools?.includes(itemId)) &&
          (personId === undefined || done.by === personId) &&
          done.latestS >= fromS &&
          done.earliestS <= toS,
      )
      const last = steps.at(-1)
      if (!last) return []
      const cutOut = life.cutOutAtS !== undefined
      return [
        {
          jointId: joint.id,
          tag: place.tag,
          life: life.no,
          lineId: place.line.id,
          lineTag: place.line.tag,
          size: place.way.size,
          atS: last.latestS,
          by: [...new Set(steps.map((step) => step.by))],
          cutOut,
          sections: own.map(({ tag }) => tag),
          proved: !cutOut && own.some(({ heldAtS }) => heldAtS.some((atS) => atS >= last.latestS)),
          covered: !cutOut && own.some(({ covered }) => covered),
        },
      ]
    })
  })
  return found.sort((a, b) => Number(a.cutOut) - Number(b.cutOut) || tagOrder(a.tag, b.tag))
}

/** A test that was read on a gauge or logger. */
export interface TestRecalled {
  testId: string
  sectionId: string
  sectionTag: string
  begunAtS: number
  /** Null while it runs. */
  verdict: 'held' | 'lost' | 'inconclusive' | null
}
/** Is this the gauge that a test names: by its name alone, or its name before what else was said of it? */
export const isGaugeOf = ({ name }: StoreItem, { gauge }: Pick<TestRun, 'gauge'>): boolean =>
  gauge === name || gauge.startsWith(`${name},`) || gauge.startsWith(`${name} `)
/** Tests that name a gauge, the latest first. */
export const testsReadOn = (state: JobState, item: StoreItem): readonly TestRecalled[] =>
  [...state.tests.values()]
    .filter((test) => isGaugeOf(item, test))
    .map((test) => ({
      testId: test.id,
      sectionId: test.sectionId,
      sectionTag: state.sections.get(test.sectionId)?.tag ?? '',
      begunAtS: test.begunAtS,
      verdict: test.ended?.verdict ?? null,
    }))
    .sort((one, other) => other.begunAtS - one.begunAtS)
/** Joints that were found and are in the line are to be looked at again. */
export const doubtEntry = (found: readonly Recalled[], says: string) => ({
  kind: 'joints-doubted',
  data: {
    jointIds: [...new Set(found.flatMap((one) => (one.cutOut ? [] : [one.jointId])))],
    says: says.trim(),
  },
})

/** Joints in the line that a thing made since a time, and up to another, by tag, and the proofs that stand on them. */
export function toolTouches(
  state: JobState,
  itemId: string,
  fromS: number,
  toS = Infinity,
): { joints: readonly string[]; sections: readonly string[] } {
  const here = recall(state, { itemId, fromS, toS }).filter(({ cutOut }) => !cutOut)
  const ids = new Set(here.map(({ jointId }) => jointId))
  const sections = [...state.sections.values()].filter(
    (section) => section.jointIds.some((id) => ids.has(id)) && isProved(state, section.id),
  )
  return { joints: here.map(({ tag }) => tag), sections: sections.map(({ tag }) => tag) }
}
