import type { RulesPin } from '../methods/method.js'
import { msg } from '../sources/source.js'
import type { JobEvent } from './events.js'
import { type Data, instant, num, school, str, strOrNull } from './fold-help.js'
import type { JobState, JointState, LifeState } from './state.js'

export const jointOf = (s: JobState, id: string): JointState => {
  let j = s.joints.get(id)
  if (!j) s.joints.set(id, (j = { id, lives: [], placements: [], photos: [], notes: [] }))
  return j
}
function liveLife(j: JointState, no: number): LifeState | null {
  const last = j.lives.at(-1)
  if (no === j.lives.length + 1 && (!last || last.cutOutAtS !== undefined)) {
    const life: LifeState = { no, done: [], interrupted: [], pin: null, tinId: null, doubtful: [] }
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
  skipped?: string
  fromMemory?: true
}

/** Puts a step into its life. What contradicts is noted on the joint and earns nothing. */
export function addStep(s: JobState, e: JobEvent, x: StepEntry): void {
  const j = jointOf(s, x.jointId)
  const life = liveLife(j, x.life)
  const note = (code: string, params = {}): void => {
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
  ;(life.done as LifeState['done'][number][]).push({
    eventId: e.id,
    step: x.step,
    earliestS: x.earliestS,
    latestS: x.latestS,
    readings: x.readings,
    by: e.actorId,
    ...(x.tools.length ? { tools: x.tools } : {}),
    ...(x.skipped ? { skipped: x.skipped } : {}),
    ...(x.fromMemory ? { fromMemory: true as const } : {}),
  })
}

export function stepDone(s: JobState, e: JobEvent, d: Data, movedToS: number | null): void {
  const latestS = movedToS ?? instant(e, d.latestS) ?? e.occurredAtS + e.clockErrorS
  const skipped = strOrNull(d.skipped)
  addStep(s, e, {
    jointId: str(e.jointId),
    life: num(d.life) ?? 1,
    step: str(d.step),
    readings: typeof d.readings === 'object' && d.readings !== null ? (d.readings as Data) : {},
    earliestS: Math.min(latestS, movedToS ?? instant(e, d.earliestS) ?? e.occurredAtS - e.clockErrorS),
    latestS,
    pin: d.pin,
    tinId: strOrNull(d.tinId),
    tools: Array.isArray(d.toolIds) ? d.toolIds.filter((x): x is string => typeof x === 'string') : [],
    ...(skipped ? { skipped } : {}),
    ...(d.basis === 'memory' ? { fromMemory: true as const } : {}),
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
