import type { RulesPin } from '../methods/method.js'
import { msg } from '../sources/source.js'
import type { JobEvent } from './events.js'
import { type Data, instant, num, school, str, strOrNull, texts } from './fold-help.js'
import type { JobState, JointState, LifeState } from './state.js'
import type { Code } from '../sources/wording.js'

/** The joint of an id, made where it is not there yet. */
export const jointOf = (state: JobState, id: string): JointState => {
  let joint = state.joints.get(id)
  if (!joint) state.joints.set(id, (joint = { id, lives: [], placements: [], photos: [], notes: [] }))
  return joint
}
function liveLife(joint: JointState, no: number): LifeState | null {
  const last = joint.lives.at(-1)
  if (no === joint.lives.length + 1 && (!last || last.cutOutAtS !== undefined)) {
    const life: LifeState = { no, done: [], interrupted: [], pin: null, tinId: null }
    joint.lives.push(life)
    return life
  }
  return joint.lives[no - 1] ?? null
}

/** One step as it enters a life, whatever entry it came in. */
export interface StepEntry {
  jointId: string
  life: number
  step: string
  readings: Data
  earliestS: number
  latestS: number
  pin: unknown
  tinId: string | null
  tools: readonly string[]
  skipped: string | null
  fromMemory: boolean
}
type Done = { -readonly [K in keyof LifeState['done'][number]]: LifeState['done'][number][K] }

/** Puts a step into its life. What contradicts is noted on the joint and earns nothing. */
export function addStep(state: JobState, event: JobEvent, entry: StepEntry): void {
  const joint = jointOf(state, entry.jointId)
  const life = liveLife(joint, entry.life)
  const note = (code: Code, params = {}): void => {
    joint.notes.push({
      eventId: event.id,
      atS: event.occurredAtS,
      by: event.actorId,
      says: msg(code, params),
    })
  }
  if (!life) return note('flag-unknown-life')
  if (life.cutOutAtS !== undefined) return note('note-after-cut-out', { who: life.cutOutBy ?? '' })
  const pin = entry.pin as Partial<RulesPin> | null | undefined
  if (!life.pin && pin && typeof pin === 'object')
    life.pin = {
      rules: num(pin.rules) ?? 1,
      chart: strOrNull(pin.chart),
      school: school(pin.school),
      table: str(pin.table, 'current'),
    }
  life.tinId = entry.tinId ?? life.tinId
  const { step, earliestS, latestS, readings } = entry
  const done: Done = { eventId: event.id, step, earliestS, latestS, readings, by: event.actorId }
  // Put in one by one: spreading what is mostly not there would cost a large log as much as all the rest.
  // The tin is one of the things it was made with.
  const tools = entry.tinId ? [...new Set([...entry.tools, entry.tinId])] : entry.tools
  if (tools.length) done.tools = tools
  if (entry.skipped) done.skipped = entry.skipped
  if (entry.fromMemory) done.fromMemory = true
  ;(life.done as Done[]).push(done)
  if (state.roles.size && state.roles.get(event.actorId) === 'apprentice') life.byApprentice ??= event.actorId
}

/**
 * Takes a step into the life it belongs to. @param movedToS when it was, as corrected later, epoch s; null = as
 * written.
 */
export function stepDone(state: JobState, event: JobEvent, data: Data, movedToS: number | null): void {
  const latestS = movedToS ?? instant(event, data.latestS) ?? event.occurredAtS + event.clockErrorS
  addStep(state, event, {
    jointId: str(event.jointId),
    life: num(data.life) ?? 1,
    step: str(data.step),
    readings: typeof data.readings === 'object' && data.readings !== null ? (data.readings as Data) : {},
    earliestS: Math.min(
      latestS,
      movedToS ?? instant(event, data.earliestS) ?? event.occurredAtS - event.clockErrorS,
    ),
    latestS,
    pin: data.pin,
    tinId: strOrNull(data.tinId),
    tools: texts(data.toolIds),
    skipped: strOrNull(data.skipped),
    fromMemory: data.basis === 'memory',
  })
}

/** Cutting out ends a life; the first one counts. */
export function cutOut(state: JobState, event: JobEvent, data: Data): void {
  const joint = jointOf(state, str(event.jointId))
  const life = joint.lives[(num(data.life) ?? 1) - 1]
  if (!life) {
    joint.notes.push({
      eventId: event.id,
      atS: event.occurredAtS,
      by: event.actorId,
      says: msg('flag-unknown-life'),
    })
    return
  }
  if (life.cutOutAtS !== undefined) return
  life.cutOutAtS = event.occurredAtS
  life.cutOutBy = event.actorId
}
