import { type Data, type Handler, flagged, instant, num, str, strOrNull, texts } from './fold-help.js'
import { type StepEntry, addStep, jointOf } from './fold-steps.js'
import type { JobState, Tool } from './state.js'

const object = (v: unknown): Data => (typeof v === 'object' && v !== null ? (v as Data) : {})

const toolOf = (s: JobState, id: string): Tool | null => s.tools.get(id) ?? null

/** Handlers of work on several joints at once, of tools and permits. */
export const MAKE_HANDLERS: Readonly<Record<string, Handler>> = {
  'batch-done': (s, e, d) => {
    const toS = instant(e, d.toS) ?? e.occurredAtS
    const fromS = Math.min(instant(e, d.fromS) ?? toS, toS)
    const steps = Array.isArray(d.steps) ? d.steps.map(object) : []
    for (const joint of (Array.isArray(d.joints) ? d.joints : []).map(object))
      for (const step of steps) {
        const entry: StepEntry = {
          jointId: str(joint.jointId),
          life: num(joint.life) ?? 1,
          step: str(step.step),
          readings: object(step.readings),
          earliestS: fromS,
          latestS: toS,
          pin: joint.pin,
          tinId: strOrNull(d.tinId),
          tools: texts(d.toolIds),
          skipped: null,
          fromMemory: d.basis === 'memory',
        }
        addStep(s, e, entry)
      }
  },
  'tool-set': (s, _e, d) => {
    const toolId = str(d.toolId)
    const had = toolOf(s, toolId)
    const matches = Object.entries(object(d.matches)).filter(
      (x): x is [string, string] => typeof x[1] === 'string',
    )
    s.tools.set(toolId, {
      proofs: [],
      found: [],
      said: [],
      ...had,
      id: toolId,
      kind: str(d.kind),
      name: str(d.name),
      matches: Object.fromEntries(matches),
      dueOn: strOrNull(d.dueOn),
    })
  },
  'tool-proof': (s, e, d) => {
    const tool = toolOf(s, str(d.toolId))
    if (!tool) return flagged(s, e, 'flag-unknown-item')
    tool.proofs.push({ atS: e.occurredAtS, good: d.good === true, how: str(d.how), by: e.actorId })
  },
  'tool-found': (s, e, d) => {
    const tool = toolOf(s, str(d.toolId))
    if (!tool) return flagged(s, e, 'flag-unknown-item')
    tool.found.push({
      fromS: instant(e, d.fromS) ?? 0,
      toS: instant(e, d.toS) ?? e.occurredAtS,
      says: str(d.says),
      atS: e.occurredAtS,
      by: e.actorId,
    })
  },
  'tool-said': (s, e, d) => {
    const tool = toolOf(s, str(d.toolId))
    if (!tool) return flagged(s, e, 'flag-unknown-item')
    tool.said.push({
      eventId: e.id,
      what: str(d.what),
      result: str(d.result),
      atS: instant(e, d.atS) ?? e.occurredAtS,
      value: num(d.value),
      jaw: strOrNull(d.jaw),
      profile: strOrNull(d.profile),
    })
  },
  'photo-kept': (s, e, d) => {
    const { photos } = jointOf(s, str(e.jointId))
    const hash = str(d.hash)
    if (photos.some((p) => p.hash === hash)) return
    photos.push({ hash, life: num(d.life) ?? 1, step: str(d.step), by: e.actorId, atS: e.occurredAtS })
  },
  'permit-set': (s, e, d) =>
    void s.permits.push({
      what: str(d.what),
      number: str(d.number),
      fromS: instant(e, d.fromS) ?? e.occurredAtS,
      untilS: instant(e, d.untilS) ?? e.occurredAtS,
      by: e.actorId,
    }),
}
