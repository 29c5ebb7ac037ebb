import { type Data, type Handler, flagged, instant, num, str, strOrNull, texts } from './fold-help.js'
import { type StepEntry, addStep, jointOf } from './fold-steps.js'

const object = (v: unknown): Data => (typeof v === 'object' && v !== null ? (v as Data) : {})

/** Handlers of work on several joints at once, of pictures and permits. */
export const MAKE_HANDLERS: Readonly<Record<string, Handler>> = {
  'batch-done': (state, event, data) => {
    const toS = instant(event, data.toS) ?? event.occurredAtS
    const fromS = Math.min(instant(event, data.fromS) ?? toS, toS)
    const steps = Array.isArray(data.steps) ? data.steps.map(object) : []
    for (const joint of (Array.isArray(data.joints) ? data.joints : []).map(object))
      for (const step of steps) {
        const entry: StepEntry = {
          jointId: str(joint.jointId),
          life: num(joint.life) ?? 1,
          step: str(step.step),
          readings: object(step.readings),
          earliestS: fromS,
          latestS: toS,
          pin: joint.pin,
          tinId: strOrNull(data.tinId),
          tools: texts(data.toolIds),
          skipped: null,
          fromMemory: data.basis === 'memory',
        }
        addStep(state, event, entry)
      }
  },
  'photo-kept': (state, event, data) => {
    const { photos } = jointOf(state, str(event.jointId))
    const hash = str(data.hash)
    if (photos.some((p) => p.hash === hash)) return
    photos.push({
      hash,
      life: num(data.life) ?? 1,
      step: str(data.step),
      by: event.actorId,
      atS: event.occurredAtS,
    })
  },
  'looked-over': (state, event, data) => {
    const life = jointOf(state, str(event.jointId)).lives[(num(data.life) ?? 1) - 1]
    if (!life) return flagged(state, event, 'flag-unknown-life')
    // An apprentice's eye is not the second one.
    if (state.roles.get(event.actorId) === 'apprentice' || life.byApprentice === event.actorId) return
    const note = strOrNull(data.note)
    const found = data.found === 'wrong' ? 'wrong' : 'good'
    ;(life.looks ??= []).push({
      by: event.actorId,
      atS: event.occurredAtS,
      found,
      ...(note === null ? {} : { note }),
    })
  },
  'permit-set': (state, event, data) =>
    void state.permits.push({
      what: str(data.what),
      number: str(data.number),
      fromS: instant(event, data.fromS) ?? event.occurredAtS,
      untilS: instant(event, data.untilS) ?? event.occurredAtS,
      by: event.actorId,
    }),
}
