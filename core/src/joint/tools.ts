import { greatest } from '../units/extent.js'
import type { Finding, Inspection, Life, Need, Step } from '../methods/method.js'
import { finding } from '../sources/source.js'
import { dayOf } from '../units/zone.js'
import type { JobState, Tool } from '../log/state.js'
import { once } from '../units/memo.js'

/** Tools that are tried each day before they are used, and how. Source: `cp-shift-proof`. */
const PROVED_DAILY: ReadonlySet<string> = new Set(['press-tool', 'fusion-tool'])
/** A cycle and the tap that tells of it lie no further apart. */
const CYCLE_NEAR_S = 300

/** Where a tool does not fit what the joint needs: keys on which both speak and differ. */
export function mismatches(
  tool: Tool,
  needs: readonly Need[],
): { key: string; has: string; wants: string }[] {
  return needs
    .filter((n) => n.item === tool.kind)
    .flatMap((need) =>
      Object.entries(need.matches).flatMap(([key, wants]) => {
        const has = tool.matches[key]
        return has !== undefined && has !== wants ? [{ key, has, wants }] : []
      }),
    )
}

/**
 * What speaks against taking these tools to a joint at a time: does not fit, out of date, not tried today.
 * A tool that does not fit is a stop; the rest are warnings.
 */
export function toolWrong(
  state: JobState,
  toolIds: readonly string[],
  needs: readonly Need[],
  nowS: number,
): Finding[] {
  const day = dayOf(nowS, state.job.zone)
  return toolIds.flatMap((id) => {
    const tool = state.tools.get(id)
    if (!tool) return []
    const out: Finding[] = mismatches(tool, needs).map((x) =>
      finding('stop', 'tool-does-not-fit', 'given', { tool: tool.name, has: x.has, wants: x.wants }),
    )
    if (tool.dueOn !== null && tool.dueOn < day)
      out.push(finding('warn', 'tool-out-of-date', 'given', { tool: tool.name, on: tool.dueOn }))
    const today = tool.proofs.filter((p) => dayOf(p.atS, state.job.zone) === day).at(-1)
    if (today && !today.good)
      out.push(finding('stop', 'tool-proof-bad', 'cp-shift-proof', { tool: tool.name, how: today.how }))
    else if (!today && PROVED_DAILY.has(tool.kind))
      out.push(finding('warn', 'tool-not-proved', 'cp-shift-proof', { tool: tool.name }))
    return out
  })
}

/** Tools that report their cycles by themselves, as seen from what they have reported. */
const reports = (tool: Tool): boolean => tool.said.some((x) => x.what === 'cycle')

interface Tap {
  entry: string
  fromS: number
  toS: number
}
/** Finished cycles and the taps that tell of them: each cycle stands for one tap, the nearest in time. */
function unmatched(tool: Tool, taps: readonly Tap[]): ReadonlySet<string> {
  const free = tool.said.filter((x) => x.what === 'cycle' && x.result === 'complete').map((x) => x.atS)
  const without = new Set<string>()
  const off = (tap: Tap, atS: number): number => Math.max(0, tap.fromS - atS, atS - tap.toS)
  for (const tap of [...taps].sort((a, b) => a.toS - b.toS || a.fromS - b.fromS)) {
    const best = free.reduce(
      (a, atS, i) => (a < 0 || off(tap, atS) < off(tap, free[a] as number) ? i : a),
      -1,
    )
    if (best < 0 || off(tap, free[best] as number) > CYCLE_NEAR_S) without.add(tap.entry)
    else free.splice(best, 1)
  }
  return without
}

/**
 * Entries that say a reporting tool was used although no finished cycle of it was logged about then. Fourteen taps and
 * thirteen cycles: one of them is not pressed.
 */
export const entriesWithoutCycle = once((state: JobState): ReadonlySet<string> => {
  const taps = new Map<string, Tap[]>()
  const tools = [...state.tools.values()].filter(reports)
  if (tools.length)
    for (const joint of state.joints.values())
      for (const life of joint.lives) {
        if (life.cutOutAtS !== undefined) continue
        for (const done of life.done)
          for (const id of done.tools ?? [])
            // A reporting tool works at the step that makes the joint: the one that says so.
            if (done.readings.byTool === true)
              taps.set(id, [
                ...(taps.get(id) ?? []),
                { entry: `${done.eventId} ${joint.id}`, fromS: done.earliestS, toS: done.latestS },
              ])
      }
  return new Set(tools.flatMap((t) => [...unmatched(t, taps.get(t.id) ?? [])]))
})

/** What the record itself says against a life: steps skipped, written from memory, tools found wrong since. */
export function recordFindings(
  state: JobState,
  jointId: string,
  life: Life,
  steps: readonly Step[],
): Finding[] {
  // Most lives have nothing of the kind, and there may be thousands of them.
  if (life.no === 1 && !life.done.some((d) => d.skipped !== undefined || d.fromMemory || d.tools)) return []
  const endedS = lifeBeforeEndedS(state, jointId, life.no)
  const overlaps = endedS !== null && life.done.some((d) => d.latestS < endedS)
  const lastLookS = greatest(
    life.done.filter((d) => steps.find((s) => s.id === d.step)?.reaches === 'verified').map((d) => d.latestS),
  )
  const all = life.done.flatMap((done, i) => {
    const out: Finding[] = []
    if (overlaps && i === 0) out.push(finding('warn', 'life-overlaps', 'measured'))
    if (done.skipped !== undefined)
      out.push(finding('note', 'step-skipped', 'measured', { step: done.step, reason: done.skipped }))
    if (done.fromMemory) out.push(finding('note', 'from-memory', 'measured'))
    if (done.readings.byTool === true && entriesWithoutCycle(state).has(`${done.eventId} ${jointId}`))
      out.push(finding('warn', 'no-cycle-logged', 'measured', {}))
    for (const id of done.tools ?? [])
      for (const found of state.tools.get(id)?.found ?? [])
        if (done.latestS >= found.fromS && done.earliestS <= found.toS)
          // Looked at since it was found: said, and no longer in doubt.
          out.push(
            finding(lastLookS > found.atS ? 'note' : 'warn', 'made-with-wrong-tool', 'measured', {
              tool: state.tools.get(id)?.name ?? '',
              says: found.says,
            }),
          )
    return out
  })
  // Said once, however many steps it holds for.
  const texts = all.map((f) => f.code + JSON.stringify(f.params))
  return all.filter((_, i) => texts.indexOf(texts[i] as string) === i)
}

/** When the life before this one was cut out: nothing of this one was before. Null for the first. */
export const lifeBeforeEndedS = (state: JobState, jointId: string, lifeNo: number): number | null =>
  state.joints.get(jointId)?.lives[lifeNo - 2]?.cutOutAtS ?? null

/** An inspection with what the record says besides: a doubt that a method's own readings know nothing of. */
export function withRecord(inspection: Inspection, found: readonly Finding[]): Inspection {
  if (!found.length) return inspection
  const findings = [...inspection.findings, ...found]
  const doubt = found.some((f) => f.level === 'warn')
  return doubt && inspection.verdict === 'pass'
    ? { ...inspection, findings, verdict: 'unknown', next: { do: 'measure' } }
    : { ...inspection, findings }
}

/** Is there a hot-work permit now? Null: none was ever written down for this job. */
export function hotWorkPermit(state: JobState, nowS: number): boolean | null {
  const permits = state.permits.filter((p) => p.what === 'hot-work')
  return permits.length ? permits.some((p) => p.fromS <= nowS && nowS <= p.untilS) : null
}
