import { type Data, type Handler, flagged, instant, num, str, strOrNull } from './fold-help.js'
import { append } from '../units/extent.js'
import type { JobState, Section, TestRun } from './state.js'
import { blankSection } from './state-prove.js'

/** The section of an id, made where it is not there yet. */
export const sectionOf = (state: JobState, id: string): Section => {
  const known = state.sections.get(id)
  if (known) return known
  const section = blankSection(id)
  state.sections.set(id, section)
  return section
}
const object = (v: unknown): Data => (typeof v === 'object' && v !== null ? (v as Data) : {})
const axial = (v: unknown): 'free' | 'anchored' | null => (v === 'free' || v === 'anchored' ? v : null)
const medium = (v: unknown): 'water' | 'air' | 'nitrogen' => (v === 'air' || v === 'nitrogen' ? v : 'water')

function testOf(event: Parameters<Handler>[1], data: Data): TestRun {
  const physics = object(data.physics)
  return {
    id: str(data.testId),
    sectionId: str(data.sectionId),
    bar: num(data.bar) ?? 0,
    medium: medium(data.medium),
    holdS: num(data.holdS) ?? 0,
    allowedDropBar: num(data.allowedDropBar) ?? 0,
    resolutionBar: num(data.resolutionBar) ?? 0.1,
    gauge: str(data.gauge),
    gaugeDueOn: strOrNull(data.gaugeDueOn),
    tester: str(data.tester),
    by: event.actorId,
    begunAtS: event.occurredAtS,
    rule: strOrNull(data.rule),
    stages: Array.isArray(data.stages) ? (data.stages as TestRun['stages']) : [],
    stagesDone: [],
    stabiliseS: num(data.stabiliseS) ?? 0,
    sensorErrorBar: num(data.sensorErrorBar) ?? 0,
    temperatureOf:
      data.temperatureOf === 'medium' || data.temperatureOf === 'air' ? data.temperatureOf : 'wall',
    physics: data.physics
      ? {
          pipeMaterial: str(physics.pipeMaterial),
          odMm: num(physics.odMm),
          wallMm: num(physics.wallMm),
          axial: axial(physics.axial),
          airPct: num(physics.airPct),
          volumeM3: num(physics.volumeM3),
        }
      : null,
    setAside: Array.isArray(data.setAside) ? (data.setAside as TestRun['setAside']) : [],
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
  'section-set': (state, _e, data) => {
    Object.assign(sectionOf(state, str(data.sectionId)), {
      tag: str(data.tag),
      jointIds: Array.isArray(data.jointIds)
        ? data.jointIds.filter((x): x is string => typeof x === 'string')
        : [],
      workingBar: num(data.workingBar) ?? 0,
      testBar: num(data.testBar) ?? 0,
      holdS: num(data.holdS) ?? 0,
      allowedDropBar: num(data.allowedDropBar) ?? 0,
      ratingBar: num(data.ratingBar),
    })
  },
  'section-plan': (state, _e, data) => {
    sectionOf(state, str(data.sectionId)).plan = {
      rule: strOrNull(data.rule),
      designBar: num(data.designBar),
      medium: medium(data.medium),
      temperatureC: num(data.temperatureC),
      gaugeM: num(data.gaugeM),
      lowM: num(data.lowM),
      highM: num(data.highM),
      axial: axial(data.axial),
      airPct: num(data.airPct),
      stressRatio: num(data.stressRatio),
      valve: strOrNull(data.valve),
      keep: data.keep === 'full' || data.keep === 'empty' ? data.keep : null,
    }
  },
  'part-set': (state, _e, data) => {
    const section = sectionOf(state, str(data.sectionId))
    section.parts = section.parts.filter((p) => p.id !== str(data.partId))
    if (data.gone !== true)
      section.parts.push({
        id: str(data.partId),
        name: str(data.name),
        kind: str(data.kind),
        ratingBar: num(data.ratingBar) ?? 0,
        atM: num(data.atM),
      })
  },
  'section-state': (state, event, data) => {
    const section = sectionOf(state, str(data.sectionId))
    section.state = str(data.state) as Section['state']
    section.stateAtS = event.occurredAtS
  },
  gate: (state, event, data) =>
    void (sectionOf(state, str(data.sectionId)).gates[str(data.gate)] = {
      done: data.done === true,
      by: event.actorId,
      atS: event.occurredAtS,
      how: str(data.how),
    }),
  'tag-put': (state, event, data) =>
    void state.tags.set(str(data.tagId), {
      id: str(data.tagId),
      sectionId: str(data.sectionId),
      kind: str(data.kind),
      where: str(data.where),
      by: event.actorId,
      atS: event.occurredAtS,
      back: null,
    }),
  'tag-back': (state, event, data) => {
    const tag = state.tags.get(str(data.tagId))
    if (!tag) return flagged(state, event, 'flag-unknown-item')
    tag.back ??= { by: event.actorId, atS: event.occurredAtS, how: str(data.how) }
  },
  'test-begun': (s, e, d) => void s.tests.set(str(d.testId), testOf(e, d)),
  'test-read': (state, event, data) => {
    const test = state.tests.get(str(data.testId))
    if (!test) return flagged(state, event, 'flag-unknown-item')
    addReadings(test, [
      {
        atS: instant(event, data.atS) ?? event.occurredAtS,
        bar: num(data.bar) ?? 0,
        temperatureC: num(data.temperatureC),
        typed: true,
      },
    ])
  },
  'test-log': (state, event, data) => {
    const test = state.tests.get(str(data.testId))
    if (!test) return flagged(state, event, 'flag-unknown-item')
    const rows = Array.isArray(data.rows) ? (data.rows as (number | null)[][]) : []
    addReadings(
      test,
      rows.map(([at, bar, temperatureC]) => ({
        atS: instant(event, at) ?? event.occurredAtS,
        bar: num(bar) ?? 0,
        temperatureC: num(temperatureC),
      })),
    )
  },
  'stage-done': (state, event, data) => {
    const test = state.tests.get(str(data.testId))
    const stage = num(data.stage)
    if (!test || stage === null || stage >= test.stages.length)
      return flagged(state, event, 'flag-unknown-item')
    if (test.ended || test.stagesDone.some((x) => x.stage === stage)) return
    test.stagesDone.push({ stage, by: event.actorId, atS: event.occurredAtS, note: str(data.note) })
  },
  'leak-seen': (state, event, data) => {
    const test = state.tests.get(str(data.testId))
    if (!test) return flagged(state, event, 'flag-unknown-item')
    test.leaks.push({ atS: event.occurredAtS, by: event.actorId, where: str(data.where) })
  },
  'test-ended': (state, event, data) => {
    const test = state.tests.get(str(data.testId))
    if (!test) return flagged(state, event, 'flag-unknown-item')
    // The first verdict is sealed: a second end is kept in the log and changes nothing.
    test.ended ??= {
      atS: event.occurredAtS,
      verdict: str(data.verdict) as 'held',
      dropBar: num(data.dropBar),
      rawDropBar: num(data.rawDropBar),
      uncertaintyBar: num(data.uncertaintyBar),
      leakRateLPerH: num(data.leakRateLPerH),
      by: event.actorId,
      reason: str(data.reason),
      note: str(data.note),
    }
  },
  'after-done': (state, event, data) =>
    void sectionOf(state, str(data.sectionId)).after.push({
      step: str(data.step),
      by: event.actorId,
      atS: event.occurredAtS,
      fromS: instant(event, data.fromS),
      how: str(data.how),
    }),
  'hold-point': (state, event, data) =>
    void state.holds.set(str(data.holdId), {
      id: str(data.holdId),
      sectionId: str(data.sectionId),
      name: str(data.name),
      who: str(data.who),
      atS: event.occurredAtS,
      answers: state.holds.get(str(data.holdId))?.answers ?? [],
    }),
  'hold-answered': (state, event, data) => {
    const hold = state.holds.get(str(data.holdId))
    if (!hold) return flagged(state, event, 'flag-unknown-item')
    hold.answers.push({
      answer: data.answer === 'go on' ? 'go on' : 'wait',
      by: event.actorId,
      atS: event.occurredAtS,
      note: str(data.note),
    })
  },
}
