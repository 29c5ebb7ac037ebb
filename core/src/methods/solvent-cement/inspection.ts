import { type Finding, type SourceId, finding, msg } from '../../sources/source.js'
import type { Ctx, Done, Inspection, Life } from '../method.js'
import { LET_GO, clocks } from './clocks.js'
import { type SolventSpec, depthOf } from './spec.js'
import type { Code } from '../../sources/wording.js'
import { LATE_TAP_S } from '../kit/inspection.js'

/** How far the check mark may stand from its offset. Source: `ours-check-mark`. */
export const SHORT_PASS_MM = 3
export const OVER_PASS_MM = 2
const EPSILON_MM = 1e-9

export interface CheckVerdict {
  shortMm: number
  insertionMm: number
  verdict: 'pass' | 'fail' | 'unknown'
}
/**
 * Judges a check mark. Reading and offset are from the socket face to the mark, in mm; depth is the insertion depth.
 * Pass −2…+3 mm; below, the socket is deeper than figured (unknown); above, the pipe is not home (fail).
 * @example judgeCheckMark(50, 50, 61).verdict // 'pass'
 */
export function judgeCheckMark(readingMm: number, checkOffsetMm: number, depthMm: number): CheckVerdict {
  const shortMm = readingMm - checkOffsetMm
  const verdict =
    shortMm > SHORT_PASS_MM + EPSILON_MM ? 'fail' : shortMm < -OVER_PASS_MM - EPSILON_MM ? 'unknown' : 'pass'
  return { shortMm, insertionMm: depthMm - shortMm, verdict }
}

const lastOf = (life: Life, step: string): Done | undefined => life.done.filter((d) => d.step === step).at(-1)

/** Everything that speaks for or against a finished joint: windows kept, hold held, mark, bead. */
export function inspect(spec: SolventSpec, life: Life, ctx: Ctx): Inspection {
  const findings: Finding[] = []
  const say = (
    level: 'stop' | 'warn' | 'note',
    code: Code,
    source: SourceId,
    params: Record<string, string | number> = {},
  ): void => {
    findings.push(finding(level, code, source, params))
  }
  const home = lastOf(life, 'home')
  if (!home)
    return { verdict: 'unknown', findings, unread: ['checkMm', 'bead'], next: { step: 'home' }, causes: [] }
  judgeWindows(spec, life, ctx, say)
  for (const done of life.done) {
    if (done.readings.exception === 'too-loose') say('stop', 'too-loose', 'cp-steps')
  }
  for (const input of life.interrupted) {
    if (input.atS < home.latestS) continue
    if (input.kind === LET_GO) say('warn', 'let-go-early', 'cp-hold')
    else say('warn', 'disturbed', 'cp-steps', { kind: input.kind })
  }
  const judged = lastOf(life, 'judge')
  const reading = judged?.readings.checkMm
  const bead = judged?.readings.bead
  const unread: string[] = []
  if (typeof reading === 'number' && Number.isFinite(reading)) {
    const depth = depthOf(spec)
    const check = judgeCheckMark(reading, spec.checkOffsetMm, depth.value ?? 0)
    if (check.verdict === 'fail')
      say('stop', 'mark-short', 'ours-check-mark', { readingMm: reading, shortMm: check.shortMm })
    if (check.verdict === 'unknown')
      say('warn', 'mark-over', 'ours-check-mark', { readingMm: reading, overMm: -check.shortMm })
  } else unread.push('checkMm')
  if (bead === 'broken') say('stop', 'bead-broken', 'cp-steps')
  else if (bead !== 'all-round') unread.push('bead')
  if (findings.some((f) => f.level === 'stop'))
    return { verdict: 'fail', findings, unread, next: { do: 'cut-out' }, causes: causesOf(findings) }
  if (unread.length || findings.some((f) => f.level === 'warn'))
    return { verdict: 'unknown', findings, unread, next: { do: 'measure' }, causes: [] }
  return { verdict: 'pass', findings, unread, next: { do: 'nothing' }, causes: [] }
}

type Say = (
  level: 'stop' | 'warn' | 'note',
  code: Code,
  source: SourceId,
  p?: Record<string, string | number>,
) => void

/** Was each window kept? Entries from memory span a time: they are judged only where even the shortest case is late. */
function judgeWindows(spec: SolventSpec, life: Life, ctx: Ctx, say: Say): void {
  const spanOf = (step: string): number => {
    const done = lastOf(life, step)
    return done ? done.latestS - done.earliestS : 0
  }
  for (const clock of clocks(spec, life, ctx)) {
    if (clock.kind !== 'window' || clock.stoppedAtS === undefined || clock.untilS.value === null) continue
    const { source } = clock.untilS
    const lateS = clock.stoppedAtS - clock.untilS.value
    const doubtS = spanOf(clock.step) + spanOf('home')
    const params = { lateS, clock: clock.id }
    if (lateS - doubtS > LATE_TAP_S) say('stop', 'window-missed', source, params)
    else if (doubtS > LATE_TAP_S && lateS > 0) say('note', 'window-not-judged', source, params)
    else if (lateS > 0) say('warn', 'window-asked', source, params)
  }
}

const CAUSES: Readonly<Partial<Record<Code, readonly Code[]>>> = {
  'mark-short': ['cause-let-go-early', 'cause-not-to-stop', 'cause-no-chamfer'],
  'bead-broken': ['cause-too-little-cement', 'cause-small-applicator'],
  'window-missed': ['cause-cement-skinned'],
  'too-loose': ['cause-wrong-fitting'],
}
const causesOf = (findings: readonly Finding[]): ReturnType<typeof msg>[] =>
  findings.flatMap((f) => (CAUSES[f.code] ?? []).map((c) => msg(c)))
