import fc from 'fast-check'
import {
  type AllFacts,
  type CureMode,
  type SectionAnswer,
  answerFor,
  answerOn,
  factsOn,
  foldFrom,
  foldJob,
  foldOn,
  jointFacts,
} from '../src/index.js'
import { anyEvents, logOf, plain } from './any-log.js'
import { PLACE, SECTION, T0, joint, lineJob, walls } from './make-job.js'

const MODES: readonly CureMode[] = ['coldest', 'accumulate']

describe('facts and answers that go on from those before', () => {
  it('a property: they are those of a job that is looked at for the first time', () =>
    fc.assert(
      fc.property(
        anyEvents,
        fc.array(fc.nat({ max: 9000 }), { minLength: 2, maxLength: 6 }),
        (raw, steps) => {
          const events = logOf(raw.map((r, i) => (r.ref % 9 ? { ...r, atS: 1000 + i * 400 } : r)))
          let at = Math.max(1, events.length - 3 * steps.length)
          let folded = foldFrom(events.slice(0, at))
          let had: Partial<Record<CureMode, AllFacts>> = {}
          let answer: SectionAnswer | null = null
          let nowS = T0
          for (const later of steps) {
            nowS += later
            for (const mode of MODES) {
              had = { ...had, [mode]: factsOn(had[mode] ?? null, folded.state, mode, nowS) }
              const anew = factsOn(null, foldJob(events.slice(0, at)), mode, nowS)
              expect(plain(had[mode]?.all)).toBe(plain(anew.all))
            }
            const section = folded.state.sections.get(SECTION)
            if (section) {
              answer = answerOn(answer, folded.state, section, nowS, 'coldest', had.coldest?.all)
              const fresh = foldJob(events.slice(0, at))
              const anew = answerFor(fresh, fresh.sections.get(SECTION) ?? section, nowS)
              expect(plain(answer)).toBe(plain(anew))
            }
            const next = Math.min(events.length, at + 3)
            folded = foldOn(folded, events.slice(at, next)) ?? foldFrom(events.slice(0, next))
            at = next
          }
        },
      ),
      { numRuns: 100 },
    ))

  const madeTwo = () => {
    const log = lineJob(3)
    walls(log, T0 - 7200, [15, 15, 15])
    log.make(joint(1), T0)
    log.make(joint(2), T0 + 300)
    return log
  }
  it('an entry about one joint leaves the facts of all others the very objects they were', () => {
    const log = madeTwo()
    const folded = foldFrom(log.events)
    const had = factsOn(null, folded.state, 'coldest', T0 + 900)
    log.step(joint(3), 'fit', T0 + 900)
    const state = foldOn(folded, log.events.slice(-1))?.state
    const next = factsOn(had, state ?? folded.state, 'coldest', T0 + 900)
    expect(next.all.get(joint(1))).toBe(had.all.get(joint(1)))
    expect(next.all.get(joint(3))).not.toBe(had.all.get(joint(3)))
    expect(next.all.get(joint(3))?.life?.done).toHaveLength(1)
  })
  it('time that passes changes nothing until the conditions of a joint that is not begun are others', () => {
    const log = madeTwo()
    const { state } = foldFrom(log.events)
    const had = factsOn(null, state, 'coldest', T0 + 900)
    expect(factsOn(had, state, 'coldest', T0 + 905)).toBe(had)
    const dark = factsOn(had, state, 'coldest', T0 + 20_000)
    expect(dark.all.get(joint(3))?.ctx.wallC).toBeNull()
    expect(dark.all.get(joint(1))).toBe(had.all.get(joint(1)))
  })
  it('an answer stands while its own joints do, and not a second longer', () => {
    const log = madeTwo()
    log.put('place-set', { placeId: PLACE, name: 'x' })
    const { state } = foldFrom(log.events)
    const section = state.sections.get(SECTION)
    if (!section) throw new Error('no section')
    const { all } = factsOn(null, state, 'coldest', T0 + 900)
    const first = answerOn(null, state, section, T0 + 900, 'coldest', all)
    expect(answerOn(first, state, section, T0 + 900, 'coldest', new Map(all))).toBe(first)
    expect(answerOn(first, state, section, T0 + 905, 'coldest', all)).not.toBe(first)
    const cold = jointFacts(state, joint(1), 'accumulate', T0 + 900)
    const other = answerOn(
      first,
      state,
      section,
      T0 + 900,
      'coldest',
      new Map([...all, [joint(1), cold as never]]),
    )
    expect(other).not.toBe(first)
  })
})
