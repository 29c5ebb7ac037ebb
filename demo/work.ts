import { TIN, idOf } from './ids.js'
import { HOUR_S, MIN_S, type Story } from './story.js'

const PIN = { rules: 1, chart: null, school: 'metric', table: 'current' }

/** The first pieces of a line, cut one after the other. */
export function tellCuts(story: Story, tag: string, atS: number, lengthsMm: readonly number[]): void {
  story
    .line(tag)
    .items.filter((i) => i.type === 'piece')
    .slice(0, lengthsMm.length)
    .forEach((p, i) => story.tell('Wren', atS + i * 240, 'piece-cut', { itemId: p.id, cutMm: lengthsMm[i] }))
}
/** One joint as it is normally made: fits, cement, home, check mark. */
export function tellJoint(
  story: Story,
  who: string,
  jointId: string,
  atS: number,
  { life = 1, checkMm }: { life?: number; checkMm: number },
): void {
  const step = (name: string, afterS: number, readings = {}, more = {}): void =>
    story.tell(who, atS + afterS, 'step-done', { life, step: name, readings, shown: [], ...more }, jointId)
  step('fit', 0, {}, { pin: PIN, tinId: TIN })
  step('cement', 150)
  step('home', 231)
  step('judge', 330, { checkMm, bead: 'all-round' })
}
export function tellBegun(story: Story, who: string, jointId: string, atS: number): void {
  const data = { life: 1, step: 'fit', readings: {}, shown: [], pin: PIN, tinId: TIN }
  story.tell(who, atS, 'step-done', data, jointId)
}
export function tellGates(story: Story, sectionId: string, atS: number): void {
  story.tell('Plover', atS, 'section-state', { sectionId, state: 'full' })
  for (const [i, gate] of ['supports', 'vents', 'isolated', 'gauge', 'people'].entries())
    story.tell('Plover', atS + 60 + i * 30, 'gate', { sectionId, gate, done: true, how: 'looked at' })
}
/** A test of an hour, read every twelve minutes. */
export function tellTest(
  story: Story,
  name: string,
  sectionId: string,
  atS: number,
  { bars, verdict, dropBar }: { bars: readonly number[]; verdict: string; dropBar: number },
): void {
  const testId = idOf(`test ${name}`)
  story.tell('Plover', atS, 'test-begun', {
    testId,
    sectionId,
    bar: 12,
    medium: 'water',
    holdS: 3600,
    allowedDropBar: 0.2,
    resolutionBar: 0.05,
    gauge: 'G-07, 0 to 25 bar',
    tester: 'Plover',
  })
  bars.forEach((bar, i) => {
    const readAtS = atS + i * 720
    const temperatureC = 13.2 + (i % 2) * 0.1
    story.tell('Plover', readAtS, 'test-read', { testId, atS: readAtS, bar, temperatureC })
  })
  story.tell('Plover', atS + bars.length * 720, 'test-ended', { testId, verdict, dropBar })
}

/** The feed: made, tested and lost, one joint made again, tested and held. */
export function tellFeed(story: Story, sectionId: string): void {
  const { night } = story
  const joints = story.joints('Q1')
  const made = night - 59 * HOUR_S
  tellCuts(story, 'Q1', made - HOUR_S, [884, 544])
  joints.forEach((joint, i) =>
    tellJoint(story, i % 2 ? 'Teal' : 'Wren', joint.id, made + i * 9 * MIN_S, { checkMm: 50 + (i % 2) }),
  )
  tellGates(story, sectionId, night - 42 * HOUR_S)
  tellTest(story, 'first', sectionId, night - 41 * HOUR_S, {
    bars: [12, 11.85, 11.7, 11.6, 11.45, 11.3],
    verdict: 'lost',
    dropBar: 0.69,
  })
  const bad = joints[2] as { id: string }
  story.tell('Plover', night - 39.8 * HOUR_S, 'section-state', { sectionId, state: 'drained' })
  story.tell(
    'Teal',
    night - 39.7 * HOUR_S,
    'cut-out',
    { life: 1, reason: 'weeps at the face under 12 bar' },
    bad.id,
  )
  tellJoint(story, 'Teal', bad.id, night - 39.4 * HOUR_S, { life: 2, checkMm: 50 })
  tellGates(story, sectionId, night - 18 * HOUR_S)
  tellTest(story, 'second', sectionId, night - 17 * HOUR_S, {
    bars: [12, 12, 12, 11.95, 12, 11.95],
    verdict: 'held',
    dropBar: 0.04,
  })
  story.tell('Plover', night - 15.6 * HOUR_S, 'signed', {
    what: 'section',
    refId: sectionId,
    statement: 'Tested at 12 bar with water, held. Kept full.',
  })
}
/** The loop: six joints in the afternoon before the cold night, one of them short, made again in the morning; a seventh begun. */
export function tellLoop(story: Story): void {
  const { night, nowS } = story
  const joints = story.joints('Q2')
  const made = night - 12 * HOUR_S
  tellCuts(story, 'Q2', made - 2 * HOUR_S, [1135, 779, 638])
  joints.slice(0, 6).forEach((joint, i) => {
    const checkMm = i === 3 ? 54 : 49 + (i % 3)
    tellJoint(story, i % 2 ? 'Teal' : 'Wren', joint.id, made + i * 17 * MIN_S, { checkMm })
  })
  const again = night + 6.4 * HOUR_S
  const short = joints[3] as { id: string }
  story.tell('Teal', again, 'cut-out', { life: 1, reason: 'check mark 54, 4 mm short of home' }, short.id)
  tellJoint(story, 'Teal', short.id, again + 14 * MIN_S, { life: 2, checkMm: 50 })
  tellBegun(story, 'Wren', (joints[6] as { id: string }).id, nowS - 20 * MIN_S)
}
