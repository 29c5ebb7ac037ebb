import { foldJob, ladderAt, lookAt, sectionAnswer } from '../src/index.js'
import { SECTION, T0 } from './make-job.js'
import { H, ready } from './proving-job.js'

describe('a section at another time', () => {
  const state = foldJob(ready().events)
  const at = (hours: number) => {
    const answer = sectionAnswer(state, SECTION, T0 + hours * H, 'coldest')
    if (!answer) throw new Error('no section')
    return answer
  }
  it('the ladder of now says of later what the ladder of later says of itself', () => {
    const now = at(2)
    for (const hours of [2, 4, 7.5, 9, 12, 30]) {
      const then = ladderAt(now.ladder, T0 + hours * H)
      expect(then.allowedBar).toBeCloseTo(at(hours).ladder.allowedBar ?? NaN, 9)
      expect(then.heldBy).toBe(at(hours).ladder.heldBy)
    }
    expect(
      new Set([2, 4, 9, 30].map((hours) => ladderAt(now.ladder, T0 + hours * H).allowedBar)).size,
    ).toBeGreaterThan(2)
    expect(ladderAt(now.ladder, T0 - 1000 * H)).toEqual({ allowedBar: 0, heldBy: null })
  })
  it('a joint fills as it cures, as it would if one waited; before it was home it was not made', () => {
    const [joint] = at(2).joints
    if (!joint) throw new Error('no joint')
    const home = joint.facts.homeAtS as number
    const glyphs = [0.5, 3, 6, 8, 40].map((hours) => lookAt(joint.facts, home + hours * H, 9, false).glyph)
    expect(glyphs).toEqual(
      [0.5, 3, 6, 8, 40].map((hours) => {
        const then = sectionAnswer(state, SECTION, home + hours * H, 'coldest')?.joints[0]
        return then?.look.glyph
      }),
    )
    expect(new Set(glyphs).size).toBeGreaterThan(3)
    expect(lookAt(joint.facts, home - 60, 9, true).glyph).toBe('planned')
  })
})
