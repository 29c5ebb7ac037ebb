import { type Data, type Handler, flagged, instant, num, str, strOrNull } from './fold-help.js'
import { append } from '../units/extent.js'
import type { JobState, Section, TestRun } from './state.js'

export const sectionOf = (s: JobState, id: string): Section => {
  let x = s.sections.get(id)
  if (!x)
    s.sections.set(
      id,
      (x = {
        id,
        tag: '',
        jointIds: [],
        workingBar: 0,
        testBar: 0,
        holdS: 0,
        allowedDropBar: 0,
        ratingBar: null,
        state: 'not known',
        stateAtS: null,
        gates: {},
        plan: null,
        parts: [],
        after: [],
      }),
    )
  return x
}
const object = (v: unknown): Data => (typeof v === 'object' && v !== null ? (v as Data) : {})
const axial = (v: unknown): 'free' | 'anchored' | null => (v === 'free' || v === 'anchored' ? v : null)
const medium = (v: unknown): 'water' | 'air' | 'nitrogen' => (v === 'air' || v === 'nitrogen' ? v : 'water')

function testOf(e: Parameters<Handler>[1], d: Data): TestRun {
  const physics = object(d.physics)
  return {
    id: str(d.testId),
    sectionId: str(d.sectionId),
    bar: num(d.bar) ?? 0,
    medium: medium(d.medium),
    holdS: num(d.holdS) ?? 0,
    allowedDropBar: num(d.allowedDropBar) ?? 0,
    resolutionBar: num(d.resolutionBar) ?? 0.1,
    gauge: str(d.gauge),
    gaugeDueOn: strOrNull(d.gaugeDueOn),
    tester: str(d.tester),
    begunAtS: e.occurredAtS,
    rule: strOrNull(d.rule),
    stages: Array.isArray(d.stages) ? (d.stages as TestRun['stages']) : [],
    stagesDone: [],
    stabiliseS: num(d.stabiliseS) ?? 0,
    sensorErrorBar: num(d.sensorErrorBar) ?? 0,
    temperatureOf: d.temperatureOf === 'medium' || d.temperatureOf === 'air' ? d.temperatureOf : 'wall',
    physics: d.physics
      ? {
          pipeMaterial: str(physics.pipeMaterial),
          odMm: num(physics.odMm),
          wallMm: num(physics.wallMm),
          axial: axial(physics.axial),
          airPct: num(physics.airPct),
          volumeM3: num(physics.volumeM3),
        }
      : null,
    setAside: Array.isArray(d.setAside) ? (d.setAside as TestRun['setAside']) : [],
    readings: [],
    leaks: [],
    ended: null,
  }
}

/** Readings stand in order of time; of one time and source the first counts, so that what is sent twice is once there. */
function addReadings(test: TestRun, rows: TestRun['readings']): void {
  const end = test.readings.at(-1)?.atS ?? -Infinity
  if (rows.every((r, i) => r.atS > (i ? (rows[i - 1] as { atS: number }).atS : end)))
    return append(test.readings, rows)
  const had = new Set(test.readings.map((r) => r.atS))
  const fresh = rows.filter((r) => !had.has(r.atS) && had.add(r.atS))
  if (!fresh.length) return
  const last = test.readings.at(-1)
  append(test.readings, fresh)
  if (last && fresh.some((r) => r.atS < last.atS)) test.readings.sort((a, b) => a.atS - b.atS)
}

/** Handlers of sections, tests and what follows them. */
export const PROVE_HANDLERS: Readonly<Record<string, Handler>> = {
  'section-set': (s, _e, d) => {
    Object.assign(sectionOf(s, str(d.sectionId)), {
      tag: str(d.tag),
      jointIds: Array.isArray(d.jointIds) ? d.jointIds.filter((x): x is string => typeof x === 'string') : [],
      workingBar: num(d.workingBar) ?? 0,
      testBar: num(d.testBar) ?? 0,
      holdS: num(d.holdS) ?? 0,
      allowedDropBar: num(d.allowedDropBar) ?? 0,
      ratingBar: num(d.ratingBar),
    })
  },
  'section-plan': (s, _e, d) => {
    sectionOf(s, str(d.sectionId)).plan = {
      rule: strOrNull(d.rule),
      designBar: num(d.designBar),
      medium: medium(d.medium),
      temperatureC: num(d.temperatureC),
      gaugeM: num(d.gaugeM),
      lowM: num(d.lowM),
      highM: num(d.highM),
      axial: axial(d.axial),
      airPct: num(d.airPct),
      stressRatio: num(d.stressRatio),
      valve: strOrNull(d.valve),
      keep: d.keep === 'full' || d.keep === 'empty' ? d.keep : null,
    }
  },
  'part-set': (s, _e, d) => {
    const section = sectionOf(s, str(d.sectionId))
    section.parts = section.parts.filter((p) => p.id !== str(d.partId))
    if (d.gone !== true)
      section.parts.push({
        id: str(d.partId),
        name: str(d.name),
        kind: str(d.kind),
        ratingBar: num(d.ratingBar) ?? 0,
        atM: num(d.atM),
      })
  },
  'section-state': (s, e, d) => {
    const section = sectionOf(s, str(d.sectionId))
    section.state = str(d.state) as Section['state']
    section.stateAtS = e.occurredAtS
  },
  gate: (s, e, d) =>
    void (sectionOf(s, str(d.sectionId)).gates[str(d.gate)] = {
      done: d.done === true,
      by: e.actorId,
      atS: e.occurredAtS,
      how: str(d.how),
    }),
  'tag-put': (s, e, d) =>
    void s.tags.set(str(d.tagId), {
      id: str(d.tagId),
      sectionId: str(d.sectionId),
      kind: str(d.kind),
      where: str(d.where),
      by: e.actorId,
      atS: e.occurredAtS,
      back: null,
    }),
  'tag-back': (s, e, d) => {
    const t = s.tags.get(str(d.tagId))
    if (!t) return flagged(s, e, 'flag-unknown-item')
    t.back ??= { by: e.actorId, atS: e.occurredAtS, how: str(d.how) }
  },
  'test-begun': (s, e, d) => void s.tests.set(str(d.testId), testOf(e, d)),
  'test-read': (s, e, d) => {
    const test = s.tests.get(str(d.testId))
    if (!test) return flagged(s, e, 'flag-unknown-item')
    addReadings(test, [
      {
        atS: instant(e, d.atS) ?? e.occurredAtS,
        bar: num(d.bar) ?? 0,
        temperatureC: num(d.temperatureC),
        typed: true,
      },
    ])
  },
  'test-log': (s, e, d) => {
    const test = s.tests.get(str(d.testId))
    if (!test) return flagged(s, e, 'flag-unknown-item')
    const rows = Array.isArray(d.rows) ? (d.rows as (number | null)[][]) : []
    addReadings(
      test,
      rows.map(([at, bar, c]) => ({
        atS: instant(e, at) ?? e.occurredAtS,
        bar: num(bar) ?? 0,
        temperatureC: num(c),
      })),
    )
  },
  'stage-done': (s, e, d) => {
    const test = s.tests.get(str(d.testId))
    const stage = num(d.stage)
    if (!test || stage === null || stage >= test.stages.length) return flagged(s, e, 'flag-unknown-item')
    if (test.ended || test.stagesDone.some((x) => x.stage === stage)) return
    test.stagesDone.push({ stage, by: e.actorId, atS: e.occurredAtS, note: str(d.note) })
  },
  'leak-seen': (s, e, d) => {
    const test = s.tests.get(str(d.testId))
    if (!test) return flagged(s, e, 'flag-unknown-item')
    test.leaks.push({ atS: e.occurredAtS, by: e.actorId, where: str(d.where) })
  },
  'test-ended': (s, e, d) => {
    const test = s.tests.get(str(d.testId))
    if (!test) return flagged(s, e, 'flag-unknown-item')
    // The first verdict is sealed: a second end is kept in the log and changes nothing.
    test.ended ??= {
      atS: e.occurredAtS,
      verdict: str(d.verdict) as 'held',
      dropBar: num(d.dropBar),
      rawDropBar: num(d.rawDropBar),
      uncertaintyBar: num(d.uncertaintyBar),
      leakRateLPerH: num(d.leakRateLPerH),
      by: e.actorId,
      note: str(d.note),
    }
  },
  'after-done': (s, e, d) =>
    void sectionOf(s, str(d.sectionId)).after.push({
      step: str(d.step),
      by: e.actorId,
      atS: e.occurredAtS,
      fromS: instant(e, d.fromS),
      how: str(d.how),
    }),
  'hold-point': (s, e, d) =>
    void s.holds.set(str(d.holdId), {
      id: str(d.holdId),
      sectionId: str(d.sectionId),
      name: str(d.name),
      who: str(d.who),
      atS: e.occurredAtS,
      answers: s.holds.get(str(d.holdId))?.answers ?? [],
    }),
  'hold-answered': (s, e, d) => {
    const hold = s.holds.get(str(d.holdId))
    if (!hold) return flagged(s, e, 'flag-unknown-item')
    hold.answers.push({
      answer: d.answer === 'go on' ? 'go on' : 'wait',
      by: e.actorId,
      atS: e.occurredAtS,
      note: str(d.note),
    })
  },
}
