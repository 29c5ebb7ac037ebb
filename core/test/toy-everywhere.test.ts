import {
  type Method,
  foldJob,
  gatesOf,
  jointFacts,
  lookOf,
  pieceCut,
  registerMethod,
  sectionAnswer,
  stopsForTest,
  type Line,
} from '../src/index.js'
import { LINE, SECTION, T0, joint, lineJob, uuid } from './make-job.js'
import { toyMethod } from './toy-method.js'

it('a method that only tests know goes through every place', () => {
  const take = registerMethod(toyMethod as Method)
  const log = lineJob(1, { size: 'd40', testBar: 4 })
  const lineEvent = log.events.find((e) => e.kind === 'line-set')
  if (lineEvent) lineEvent.data = { ...lineEvent.data, method: 'toy-clip', material: 'toy' }
  for (const [fitting, mm] of [
    ['tee', 30],
    ['elbow 90', 30],
  ] as const)
    log.put('take-off', { fitting, size: 'd40', takeOffMm: mm, takeOffTo: 'face' })
  const state = () => foldJob(log.events)
  const line = state().lines.get(LINE) as Line
  expect(pieceCut(state(), line, line.items[1] as Line['items'][number]).cutMm.value).toBe(900 - 60 + 40)
  expect(jointFacts(state(), joint(1), 'coldest', T0)?.nextStep?.id).toBe('clip')
  log.step(joint(1), 'clip', T0)
  log.step(joint(2), 'clip', T0 + 60)
  const at = (s: number) => sectionAnswer(state(), SECTION, s)
  const glyph = (s: number) => {
    const f = jointFacts(state(), joint(2), 'coldest', s)
    return f && lookOf(f, s, 4, false).glyph
  }
  expect([at(T0 + 100)?.allowedBar, at(T0 + 151)?.allowedBar, at(T0 + 151)?.readyAtS]).toEqual([
    0,
    5,
    T0 + 150,
  ])
  expect([glyph(T0 + 100), glyph(T0 + 151)]).toEqual(['set', 'loadable'])
  expect(gatesOf(state(), at(T0 + 200) as never).find((g) => g.id === 'cured')?.open).toBe(false)
  expect(stopsForTest(state(), SECTION, 4, 'air', T0 + 200).map((s) => s.code)).toEqual([
    'stop-gate-open',
    'stop-gate-open',
    'stop-gate-open',
  ])
  expect(uuid(1)).toHaveLength(36)
  take()
})
