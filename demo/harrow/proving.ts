import { judgeRun } from '@jugalis/core'
import { HOUR_S, MIN_S, type Story } from '../story.js'
import { psi } from './set-out.js'

/** A section over some joints of a line. Gives its id. */
function tellSection(
  story: Story,
  of: string,
  joints: readonly { id: string }[],
  bars: [work: number, test: number],
): string {
  const sectionId = story.id(`section ${of}`)
  story.tell('Plover', story.begin + 50 * MIN_S, 'section-set', {
    sectionId,
    tag: `${of}-A`,
    jointIds: joints.map(({ id }) => id),
    workingBar: psi(bars[0]),
    testBar: psi(bars[1]),
    holdS: 3600,
    allowedDropBar: psi(2),
    ratingBar: psi(150),
  })
  return sectionId
}
interface Tested {
  name: string
  sectionId: string
  atS: number
  testPsi: number
  /** Read every ten minutes: pressure, psi, and the pipe's temperature, °C. */
  reads: readonly (readonly [psi: number, temperatureC: number])[]
  leak?: string
}
/** Gates, an hour's hold read off a gauge, and the verdict its readings lead to. */
function tellTest(story: Story, { name, sectionId, atS, testPsi, reads, leak }: Tested): void {
  story.tell('Rook', atS - 20 * MIN_S, 'section-state', { sectionId, state: 'full' })
  for (const [at, gate] of ['supports', 'vents', 'isolated', 'gauge', 'people'].entries())
    story.tell('Rook', atS - 18 * MIN_S + at * 40, 'gate', { sectionId, gate, done: true, how: 'looked at' })
  const testId = story.id(`test ${name}`)
  story.tell('Rook', atS, 'test-begun', {
    testId,
    sectionId,
    bar: psi(testPsi),
    medium: 'water',
    holdS: 3600,
    allowedDropBar: psi(2),
    resolutionBar: psi(0.5),
    gauge: 'G-3, 0 to 300 psi',
    tester: 'Rook',
    temperatureOf: 'wall',
  })
  reads.forEach(([pressure, temperatureC], at) => {
    const readAtS = atS + at * 10 * MIN_S
    story.tell('Rook', readAtS, 'test-read', { testId, atS: readAtS, bar: psi(pressure), temperatureC })
  })
  const endS = atS + reads.length * 10 * MIN_S
  if (leak) story.tell('Rook', endS - MIN_S, 'leak-seen', { testId, where: leak })
  const state = story.state(endS)
  const run = state.tests.get(testId)
  if (!run) throw new Error(`no test ${name}`)
  const { verdict, correctedDropBar, rawDropBar, uncertaintyBar } = judgeRun(state, run)
  const said = Object.entries({ dropBar: correctedDropBar, rawDropBar, uncertaintyBar })
  story.tell('Rook', endS, 'test-ended', {
    testId,
    verdict,
    ...Object.fromEntries(said.filter(([, value]) => value !== null)),
  })
  story.tell('Rook', endS + 5 * MIN_S, 'signed', {
    what: 'section',
    refId: sectionId,
    statement: `Tested at ${testPsi} psi with water: ${verdict}.`,
  })
}
/** Read to the half pound, as a dial of 300 psi is. */
const falling = (from: number, fall: number, temperatureC: number) =>
  Array.from({ length: 7 }, (_, at) => [Math.round((from - (fall * at) / 6) * 2) / 2, temperatureC] as const)

type Joints = readonly { id: string }[]
/** The sections, their tests and what came after. */
export function tellSections(story: Story, of: Readonly<Record<string, Joints>>): void {
  const { night } = story
  const at = (hours: number): number => night + hours * HOUR_S
  const good = (tag: string): Joints => of[tag.toLowerCase()]?.slice(0, 3) ?? []
  const service = story.joints('SL').slice(0, 3)
  const hot = tellSection(story, 'HD', good('HD'), [60, 100])
  const fire = tellSection(story, 'FM', good('FM'), [90, 140])
  const taps = tellSection(story, 'GT', good('GT'), [60, 100])
  const well = tellSection(story, 'SL', service, [60, 100])
  const suction = tellSection(story, 'PX', good('PX'), [40, 60])
  const heating = tellSection(story, 'HH', of.hh ?? [], [30, 60])
  tellSection(story, 'SI', good('SI'), [40, 60])
  tellSection(story, 'KD', of.kd?.slice(0, 3) ?? [], [5, 10])
  tellTest(story, { name: 'hot', sectionId: hot, atS: at(-40), testPsi: 100, reads: falling(100, 0.5, 12) })
  tellTest(story, { name: 'fire', sectionId: fire, atS: at(-36), testPsi: 140, reads: falling(140, 0.5, 12) })
  tellTest(story, {
    name: 'well',
    sectionId: well,
    atS: at(-30),
    testPsi: 100,
    reads: falling(100, 14, 11.5),
    leak: 'nut at SL-02',
  })
  tellTest(story, {
    name: 'taps',
    sectionId: taps,
    atS: at(-17),
    testPsi: 100,
    reads: Array.from({ length: 7 }, (_, read) => [100 - read * 1.5, 12 - read * 0.4] as const),
  })
  tellTest(story, {
    name: 'suction',
    sectionId: suction,
    atS: at(-15),
    testPsi: 60,
    reads: falling(60, 0.5, 12),
  })
  tellUpkeep(story, { hot, fire, suction })
  tellHeating(story, heating)
}
/** What is in use, and what is looked after in it. */
function tellUpkeep(story: Story, { hot, fire, suction }: Record<'hot' | 'fire' | 'suction', string>): void {
  const { night } = story
  const at = (hours: number): number => night + hours * HOUR_S
  // In use since yesterday: what they carry is looked after from then on.
  const used = new Date((night - 20 * HOUR_S) * 1000).toISOString().slice(0, 10)
  const dayAfter = new Date((night - 6 * HOUR_S) * 1000).toISOString().slice(0, 10)
  const carry = (sectionId: string, kind: string, name: string): void =>
    story.tell('Plover', at(-10), 'device-set', { sectionId, deviceId: story.id(name), kind, name })
  for (const [sectionId, fromOn] of [
    [hot, used],
    [fire, used],
    [suction, dayAfter],
  ] as const)
    story.tell('Plover', at(-5), 'in-use', { sectionId, fromOn })
  carry(hot, 'relief valve', 'RV-1 at the boiler')
  carry(hot, 'backflow preventer', 'BF-1 at the well')
  carry(fire, 'sprinklers', 'Keeper\u2019s house')
  story.tell('Plover', at(-4), 'care-interval', {
    sectionId: suction,
    care: 'expansion-joint/looked-over',
    months: 6,
    reference: 'the maker\u2019s sheet',
  })
}
/** The heating waits for its last joints: a blank is in, and the wall behind the boiler waits for a word. */
function tellHeating(story: Story, heating: string): void {
  story.tell('Rook', story.nowS - 90 * MIN_S, 'tag-put', {
    tagId: story.id('blank'),
    sectionId: heating,
    kind: 'blank',
    where: 'return at the boiler',
  })
  story.tell('Plover', story.begin + 6 * HOUR_S, 'hold-point', {
    holdId: story.id('hold'),
    sectionId: heating,
    name: 'Wall behind the boiler',
    who: 'the inspector',
  })
}
