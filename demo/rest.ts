import { type MadeLine, tellLine, tellMade } from './joints.js'
import { MORE_LINES } from './lines.js'
import { tellLine as tellSetOut } from './set-out.js'
import { HOUR_S, MIN_S, type Story } from './story.js'

const lineOf = (tag: string): MadeLine => {
  const line = MORE_LINES.find((one) => one.tag === tag)
  if (!line?.joined) throw new Error(`no line ${tag}`)
  return { tag, school: 'metric', ...line.joined }
}

/** What else was made in the wing: fused, flared and tube joints, and the clamps of the feed kitchen, in use already. */
export function tellRest(story: Story): void {
  MORE_LINES.forEach((line, at) => tellSetOut(story, line, story.begin + (106 + at) * MIN_S))
  const at = (hours: number): number => story.night + hours * HOUR_S
  tellLine(story, lineOf('PR'), at(-36), { who: 'Teal' }, true)
  tellLine(story, lineOf('PD'), at(-33), { who: 'Wren' })
  tellLine(story, lineOf('OZ'), at(-32), { who: 'Teal' })
  tellKitchen(story, at(-57))
}
/** The clamps: one gasket torn and changed; in use since the second day, and of two the torque was looked at again. */
function tellKitchen(story: Story, atS: number): void {
  const joints = tellLine(story, lineOf('ST'), atS, { who: 'Plover' })
  const [one, two, three, , five, six] = joints.map(({ id }) => id)
  if (!one || !two || !three || !five || !six) throw new Error('the kitchen line is too short')
  tellMade(story, lineOf('ST'), five, atS + 190 * MIN_S, { who: 'Plover' })
  const sectionId = story.id('section ST-A')
  story.tell('Rook', story.begin + 94 * MIN_S, 'section-set', {
    sectionId,
    tag: 'ST-A',
    jointIds: [one, two, three],
    workingBar: 3,
    testBar: 4.5,
    holdS: 3600,
    allowedDropBar: 0.1,
    ratingBar: 16,
  })
  const dayOf = (timeS: number): string => new Date(timeS * 1000).toISOString().slice(0, 10)
  const usedS = story.night - 30 * HOUR_S
  story.tell('Rook', usedS, 'in-use', { sectionId, fromOn: dayOf(usedS) })
  story.tell('Rook', usedS + MIN_S, 'care-interval', {
    sectionId,
    care: 'sanitary-clamp/gasket',
    openings: 50,
    reference: 'the kitchen\u2019s rule',
  })
  const again = story.night - 14 * HOUR_S
  for (const [at, [ofId, foundNm]] of (
    [
      [one, 2.4],
      [two, 3.6],
    ] as const
  ).entries())
    story.tell('Plover', again + at * 4 * MIN_S, 'care-done', {
      sectionId,
      care: 'sanitary-clamp/torque-hot',
      ofId,
      good: true,
      foundNm,
      leftNm: 4,
    })
}
