import {
  type Line,
  foldJob,
  jointFacts,
  lookOf,
  pieceCut,
  sectionAnswer,
  stopsForTest,
} from '../src/index.js'
import { LINE, SECTION, T0, type Log, joint, lineJob } from './make-job.js'
import { STORIES, type Story, WALL_C } from './life-stories.js'

function begun(story: Story): Log {
  const log = lineJob(1, { size: story.size, testBar: 4 })
  const line = log.events.find((e) => e.kind === 'line-set')
  if (line) {
    const { method, material, details } = story
    line.data = { ...line.data, method, material, ...(details ? { details } : {}) }
  }
  for (const what of ['wall', 'air'])
    for (let h = 0; h < 40; h++)
      log.put('reading', {
        placeId: line?.data.placeId,
        what,
        basis: 'measured',
        atS: T0 + h * 3600,
        value: WALL_C,
      })
  return log
}
/** Each step where it belongs in time: windows kept, exact times met. */
const PACE_S = 11
const paceOf = (story: Story): number => (story.method === 'flare' ? 25 : PACE_S)
function made(log: Log, story: Story, n: number, readings: Record<string, unknown> = {}): number {
  let at = T0 + 600
  let madeAt = at
  for (const [step, own] of Object.entries(story.steps)) {
    const swapped = Object.fromEntries(
      Object.entries(own).map(([k, v]) => [k, k in readings ? readings[k] : v]),
    )
    log.step(joint(n), step, at, swapped)
    const facts = jointFacts(foldJob(log.events), joint(n), 'coldest', at)
    if (facts?.steps.find((s) => s.id === step)?.reaches === 'made') madeAt = at
    at += paceOf(story)
  }
  return madeAt
}
const factsOf = (log: Log, n: number, atS: number) =>
  jointFacts(foldJob(log.events), joint(n), 'coldest', atS) as NonNullable<ReturnType<typeof jointFacts>>

describe.each(STORIES.map((s) => [s.method, s] as const))('a joint by %s', (_name, story) => {
  it('is read from its line, and its piece is cut with what goes in', () => {
    const log = begun(story)
    const facts = factsOf(log, 1, T0)
    expect(facts.spec).not.toBeNull()
    expect(facts.steps.map((s) => s.id)).toEqual(Object.keys(story.steps))
    const state = foldJob(log.events)
    const line = state.lines.get(LINE) as Line
    const end = pieceCut(state, line, line.items[1] as Line['items'][number]).ends[0]
    if (story.insertsMm !== null) expect(end.depthMm?.value).toBeCloseTo(story.insertsMm, 9)
  })
  it('shows its state step by step', () => {
    const log = begun(story)
    const glyphs: string[] = []
    let at = T0 + 600
    for (const [step, readings] of Object.entries(story.steps)) {
      log.step(joint(1), step, at, readings)
      glyphs.push(lookOf(factsOf(log, 1, at + 1), at + 1, 4, false).glyph)
      at += paceOf(story)
    }
    expect(glyphs).toEqual(story.glyphs)
  })
  it('passes when every reading is good, and bears when its rule says', () => {
    const log = begun(story)
    const madeAt = Math.max(made(log, story, 1), made(log, story, 2))
    expect(factsOf(log, 1, madeAt + 60).inspection).toMatchObject({ verdict: 'pass', unread: [] })
    const answer = sectionAnswer(foldJob(log.events), SECTION, madeAt + 60)
    expect(answer?.readyAtS).toBe(story.readyS === null ? null : madeAt + story.readyS)
    expect(answer?.allowedBar).toBe(story.readyS === 0 ? null : 0)
    const late = sectionAnswer(foldJob(log.events), SECTION, madeAt + 30 * 3600)
    expect(late?.allowedBar).toBeNull()
  })
  it.each(story.bad)('%p: %s', (readings, verdict) => {
    const log = begun(story)
    const madeAt = made(log, story, 1, readings)
    made(log, story, 2)
    expect(factsOf(log, 1, madeAt + 60).inspection?.verdict).toBe(verdict)
    if (verdict === 'fail')
      expect(sectionAnswer(foldJob(log.events), SECTION, madeAt + 30 * 3600)?.allowedBar).toBe(0)
  })
  for (const [readings, code] of story.warned ?? [])
    it(`${JSON.stringify(readings)}: warned of, and good all the same`, () => {
      const log = begun(story)
      const inspection = factsOf(log, 1, made(log, story, 1, readings) + 60).inspection
      expect([inspection?.verdict, inspection?.findings.map((f) => f.code)]).toEqual(['pass', [code]])
    })
  it.each(story.bad)('%p: a way leads to judged good, or to a new life', (readings) => {
    const log = begun(story)
    let at = made(log, story, 1, readings) + 600
    const facts = factsOf(log, 1, at)
    const next = facts.inspection?.next as { step?: string; do?: string }
    expect(next).not.toEqual({ do: 'measure' })
    expect(next).not.toEqual({ do: 'nothing' })
    if (next.step) {
      log.step(joint(1), next.step, at, { ...story.steps[next.step], again: true })
      // What was done again is looked at again.
      for (let open = factsOf(log, 1, at).nextStep; open; open = factsOf(log, 1, at).nextStep) {
        at += paceOf(story)
        log.step(joint(1), open.id, at, story.steps[open.id])
      }
    } else {
      log.put('cut-out', { life: 1, reason: 'judged failed' }, { jointId: joint(1), atS: at })
      for (const [step, own] of Object.entries(story.steps)) {
        at += paceOf(story)
        log.step(joint(1), step, at, own, 2)
      }
    }
    expect(factsOf(log, 1, at + 60).inspection?.verdict).toBe('pass')
  })
  it('windows missed by minutes fail, a hold broken off is a doubt', () => {
    const log = begun(story)
    const ids = Object.keys(story.steps)
    ids.forEach((step, i) => log.step(joint(1), step, T0 + 600 + i * 3 * 3600, story.steps[step]))
    const slow = factsOf(log, 1, T0 + 30 * 3600)
    const windows = slow.clocks.filter((c) => c.kind === 'window' && c.untilS.value !== null)
    expect(slow.inspection?.findings.filter((f) => f.code === 'too-late')).toHaveLength(windows.length)
    const hasty = begun(story)
    ids.forEach((step, i) => hasty.step(joint(1), step, T0 + 600 + i, story.steps[step]))
    const dwells = factsOf(hasty, 1, T0 + 900).clocks.filter(
      (c) => c.kind === 'dwell' && c.stoppedAtS !== undefined,
    )
    const said = factsOf(hasty, 1, T0 + 900).inspection
    expect(said?.findings.filter((f) => f.code === 'too-soon')).toHaveLength(dwells.length)
    if (dwells.length) expect(said?.verdict).toBe('unknown')
  })
  it('a test before it is made is refused', () => {
    const log = begun(story)
    const codes = stopsForTest(foldJob(log.events), SECTION, 4, 'water', T0 + 700).map((s) => s.code)
    expect(codes.length).toBeGreaterThan(0)
  })
})
