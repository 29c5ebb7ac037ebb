import { type Finding, type Msg, type SourceId, finding } from '../../sources/source.js'
import type { Clock, Inspection, Life, Step } from '../method.js'

/** A tap up to this late may be a tap made after the hands were free: asked, not judged. */
export const LATE_TAP_S = 60

/** All readings of a life, the last of each key. */
export function readingsOf(life: Life): Readonly<Record<string, unknown>> {
  return Object.assign({}, ...life.done.map((d) => d.readings)) as Record<string, unknown>
}
/** A reading as a figure; null where it was not read as one. */
export const numberOf = (readings: Readonly<Record<string, unknown>>, key: string): number | null => {
  const value = readings[key]
  return typeof value === 'number' && Number.isFinite(value) ? value : null
}

/**
 * What a method's own judgement of the readings says. A finding that warns leaves a doubt: it can't be told good, whatever
 * else is; one that is only to be known says so by itself (`passing`).
 */
export interface Judged {
  findings: readonly Finding[]
  causes?: readonly Msg[]
}

/** A warning that a joint may be judged good with. */
export const passing = (f: Finding): Finding => ({ ...f, passing: true })
const leavesDoubt = (f: Finding): boolean => f.level === 'warn' && !f.passing

/** Dwells that were broken off by the next step: what was to be left alone was not. */
export function dwellFindings(clocks: readonly Clock[]): Finding[] {
  return clocks.flatMap((clock) =>
    clock.kind === 'dwell' &&
    clock.stoppedAtS !== undefined &&
    clock.untilS.value !== null &&
    clock.stoppedAtS < clock.untilS.value
      ? [
          finding('warn', 'too-soon', clock.untilS.source, {
            earlyS: clock.untilS.value - clock.stoppedAtS,
            clock: clock.id,
          }),
        ]
      : [],
  )
}

/** Windows that were missed. Entries from memory span a time: judged only where even the shortest case is late. */
export function windowFindings(clocks: readonly Clock[], life: Life): Finding[] {
  const out: Finding[] = []
  const spanOf = (step: string): number => {
    const done = life.done.findLast((x) => x.step === step)
    return done ? done.latestS - done.earliestS : 0
  }
  for (const clock of clocks) {
    if (clock.kind !== 'window' || clock.stoppedAtS === undefined || clock.untilS.value === null) continue
    const lateS = clock.stoppedAtS - clock.untilS.value
    const doubtS = spanOf(clock.step)
    const say = (level: Finding['level'], code: 'too-late' | 'too-late-asked'): void => {
      out.push(
        finding(level, code, (clock.untilS as { source: SourceId }).source, { lateS, clock: clock.id }),
      )
    }
    if (lateS - doubtS > LATE_TAP_S) say('stop', 'too-late')
    else if (lateS > 0) say(doubtS > LATE_TAP_S ? 'note' : 'warn', 'too-late-asked')
  }
  return out
}

/** What the hands said at a step: a way out by cutting out stands against the joint, one that goes on is looked at. */
function exceptionFindings(steps: readonly Step[], life: Life, source: SourceId): Finding[] {
  return life.done.flatMap((done, i) => {
    // What was done again is judged by how it went then.
    if (life.done.slice(i + 1).some((x) => x.step === done.step && x.readings.again === true)) return []
    const step = steps.find((s) => s.id === done.step)
    const said = step?.exceptions.find((e) => e.id === done.readings.exception)
    // What an option of a choice means is for the method to judge.
    if (!said || step?.reads.some((r) => r.options?.some((o) => said.id === `${r.key}-${o}`))) return []
    if (said.backTo !== 'cut-out' && said.backTo !== 'on') return []
    return [finding(said.backTo === 'cut-out' ? 'stop' : 'warn', said.says.code, source, said.says.params)]
  })
}

/** A step already gone past that left something unread, or whose look could not be taken: it is done again. */
function lookAgain(steps: readonly Step[], life: Life, unread: readonly string[]): string | undefined {
  const last = (step: string): Life['done'][number] | undefined => life.done.findLast((d) => d.step === step)
  return steps.find((step) => {
    const done = last(step.id)
    if (!done) return false
    const said = step.exceptions.find((e) => e.id === done.readings.exception)
    return step.reads.some((r) => unread.includes(r.key)) || said?.backTo === 'on'
  })?.id
}

/**
 * Everything that speaks for or against a joint: windows, exceptions, disturbances, readings.
 * @param mends what is put right by doing a step again, by code of the finding.
 */
export function inspectionOf(
  steps: readonly Step[],
  clocks: readonly Clock[],
  life: Life,
  source: SourceId,
  judged: Judged,
  mends: Readonly<Record<string, string>> = {},
): Inspection {
  const readings = readingsOf(life)
  const needed = steps.flatMap((s) => s.reads.filter((r) => r.needed).map((r) => r.key))
  const unread = needed.filter((k) => readings[k] === undefined || readings[k] === null)
  const findings = [
    ...windowFindings(clocks, life),
    ...dwellFindings(clocks),
    ...exceptionFindings(steps, life, source),
    ...judged.findings,
  ]
  const made = steps.find((s) => s.reaches === 'made')?.id ?? ''
  const rest = { findings, unread, causes: judged.causes ?? [] }
  const stops = findings.filter((f) => f.level === 'stop')
  const stepOf = (finding: Finding | undefined): string | undefined =>
    finding && Object.hasOwn(mends, finding.code) ? mends[finding.code] : undefined
  // Only what must be is cut out: where every stop can be put right, the first of them comes first.
  const mend = stepOf(stops.find((f) => !stepOf(f)) ?? stops[0] ?? findings.find(stepOf))
  if (stops.length) return { ...rest, verdict: 'fail', next: mend ? { step: mend } : { do: 'cut-out' } }
  if (!life.done.some((d) => d.step === made)) return { ...rest, verdict: 'unknown', next: { step: made } }
  const disturbed = findings.some((f) => f.level === 'warn' && !judged.findings.includes(f))
  if (unread.length || judged.findings.some(leavesDoubt) || disturbed) {
    const again = mend ?? lookAgain(steps, life, unread)
    return { ...rest, verdict: 'unknown', next: again ? { step: again } : { do: 'measure' } }
  }
  return { ...rest, verdict: 'pass', next: { do: 'nothing' } }
}
