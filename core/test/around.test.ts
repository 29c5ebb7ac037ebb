import { ASKED_FACTS, KINDS, foldJob, jointFacts, jointPlaces, saidOf, unsaid } from '../src/index.js'
import { firstFault, yupOf } from '../src/schema/shape.js'
import { LINE, type Log, T0, joint, lineJob, uuid } from './make-job.js'

function lineOf(how: Record<string, unknown>, fittings?: readonly string[]): Log {
  const log = lineJob(2, { size: how.size as string })
  const line = log.events.find((e) => e.kind === 'line-set')
  if (line) line.data = { ...line.data, ...how }
  log.events
    .filter((e) => (e.data.item as { type?: string } | undefined)?.type === 'fitting')
    .forEach((e, i) => {
      const fitting = fittings?.[i]
      if (fitting) e.data = { ...e.data, item: { ...(e.data.item as object), fitting } }
    })
  return log
}
const PRESS = { method: 'press', material: 'carbon-steel', size: 'd22' }
const SOLDER = { method: 'solder', material: 'copper', size: 'd22' }

describe('what is said of a joint\u2019s surroundings', () => {
  const at = (log: Log, n: number) => {
    const state = foldJob(log.events)
    const place = jointPlaces(state).get(joint(n))
    if (!place) throw new Error('no such joint')
    return { said: saidOf(state, place), open: unsaid(state, place) }
  }
  it('is asked until it was said, for the line; a joint that differs says so itself', () => {
    const log = lineOf(PRESS)
    expect(at(log, 1).open).toEqual(['medium', 'seal', 'beside', 'lubricant'])
    log.put('around-said', { lineId: LINE, said: { medium: 'heating-water', seal: 'EPDM' } })
    log.put('around-said', { lineId: LINE, jointId: joint(2), said: { seal: 'FKM', lubricant: 'not-known' } })
    expect(at(log, 1)).toEqual({
      said: { medium: 'heating-water', seal: 'EPDM' },
      open: ['beside', 'lubricant'],
    })
    expect(at(log, 2)).toEqual({
      said: { medium: 'heating-water', seal: 'FKM', lubricant: 'not-known' },
      open: ['beside'],
    })
  })
  it('outlives a line that is set again, and its own undoing takes it back', () => {
    const log = lineOf(PRESS)
    const said = log.put('around-said', { lineId: LINE, said: { medium: 'steam' } })
    log.put('line-set', { ...log.events.find((e) => e.kind === 'line-set')?.data, name: 'Other' })
    expect(at(log, 1).said).toEqual({ medium: 'steam' })
    log.put('correction', { target: said, undo: true })
    expect(at(log, 1).said).toEqual({})
  })
  it('of what nobody asks, or cannot answer, nothing is kept', () => {
    const log = lineOf(PRESS)
    log.put('around-said', { lineId: LINE, said: { medium: 'lemonade', colour: 'red', seal: 7 } })
    log.put('around-said', { lineId: uuid(777), said: { medium: 'steam' } })
    expect(at(log, 1).said).toEqual({})
    const shape = { type: 'object' as const, fields: [...(KINDS['around-said']?.fields ?? [])] }
    expect(firstFault(shape, yupOf(shape), { lineId: LINE, said: { medium: 'lemonade' } })?.field).toBe(
      'said.medium',
    )
    expect(Object.keys(at(log, 1).said)).toEqual([])
    expect(ASKED_FACTS.length).toBeGreaterThan(12)
  })
  it('speaks: the rules of choice of this joint go by it', () => {
    const log = lineOf(PRESS)
    log.put('around-said', { lineId: LINE, said: { medium: 'drinking-water' } })
    const state = foldJob(log.events)
    const facts = jointFacts(state, joint(1), 'coldest', T0)
    const codes = facts?.method
      ?.selection(facts.spec, saidOf(state, facts.place), facts.ctx)
      .map((f) => f.code)
    expect(codes).toContain('choice-press-drinking-steel')
  })
})

describe('a part in the line says what its joint is', () => {
  const stepsAt = (log: Log, n: number) => {
    const facts = jointFacts(foldJob(log.events), joint(n), 'coldest', T0)
    return facts?.steps.flatMap((s) => s.reads.filter((r) => r.asked).map((r) => r.key))
  }
  // Joints 1 and 4 go into the first and the last fitting, 2 and 3 into the one between.
  const log = lineOf(SOLDER, ['union', 'valve', 'gate valve'])
  it('a union asks for its nut, a ball valve how it stands; a plain fitting nothing', () => {
    expect(stepsAt(log, 1)).toEqual(['unionNut'])
    expect([stepsAt(log, 2), stepsAt(log, 3)]).toEqual([['valvePosition'], ['valvePosition']])
    expect(stepsAt(lineOf(SOLDER), 1)).toEqual([])
  })
  it('a joint begun before the rules knew that stays as it was', () => {
    const old = lineOf(SOLDER, ['union', 'valve', 'gate valve'])
    old.step(joint(1), 'fit', T0)
    expect(stepsAt(old, 1)).toEqual([])
  })
})
