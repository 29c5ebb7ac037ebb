import { type NextThing, type Reader, fmt } from '@jugalis/core'
import type { RouteLocationRaw } from 'vue-router'
import { dayText, when } from '../when'
import { told, word } from '../words/word'

/** Who reads, when and where: a job's units and zone. */
export interface Eye {
  reader: Reader
  zone: string
  nowS: number
}

/** One thing of a job, in a few words that stand beside others. */
export function thingSaid(thing: NextThing, { reader, zone, nowS }: Eye): string {
  switch (thing.kind) {
    case 'late':
    case 'window':
    case 'hold': {
      const left = thing.untilS === null ? word('ui-no-figure') : fmt.clock(thing.untilS - nowS)
      return word(`jobs-thing-${thing.kind}`, { tag: thing.joint.tag, left })
    }
    case 'failed':
    case 'begun':
      return word(`jobs-thing-${thing.kind}`, { tag: thing.joint.tag, rest: thing.count - 1 })
    case 'runs':
    case 'lost':
      return word(`jobs-thing-${thing.kind}`, { tag: thing.section.tag })
    case 'ready':
      return word('jobs-thing-ready', {
        tag: thing.section.tag,
        bar: fmt.pressure(thing.section.testBar, reader),
      })
    case 'ready-from':
      return word('jobs-thing-ready-from', {
        tag: thing.section.tag,
        bar: fmt.pressure(thing.section.testBar, reader),
        at: when(thing.atS, nowS, zone),
      })
    case 'no-figure':
      return word('jobs-thing-no-figure', { tag: thing.section.tag, joint: thing.joint?.tag })
    case 'tool':
      return word('jobs-thing-tool', { tool: thing.name, rest: thing.count - 1 })
    case 'care-late':
    case 'care-soon':
      return word(`jobs-thing-${thing.kind}`, {
        does: told(thing.care.does, reader),
        tag: thing.care.device ?? thing.care.tag,
        day: dayText(thing.care.dueOn),
        rest: thing.count - 1,
      })
    case 'nearest': {
      const { tag, notBeforeS } = thing.section
      return notBeforeS !== null && notBeforeS > nowS
        ? word('jobs-thing-nearest-not-before', {
            tag,
            count: thing.count,
            at: when(notBeforeS, nowS, zone),
          })
        : word('jobs-thing-nearest', { tag, count: thing.count })
    }
    case 'not-made':
    case 'not-sectioned':
    case 'all-proved':
      return word(`jobs-thing-${thing.kind}`, { count: thing.count })
    case 'closed':
      return word('jobs-thing-closed', { at: when(thing.atS, nowS, zone) })
    case 'nothing':
      return word('jobs-thing-nothing')
  }
}

/** Where a thing is done. */
export function wayTo(thing: NextThing, jobId: string): RouteLocationRaw {
  if ('joint' in thing && thing.joint && thing.kind !== 'no-figure')
    return { name: 'make', params: { jobId, jointId: thing.joint.jointId } }
  if ('section' in thing) {
    const name = ['ready-from', 'no-figure', 'nearest'].includes(thing.kind) ? 'wait' : 'prove'
    return { name, params: { jobId, sectionId: thing.section.id } }
  }
  if ('care' in thing) return { name: 'upkeep', params: { jobId }, query: { task: thing.care.key } }
  if (thing.kind === 'nothing' || thing.kind === 'not-sectioned')
    return { name: 'set-out', params: { jobId } }
  return {
    name: thing.kind === 'all-proved' || thing.kind === 'closed' ? 'hand-over' : 'make',
    params: { jobId },
  }
}
