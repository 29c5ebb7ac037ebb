import { methodOf } from '@jugalis/core'
import { type Made, makingOf } from './making.js'
import { MIN_S, type Story } from './story.js'

/** Who makes it, in which of its lives, with what; a bad one fails by the reading its method has for that. */
interface How {
  who: string
  life?: number
  bad?: boolean
  toolIds?: readonly string[]
  tinId?: string
}

/** A line whose joints are made: how, of what, by which school. */
export interface MadeLine extends Made {
  tag: string
}
function making(line: MadeLine) {
  const { method, school } = line
  const pin = { rules: methodOf(method)?.version ?? 1, chart: null, school, table: 'current' }
  return { ...makingOf(line), pin }
}
/** What a step is written down with: in a bad joint the reading that fails takes the place of the good one. */
function readings(
  reads: Readonly<Record<string, unknown>>,
  bad: Readonly<Record<string, unknown>> | null,
): Record<string, unknown> {
  const wrong = Object.entries(bad ?? {}).filter(([key]) => key in reads)
  return { ...reads, ...Object.fromEntries(wrong) }
}

/** One joint from its first step to being judged. */
export function tellMade(story: Story, line: MadeLine, jointId: string, atS: number, how: How): void {
  const { steps, bad, pin } = making(line)
  const { who, life = 1, toolIds, tinId } = how
  const more = { ...(toolIds ? { toolIds } : {}), ...(tinId ? { tinId } : {}) }
  for (const [step, afterS, reads = {}] of steps)
    story.tell(
      who,
      atS + afterS,
      'step-done',
      { life, step, readings: readings(reads, how.bad ? bad.reads : null), shown: [], pin, ...more },
      jointId,
    )
}
/** Begun and left: its first step only. */
export function tellBegun(story: Story, line: MadeLine, jointId: string, atS: number, how: How): void {
  const { steps, pin } = making(line)
  const data = { life: 1, step: steps[0]?.[0], readings: {}, shown: [], pin }
  story.tell(how.who, atS, 'step-done', { ...data, ...(how.tinId ? { tinId: how.tinId } : {}) }, jointId)
}
/** So many minutes lie between the beginnings of two joints. */
const PACE_MIN = 28

/**
 * A line as work goes: two good, a third that fails, is cut out and made again, a fourth; the rest waits. Gives its joints
 * in order. @param left the fourth fails as well, and stands in the line. @param joints those of its pipes, if no others.
 */
export function tellLine(
  story: Story,
  line: MadeLine,
  atS: number,
  how: How,
  left = false,
  joints = story.joints(line.tag),
): { id: string; tag: string }[] {
  const at = (n: number): number => atS + n * PACE_MIN * MIN_S
  const idOf = (n: number): string => joints[n]?.id ?? ''
  tellMade(story, line, idOf(0), at(0), how)
  tellMade(story, line, idOf(1), at(1), how)
  tellMade(story, line, idOf(2), at(2), { ...how, bad: true })
  story.tell(how.who, at(3), 'cut-out', { life: 1, reason: making(line).bad.says }, idOf(2))
  tellMade(story, line, idOf(2), at(3) + 6 * MIN_S, { ...how, life: 2 })
  tellMade(story, line, idOf(3), at(4.5), { ...how, bad: left })
  return joints
}
/** Some joints at once, written down afterwards: their phone had been dead. */
export function tellFromMemory(
  story: Story,
  line: MadeLine,
  joints: readonly { id: string }[],
  [fromS, toS]: readonly [number, number],
  how: How,
): void {
  const { steps, pin } = making(line)
  story.tell(how.who, toS + 30 * MIN_S, 'batch-done', {
    joints: joints.map(({ id: jointId }) => ({ jointId, life: 1, pin })),
    steps: steps.map(([step, , reads = {}]) => ({ step, readings: reads })),
    fromS,
    toS,
    basis: 'memory',
  })
}
