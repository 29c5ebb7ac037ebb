import { greatest } from '../units/extent.js'
import type { Finding, Inspection, Life, Need, Step } from '../methods/method.js'
import { finding } from '../sources/source.js'
import { dayOf } from '../units/zone.js'
import type { JobState, JointState, StoreItem } from '../log/state.js'
import { type Stood, standingOf, stillWrong, wasWrong } from './standing.js'
import { once } from '../units/memo.js'

/** Tools that are tried each day before they are used, and how. Source: `cp-shift-proof`. */
const PROVED_DAILY: ReadonlySet<string> = new Set(['press-tool', 'fusion-tool'])
/** A cycle and the tap that tells of it lie no further apart. */
const CYCLE_NEAR_S = 300

/** What a method itself asks of what is in hand, from the joint's own rules: said there, not twice. */
const JUDGED_BY_METHOD = 'plastic'

/** Where a thing does not fit what the joint needs: keys on which both speak and differ. */
export function mismatches(
  tool: StoreItem,
  needs: readonly Need[],
): { key: string; has: string; wants: string }[] {
  return needs
    .filter((n) => n.item === tool.kind)
    .flatMap((need) =>
      Object.entries(need.matches).flatMap(([key, wants]) => {
        const has = tool.matches[key]
        return key !== JUDGED_BY_METHOD && has !== undefined && has !== wants ? [{ key, has, wants }] : []
      }),
    )
}
/** What the state of a thing says against taking it: thrown away, found wrong, said to be empty. */
function stateFindings(state: JobState, item: StoreItem, { standing }: Stood): Finding[] {
  const own = { tool: item.name }
  if (standing === 'condemned') return [finding('stop', 'item-condemned', 'given', own)]
  if (standing === 'empty') return [finding('warn', 'item-empty', 'given', own)]
  const says = stillWrong(item, state.job.zone)
  return says === null ? [] : [finding('stop', 'item-found-wrong', 'given', { ...own, says })]
}
/** Past its last day: by its date, by when it was opened, by its next service. */
function dateFindings(item: StoreItem, needs: readonly Need[], stood: Stood, day: string): Finding[] {
  const { untilOn, by, openedOn } = stood
  if (untilOn === null || untilOn >= day) return []
  const own = { tool: item.name, on: untilOn }
  if (by === 'opened')
    return [finding('stop', 'item-open-too-long', 'given', { ...own, on: openedOn ?? '', untilOn })]
  // The method itself speaks of a tin's date, by its own rules.
  if (needs.some((n) => n.item === item.kind && JUDGED_BY_METHOD in n.matches)) return []
  return [finding('stop', by === 'expires' ? 'lot-out-of-date' : 'tool-out-of-date', 'given', own)]
}
/** How it was tried: not good, until it is tried again and good; or not today where its kind is tried every day. */
function proofFindings(state: JobState, tool: StoreItem, day: string): Finding[] {
  const last = tool.proofs.at(-1)
  if (last && !last.good)
    return [finding('stop', 'tool-proof-bad', 'cp-shift-proof', { tool: tool.name, how: last.how })]
  const today = last && dayOf(last.atS, state.job.zone) === day
  return !today && PROVED_DAILY.has(tool.kind)
    ? [finding('warn', 'tool-not-proved', 'cp-shift-proof', { tool: tool.name })]
    : []
}

/**
 * What speaks against taking these things of the store to a joint at a time: does not fit, past its day, open too long,
 * found wrong, thrown away, not tried today. Most are stops; that nobody tried it, or that it was said to be empty, is
 * a warning.
 */
export function toolWrong(
  state: JobState,
  toolIds: readonly string[],
  needs: readonly Need[],
  nowS: number,
): Finding[] {
  const day = dayOf(nowS, state.job.zone)
  return toolIds.flatMap((id) => {
    const tool = state.store.get(id)
    if (!tool) return []
    const stood = standingOf(state, tool, nowS)
    return [
      ...mismatches(tool, needs).map((x) =>
        finding('stop', 'tool-does-not-fit', 'given', { tool: tool.name, has: x.has, wants: x.wants }),
      ),
      ...stateFindings(state, tool, stood),
      ...dateFindings(tool, needs, stood, day),
      ...proofFindings(state, tool, day),
    ]
  })
}

/** Tools that report their cycles by themselves, as seen from what they have reported. */
const reports = (tool: StoreItem): boolean => tool.said.some((x) => x.what === 'cycle')

interface Tap {
  entry: string
  fromS: number
  toS: number
}
/** Finished cycles and the taps that tell of them: each cycle stands for one tap, the nearest in time. */
function unmatched(tool: StoreItem, taps: readonly Tap[]): ReadonlySet<string> {
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
  const tools = [...state.store.values()].filter(reports)
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

/** Was a life begun at a time, epoch s, and not cut out yet? */
const lived = (life: Life, atS: number): boolean =>
  (life.done[0]?.earliestS ?? Infinity) <= atS && (life.cutOutAtS ?? Infinity) > atS
/** What the record says about a joint besides its own steps: what it was made with, and what of that was not logged. */
export interface OfRecord {
  joint: JointState
  /** Things of the store that its lives name. */
  tools: readonly StoreItem[]
  /** Entries about it that say a tool was used although no cycle of that was logged, by id, parted by blanks. */
  withoutCycle: string
  /** Where the job is: by its days a thing was looked at again. */
  zone: string
}
const NO_TOOLS: readonly StoreItem[] = []
const reporting = once((store: JobState['store']) => [...store.values()].some(reports))
/** Does any tool of the job report its cycles by itself? */
export const toolsReport = ({ store }: Pick<JobState, 'store'>): boolean => reporting(store)
/** What the record of a job says about a joint. */
export function ofRecord(state: JobState, joint: JointState): OfRecord {
  const used = joint.lives.flatMap(({ done }) => done.flatMap((one) => one.tools ?? NO_TOOLS_USED))
  const { zone } = state.job
  if (!used.length) return { joint, tools: NO_TOOLS, withoutCycle: '', zone }
  const tools = [...new Set(used)].map((id) => state.store.get(id)).filter((x) => x !== undefined)
  const entries = reporting(state.store) ? entriesWithoutCycle(state) : null
  const taps = joint.lives.flatMap(({ done }) => done.map(({ eventId }) => eventId))
  const without = entries ? taps.filter((id) => entries.has(`${id} ${joint.id}`)) : []
  return { joint, tools, withoutCycle: without.join(' '), zone }
}
const NO_TOOLS_USED: readonly string[] = []

/** What the record itself says against a life: steps skipped, written from memory, tools found wrong since. */
export function recordFindings(
  { joint, tools, withoutCycle, zone }: OfRecord,
  life: Life,
  steps: readonly Step[],
): Finding[] {
  // Most lives have nothing of the kind, and there may be thousands of them.
  const doubts = (joint.doubts ?? []).filter((doubt) => lived(life, doubt.atS))
  if (
    !doubts.length &&
    life.no === 1 &&
    !life.done.some((d) => d.skipped !== undefined || d.fromMemory || d.tools)
  )
    return []
  const endedS = endedBeforeS(joint, life.no)
  const overlaps = endedS !== null && life.done.some((d) => d.latestS < endedS)
  const looksS = life.done
    .filter((d) => steps.find((s) => s.id === d.step)?.reaches === 'verified')
    .map((d) => d.latestS)
  const lastLookS = greatest(looksS)
  const notLogged = new Set(withoutCycle.split(' '))
  const all = life.done.flatMap((done, i) => {
    const out: Finding[] = []
    if (overlaps && i === 0) out.push(finding('warn', 'life-overlaps', 'measured'))
    if (done.skipped !== undefined)
      out.push(finding('note', 'step-skipped', 'measured', { step: done.step, reason: done.skipped }))
    if (done.fromMemory) out.push(finding('note', 'from-memory', 'measured'))
    if (done.readings.byTool === true && notLogged.has(done.eventId))
      out.push(finding('warn', 'no-cycle-logged', 'measured', {}))
    for (const id of done.tools ?? []) {
      const tool = tools.find((item) => item.id === id)
      for (const found of tool?.found ?? [])
        if (tool && wasWrong(tool, found, { fromS: done.earliestS, toS: done.latestS }, zone)) {
          // Looked at since it was found: said, and no longer in doubt. The look that was its last step is not another one.
          const sinceS = done.latestS > found.atS ? (looksS[0] ?? Infinity) : found.atS
          out.push(
            finding(lastLookS > sinceS ? 'note' : 'warn', 'made-with-wrong-tool', 'measured', {
              tool: tool.name,
              says: found.says,
            }),
          )
        }
    }
    return out
  })
  for (const { atS, says } of doubts)
    all.push(finding(lastLookS > atS ? 'note' : 'warn', 'joint-doubted', 'given', { says }))
  // Said once, however many steps it holds for.
  const texts = all.map((f) => f.code + JSON.stringify(f.params))
  return all.filter((_, i) => texts.indexOf(texts[i] as string) === i)
}

const endedBeforeS = (joint: JointState | undefined, lifeNo: number): number | null =>
  joint?.lives[lifeNo - 2]?.cutOutAtS ?? null
/** When the life before this one was cut out: nothing of this one was before. Null for the first. */
export const lifeBeforeEndedS = (state: JobState, jointId: string, lifeNo: number): number | null =>
  endedBeforeS(state.joints.get(jointId), lifeNo)

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
