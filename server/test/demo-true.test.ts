import {
  type JobState,
  type JointFacts,
  allFacts,
  allMethods,
  certificateOf,
  draftFault,
  foldJob,
  judgeRun,
  lookOf,
  sectionAnswer,
  stopsForTest,
  upkeepOf,
} from '@jugalis/core'
import { tellHarrow } from '../../demo/harrow/world.js'
import { HARROW, KELPWICK, type World } from '../../demo/ids.js'
import { type Told, asEvent } from '../../demo/story.js'
import { tellStory } from '../../demo/world.js'

/** Both worlds are dated from the hour they are started at: what they show must be true at any. */
const WORLDS: readonly [name: string, World, (nowS: number) => Told[]][] = [
  [KELPWICK.name, KELPWICK, tellStory],
  [HARROW.name, HARROW, tellHarrow],
]
const HOURS = [0, 5, 9, 14, 19].flatMap((hour) =>
  [Date.UTC(2026, 10, 23), Date.UTC(2027, 6, 1)].map((day) => day / 1000 + hour * 3600 + 1234),
)
function seen(world: World, tell: (nowS: number) => Told[], nowS: number) {
  const told = tell(nowS).sort((one, other) => one.atS - other.atS)
  const events = told.map((one) => asEvent(one, world))
  const state: JobState = foldJob(events)
  const facts = allFacts(state, nowS)
  return { told, events, state, facts }
}

describe.each(WORLDS)('%s', (_name, world, tell) => {
  it.each(HOURS)('started at %s: nothing in it contradicts its own rules', (nowS) => {
    const { told, events, state, facts } = seen(world, tell, nowS)
    expect(told.filter(({ atS }) => atS > nowS)).toEqual([])
    expect(told.map(({ draft }) => draftFault(draft, 'x')).filter(Boolean)).toEqual([])
    expect(state.notes).toEqual([])
    // What was done counts: no step stands without the one before it.
    expect([...facts.values()].filter(({ doubtful }) => doubtful).map(({ tag }) => tag)).toEqual([])
    // A joint that was cut out had failed, or its test had.
    const bad = [...facts.values()].filter(({ inspection }) => inspection?.verdict === 'fail')
    expect(
      bad.map((joint) => lookOf(joint, nowS, 0, false).glyph).filter((glyph) => glyph !== 'failed'),
    ).toEqual([])
    events.forEach((event, at) => {
      if (event.kind !== 'test-begun') return
      const before = foldJob(events.slice(0, at))
      const { sectionId, bar, medium } = event.data
      expect(stopsForTest(before, String(sectionId), Number(bar), String(medium), event.occurredAtS)).toEqual(
        [],
      )
    })
    // A section is proved exactly where its last test was held and all its joints are made and good.
    for (const id of state.sections.keys()) {
      const answer = sectionAnswer(state, id, nowS, 'coldest')
      const held = answer?.lastTest?.ended?.verdict === 'held'
      expect([answer?.section.tag, answer?.proved]).toEqual([answer?.section.tag, held])
      if (answer?.proved) expect(answer.blockers).toEqual([])
    }
    for (const { id, ended } of state.tests.values())
      expect(certificateOf(state, id, { seq: 1, hash: '' })?.test.ended?.verdict).toBe(ended?.verdict)
    // Nothing is in use before it was made.
    const days = upkeepOf(state, facts).flatMap(({ items }) => items.filter(({ dueOn }) => dueOn !== null))
    expect(days.length).toBeGreaterThan(0)
  })
})
it('the verdicts of the light are those its readings lead to: held, lost and one that nobody can tell', () => {
  const { state } = seen(HARROW, tellHarrow, HOURS[3] ?? 0)
  const verdicts = [...state.tests.values()].map((run) => [run.ended?.verdict, judgeRun(state, run).verdict])
  expect(verdicts.filter(([said, judged]) => said !== judged)).toEqual([])
  expect(new Set(verdicts.map(([said]) => said))).toEqual(new Set(['held', 'lost', 'inconclusive']))
})
it('between them they show every way of joining: made, waiting, failed and made again', () => {
  const both = WORLDS.flatMap(([, world, tell]) => [...seen(world, tell, HOURS[3] ?? 0).facts.values()])
  const shown = (is: (joint: JointFacts) => boolean): string[] =>
    allMethods()
      .map(({ id }) => id)
      .filter((id) => !both.some((joint) => joint.method?.id === id && is(joint)))
  expect([
    shown(({ inspection }) => inspection?.verdict === 'pass'),
    shown(({ homeAtS, life }) => homeAtS === null && !life?.done.length),
    shown(({ method, spec, past, life, ctx }) =>
      [...past, ...(life ? [life] : [])].some((one) => method?.inspection(spec, one, ctx).verdict === 'fail'),
    ),
    shown(({ past, homeAtS }) => past.length > 0 && homeAtS !== null),
  ]).toEqual([[], [], [], []])
})
