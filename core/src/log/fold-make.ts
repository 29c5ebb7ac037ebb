import { type Data, type Handler, flagged, instant, num, str, strOrNull, texts } from './fold-help.js'
import { type StepEntry, addStep, jointOf } from './fold-steps.js'
import type { JobState, Tool } from './state.js'

const object = (v: unknown): Data => (typeof v === 'object' && v !== null ? (v as Data) : {})

const toolOf = (s: JobState, id: string): Tool | null => s.tools.get(id) ?? null

/** Handlers of work on several joints at once, of tools and permits. */
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
  'tool-set': (state, _e, data) => {
    const toolId = str(data.toolId)
    const had = toolOf(state, toolId)
    const matches = Object.entries(object(data.matches)).filter(
      (x): x is [string, string] => typeof x[1] === 'string',
    )
    state.tools.set(toolId, {
      proofs: [],
      found: [],
      said: [],
      ...had,
      id: toolId,
      kind: str(data.kind),
      name: str(data.name),
      matches: Object.fromEntries(matches),
      dueOn: strOrNull(data.dueOn),
    })
  },
  'tool-proof': (state, event, data) => {
    const tool = toolOf(state, str(data.toolId))
    if (!tool) return flagged(state, event, 'flag-unknown-item')
    tool.proofs.push({
      atS: event.occurredAtS,
      good: data.good === true,
      how: str(data.how),
      by: event.actorId,
    })
  },
  'tool-found': (state, event, data) => {
    const tool = toolOf(state, str(data.toolId))
    if (!tool) return flagged(state, event, 'flag-unknown-item')
    tool.found.push({
      fromS: instant(event, data.fromS) ?? 0,
      toS: instant(event, data.toS) ?? event.occurredAtS,
      says: str(data.says),
      atS: event.occurredAtS,
      by: event.actorId,
    })
  },
  'tool-said': (state, event, data) => {
    const tool = toolOf(state, str(data.toolId))
    if (!tool) return flagged(state, event, 'flag-unknown-item')
    tool.said.push({
      eventId: event.id,
      what: str(data.what),
      result: str(data.result),
      atS: instant(event, data.atS) ?? event.occurredAtS,
      value: num(data.value),
      jaw: strOrNull(data.jaw),
      profile: strOrNull(data.profile),
    })
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
  'permit-set': (state, event, data) =>
    void state.permits.push({
      what: str(data.what),
      number: str(data.number),
      fromS: instant(event, data.fromS) ?? event.occurredAtS,
      untilS: instant(event, data.untilS) ?? event.occurredAtS,
      by: event.actorId,
    }),
}
