import { draftFault, foldJob, sectionAnswer, stopsForTest } from '@jugalis/core'
import { KELPWICK } from '../../demo/ids.js'
import { asEvent } from '../../demo/story.js'
import { tellStory } from '../../demo/world.js'

/** The demo is dated from the hour it is started at: it must hold at every one, in winter and in summer. */
const DAYS = [
  ['winter', Date.UTC(2026, 10, 23) / 1000],
  ['summer', Date.UTC(2027, 6, 1) / 1000],
] as const
for (const [season, day] of DAYS)
  it.each(Array.from({ length: 24 }, (_, h) => h))(
    `the demo story holds when it is started at %p:20, ${season}`,
    (hour) => {
      const now = day + hour * 3600 + 1234
      const story = tellStory(now).sort((a, b) => a.atS - b.atS)
      const events = story.map((told) => asEvent(told, KELPWICK))
      expect(story.filter((t) => t.atS > now)).toEqual([])
      events.forEach((e, i) => {
        expect(draftFault(story[i]?.draft, 'x')).toBeNull()
        if (e.kind === 'test-begun')
          expect(
            stopsForTest(
              foldJob(events.slice(0, i)),
              String(e.data.sectionId),
              Number(e.data.bar),
              String(e.data.medium),
              e.occurredAtS,
            ),
          ).toEqual([])
      })
      const state = foldJob(events)
      const [q1, q2] = [...state.sections.keys()].map((id) => sectionAnswer(state, id, now))
      expect(q1?.proved).toBe(true)
      expect(q2?.blockers.map((b) => b.says)).toEqual(
        ['Q2-07', 'Q2-08'].map((tag) => ({ code: 'not-made', params: { joint: tag } })),
      )
      expect(q2?.holdsBack?.facts.tag).toBe('Q2-06')
      expect(q2?.moved?.temperatureC).toBe(7)
      expect(q2?.joints.filter((j) => j.facts.life && j.look.life > 1).map((j) => j.facts.tag)).toEqual([
        'Q2-04',
      ])
    },
  )
