import type { RulesPin } from '../methods/method.js'
import { msg } from '../sources/source.js'
import type { JobEvent } from './events.js'
import { type Data, instant, num, school, str, strOrNull, texts } from './fold-help.js'
import type { JobState, JointState, LifeState } from './state.js'
import type { Code } from '../sources/wording.js'

export const jointOf = (s: JobState, id: string): JointState => {
  let j = s.joints.get(id)
  if (!j) s.joints.set(id, (j = { id, lives: [], placements: [], photos: [], notes: [] }))
  return j
}
function liveLife(j: JointState, no: number): LifeState | null {
  const last = j.lives.at(-1)
  if (no === j.lives.length + 1 && (!last || last.cutOutAtS !== undefined)) {
    const life: LifeState = { no, done: [], interrupted: [], pin: null, tinId: null }
    j.lives.push(life)
    return life
  }
  return j.lives[no - 1] ?? null
}
const cutBy = new WeakMap<LifeState, string>()

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
export function addStep(s: JobState, e: JobEvent, x: StepEntry): void {
  const j = jointOf(s, x.jointId)
  const life = liveLife(j, x.life)
  const note = (code: Code, params = {}): void => {
    j.notes.push({ eventId: e.id, atS: e.occurredAtS, by: e.actorId, says: msg(code, params) })
  }
  if (!life) return note('flag-unknown-life')
  if (life.cutOutAtS !== undefined) return note('note-after-cut-out', { who: cutBy.get(life) ?? '' })
  const pin = x.pin as Partial<RulesPin> | null | undefined
  if (!life.pin && pin && typeof pin === 'object')
    life.pin = {
      rules: num(pin.rules) ?? 1,
      chart: strOrNull(pin.chart),
      school: school(pin.school),
      table: str(pin.table, 'current'),
    }
  life.tinId = x.tinId ?? life.tinId
  const { step, earliestS, latestS, readings } = x
  const done: Done = { eventId: e.id, step, earliestS, latestS, readings, by: e.actorId }
  // Put in one by one: spreading what is mostly not there would cost a large log as much as all the rest.
  if (x.tools.length) done.tools = x.tools
  if (x.skipped) done.skipped = x.skipped
  if (x.fromMemory) done.fromMemory = true
  ;(life.done as Done[]).push(done)
}

export function stepDone(s: JobState, e: JobEvent, d: Data, movedToS: number | null): void {
  const latestS = movedToS ?? instant(e, d.latestS) ?? e.occurredAtS + e.clockErrorS
  addStep(s, e, {
    jointId: str(e.jointId),
    life: num(d.life) ?? 1,
    step: str(d.step),
    readings: typeof d.readings === 'object' && d.readings !== null ? (d.readings as Data) : {},
    earliestS: Math.min(latestS, movedToS ?? instant(e, d.earliestS) ?? e.occurredAtS - e.clockErrorS),
    latestS,
    pin: d.pin,
    tinId: strOrNull(d.tinId),
    tools: texts(d.toolIds),
    skipped: strOrNull(d.skipped),
    fromMemory: d.basis === 'memory',
  })
}

/** Cutting out ends a life; the first one counts. */
export function cutOut(s: JobState, e: JobEvent, d: Data): void {
  const j = jointOf(s, str(e.jointId))
  const life = j.lives[(num(d.life) ?? 1) - 1]
  if (!life) {
    j.notes.push({ eventId: e.id, atS: e.occurredAtS, by: e.actorId, says: msg('flag-unknown-life') })
    return
  }
  if (life.cutOutAtS !== undefined) return
  life.cutOutAtS = e.occurredAtS
  cutBy.set(life, e.actorId)
}
