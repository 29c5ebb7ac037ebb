import { HARROW } from '../ids.js'
import { HOUR_S, MIN_S, Story, type Told } from '../story.js'
import { tellBegun, tellFromMemory, tellLine, tellMade } from '../joints.js'
import { type HarrowLine, LINES } from './lines.js'
import { tellHarrowStore } from './store.js'
import { tellSections } from './proving.js'
import { tellPlaces, tellSetOut } from './set-out.js'

/** Lines in which a joint that failed stands still. */
const LEFT: ReadonlySet<string> = new Set(['HD', 'PF'])
const lineOf = (tag: string): HarrowLine => {
  const line = LINES.find((one) => one.tag === tag)
  if (!line) throw new Error(`no line ${tag}`)
  return line
}

/** The second world, in inches: a boiler room and a pump house by the sea, four days of four people. */
export function tellHarrow(nowS: number): Told[] {
  const story = new Story(nowS, HARROW)
  const { night } = story
  tellPlaces(story)
  const ids = tellHarrowStore(story)
  tellSetOut(story)
  const at = (hours: number): number => night + hours * HOUR_S
  const line = (tag: string, hours: number, who: string, more: { toolIds?: string[]; tinId?: string } = {}) =>
    tellLine(story, lineOf(tag), at(hours), { who, ...more }, LEFT.has(tag))
  // The first two days: metal, and what does not mind the weather.
  const hd = line('HD', -63, 'Wren', { toolIds: [ids.solder] })
  const hh = line('HH', -62, 'Teal', { toolIds: [ids.jaw, ids.tool] })
  const fm = line('FM', -58, 'Wren')
  const gt = line('GT', -43, 'Wren')
  const pf = line('PF', -42, 'Teal', { toolIds: [ids.wrench] })
  const px = line('PX', -39, 'Wren', { toolIds: [ids.wrench] })
  const pc = line('PC', -38, 'Teal', { toolIds: [ids.wrench] })
  tellService(story, at(-37))
  // The last day before the night: what has to cure.
  const si = line('SI', -18, 'Wren', { toolIds: [ids.blanket] })
  line('HC', -16, 'Teal', { tinId: ids.cpvc })
  const kd = tellCondensate(story, ids.pvc)
  tellTappings(story, ids.pvc)
  tellSections(story, { hd, hh, fm, gt, pf, px, pc, si, kd })
  tellJaw(story, ids.jaw)
  return story.told
}
/** The service line: two from memory, since the phone was dead; the rest as it went. */
function tellService(story: Story, atS: number): void {
  const line = lineOf('SL')
  const joints = story.joints('SL')
  const how = { who: 'Rook' }
  tellFromMemory(story, line, joints.slice(0, 2), [atS, atS + 40 * MIN_S], how)
  const [, , third, fourth] = joints
  if (!third || !fourth) throw new Error('the service line is too short')
  tellMade(story, line, third.id, atS + 60 * MIN_S, { ...how, bad: true })
  story.tell(
    'Rook',
    atS + 80 * MIN_S,
    'cut-out',
    { life: 1, reason: 'the tube walked out of the nut' },
    third.id,
  )
  tellMade(story, line, third.id, atS + 90 * MIN_S, { ...how, life: 2 })
  tellMade(story, line, fourth.id, atS + 110 * MIN_S, how)
}
/** Condensate: two before the night, one short and made again in the morning, one failed, one begun a moment ago. */
function tellCondensate(story: Story, tinId: string): { id: string }[] {
  const line = lineOf('KD')
  const joints = story.joints('KD')
  const evening = story.night - 9 * HOUR_S
  const morning = story.nowS - 2.5 * HOUR_S
  const [one, two, three, four, five] = joints.map(({ id }) => id)
  if (!one || !two || !three || !four || !five) throw new Error('the condensate line is too short')
  tellMade(story, line, one, evening, { who: 'Wren', tinId })
  tellMade(story, line, two, evening + 15 * MIN_S, { who: 'Teal', tinId })
  tellMade(story, line, three, evening + 30 * MIN_S, { who: 'Wren', tinId, bad: true })
  story.tell('Wren', morning, 'cut-out', { life: 1, reason: 'short of home, seen in the morning' }, three)
  tellMade(story, line, three, morning + 10 * MIN_S, { who: 'Wren', tinId, life: 2 })
  tellMade(story, line, four, morning + 30 * MIN_S, { who: 'Teal', tinId, bad: true })
  tellBegun(story, line, five, story.nowS - 18 * MIN_S, { who: 'Teal', tinId })
  return joints
}
/** A main of PVC, and saddles on it once that had set. */
function tellTappings(story: Story, tinId: string): void {
  const main = lineOf('WM')
  const atS = story.night - 34 * HOUR_S
  story
    .joints('WM')
    .forEach(({ id }, at) => tellMade(story, main, id, atS + at * 20 * MIN_S, { who: 'Teal', tinId }))
  const saddles = story.saddles('WM')
  tellLine(story, { ...main, method: 'pipe-saddle' }, atS + 8 * HOUR_S, { who: 'Wren' }, false, saddles)
}
/** A spring of the jaw had broken on the first morning and was put right at noon: what it made until then is looked at again. */
function tellJaw(story: Story, jawId: string): void {
  story.tell('Plover', story.night - 41 * HOUR_S, 'tool-found', {
    toolId: jawId,
    fromS: story.night - 63 * HOUR_S,
    toS: story.night - 61.3 * HOUR_S,
    says: 'spring broken, the crimp measured out of round',
  })
}
