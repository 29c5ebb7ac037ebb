import { smallest } from '../units/extent.js'
import { dayStands } from '../upkeep/due.js'
import { dayOf } from '../units/zone.js'
import type { Glance, GlanceCare, GlanceJoint, GlanceSection } from './glance.js'
import { type OpenClock, dangerOf } from './open-clocks.js'

/** One thing of a job that matters next, and where it is. Times are epoch s, pressures bar. */
export type NextThing = {
  rank: number
  /** It does not wait for tomorrow. */
  pressing: boolean
} & (
  | { kind: 'late' | 'window' | 'hold'; joint: GlanceJoint; untilS: number | null }
  | { kind: 'failed' | 'begun'; joint: GlanceJoint; count: number }
  | { kind: 'runs' | 'lost' | 'ready'; section: GlanceSection }
  | { kind: 'ready-from'; section: GlanceSection; atS: number }
  | { kind: 'no-figure'; section: GlanceSection; joint: GlanceJoint | null }
  /** The section that wants the fewest joints more. */
  | { kind: 'nearest'; section: GlanceSection; count: number }
  | { kind: 'not-made' | 'not-sectioned' | 'all-proved'; count: number }
  | { kind: 'tool'; name: string; count: number }
  /** Of what is looked after in use: its day is over, or it is soon; so many more are like it. */
  | { kind: 'care-late' | 'care-soon'; care: GlanceCare; count: number }
  | { kind: 'nothing' }
  | { kind: 'closed'; atS: number }
)
/** Kinds in the order in which they want somebody; what runs out first stands first. */
const ORDER = [
  'late',
  'window',
  'hold',
  'runs',
  'failed',
  'lost',
  'tool',
  'care-late',
  'begun',
  'ready',
  'ready-from',
  'no-figure',
  'nearest',
  'not-made',
  'not-sectioned',
  'care-soon',
  'nothing',
  'all-proved',
  'closed',
] as const satisfies readonly NextThing['kind'][]
/** The last of those that do not wait for tomorrow. */
const LAST_PRESSING = ORDER.indexOf('care-late')
type Bare<T> = T extends unknown ? Omit<T, 'rank' | 'pressing'> : never
type Thing = Bare<NextThing>

function clockThings(glance: Glance, nowS: number): Thing[] {
  return glance.clocks.flatMap((open: GlanceJoint & OpenClock): Thing[] => {
    const untilS = open.clock.untilS.value
    // What had not ended when the glance was taken may have ended since.
    if (open.kind === 'until' && (untilS === null || untilS <= nowS)) return []
    const kind = (['late', 'window', 'hold'] as const)[dangerOf(open, nowS)]
    return kind ? [{ kind, joint: open, untilS }] : []
  })
}
function sectionThings(sections: readonly GlanceSection[], nowS: number): Thing[] {
  return sections.flatMap((section): Thing[] => {
    if (section.stage === 'runs' || section.stage === 'lost') return [{ kind: section.stage, section }]
    if (section.stage === 'no-figure') return [{ kind: 'no-figure', section, joint: section.heldBy }]
    if (section.stage !== 'waits' || section.readyAtS === null) return []
    return section.readyAtS <= nowS
      ? [{ kind: 'ready', section }]
      : [{ kind: 'ready-from', section, atS: section.readyAtS }]
  })
}
/** Where a section stands, as one thing of its job; null where there is nothing to say of it. @param nowS epoch s. */
export function thingOfSection(section: GlanceSection, nowS: number): NextThing | null {
  const [thing] = section.stage === 'unmade' ? nearest([section]) : sectionThings([section], nowS)
  return thing ? ranked(thing) : null
}
/** Of sections that want joints, the one that wants the fewest. */
function nearest(sections: readonly GlanceSection[]): Thing[] {
  const unmade = sections
    .filter(({ stage }) => stage === 'unmade')
    .sort((one, other) => one.left - other.left)
  const [section] = unmade
  return section ? [{ kind: 'nearest', section, count: section.left }] : []
}
/** What is told in a number: what remains to be done, or that nothing does. */
function counted({ joints, lines, sections }: Glance): Thing[] {
  if (!joints.all) return lines ? [] : [{ kind: 'nothing' }]
  const left = joints.all - joints.home
  if (left) return [{ kind: 'not-made', count: left }]
  if (!sections.length) return [{ kind: 'not-sectioned', count: joints.all }]
  return sections.every(({ stage }) => stage === 'proved')
    ? [{ kind: 'all-proved', count: sections.length }]
    : []
}
/** What is late in one, with its first; what is soon by its first. */
function careThings({ upkeep, zone }: Glance, nowS: number): Thing[] {
  const today = dayOf(nowS, zone)
  return (['late', 'soon'] as const).flatMap((stands): Thing[] => {
    const own = upkeep.filter(({ dueOn }) => dayStands(dueOn, today) === stands)
    return own[0] ? [{ kind: `care-${stands}`, care: own[0], count: own.length }] : []
  })
}
const several = <Kind extends 'failed' | 'begun'>(kind: Kind, joints: readonly GlanceJoint[]): Thing[] =>
  joints[0] ? [{ kind, joint: joints[0], count: joints.length }] : []

/** What matters next in a job, the most pressing first. @param nowS epoch s. */
export function nextOf(glance: Glance, nowS: number): NextThing[] {
  const [tool] = glance.toolsNotGood
  const clocked = clockThings(glance, nowS)
  // A joint whose clock is told is not told again as begun.
  const told = new Set(
    clocked.flatMap((thing) => ('joint' in thing && thing.joint ? [thing.joint.jointId] : [])),
  )
  const things: Thing[] = [
    ...clocked,
    ...several('failed', glance.failed),
    ...several(
      'begun',
      glance.begun.filter(({ jointId }) => !told.has(jointId)),
    ),
    ...sectionThings(glance.sections, nowS),
    ...nearest(glance.sections),
    ...careThings(glance, nowS),
    ...(tool === undefined ? [] : [{ kind: 'tool' as const, name: tool, count: glance.toolsNotGood.length }]),
    ...(glance.closedAtS === null ? counted(glance) : [{ kind: 'closed' as const, atS: glance.closedAtS }]),
  ]
  return things.map(ranked).sort((one, other) => one.rank - other.rank || timeOf(one) - timeOf(other))
}
function ranked(thing: Thing): NextThing {
  const rank = ORDER.indexOf(thing.kind)
  return { ...thing, rank, pressing: rank <= LAST_PRESSING } as NextThing
}
const timeOf = (thing: NextThing): number =>
  'untilS' in thing ? (thing.untilS ?? Infinity) : 'atS' in thing ? thing.atS : 0

/** Does a job wait for somebody: a joint they began and left, a window they opened, a test in their name? */
export const waitsFor = (glance: Glance, who: { personId: string; name: string }): boolean =>
  [...glance.begun, ...glance.clocks.filter(({ kind }) => kind === 'before')].some(({ hands }) =>
    hands.includes(who.personId),
  ) || glance.sections.some(({ tester }) => tester === who.name)

/** By what jobs are put in order: the most pressing thing, then what comes first; epoch s. */
export function urgencyOf(glance: Glance | null, nowS: number): readonly [rank: number, atS: number] {
  const things = glance ? nextOf(glance, nowS) : []
  const first = things[0]
  if (!first) return [ORDER.length, Infinity]
  return [first.rank, smallest(things.filter(({ rank }) => rank === first.rank).map(timeOf))]
}
