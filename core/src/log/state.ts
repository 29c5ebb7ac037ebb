import type { Role } from './roles.js'
import type { Stands } from './stands.js'
import type { Held } from './held.js'
import type { OwnForm } from './own-form.js'
import type { StockSet } from './stock-set.js'
import type { StoreItem } from './store-item.js'
import type { UsualFigures } from './usual-figures.js'
import type { Reading } from '../conditions/history.js'
import type { Life, Msg, RulesPin } from '../methods/method.js'
import type { ChartRow } from '../methods/charts.js'
import type { Said } from '../methods/around.js'
import type { School } from '../methods/joinable.js'
import type { Qualification } from './state-people.js'
import type { Permit } from './state-site.js'
import type { PlanState } from './state-plan.js'
import type { Upkeep } from './state-upkeep.js'
import type { HoldPoint, Section, TagItem, TestRun } from './state-prove.js'

export type { HoldPoint, Section, SectionPart, SectionPlan, TagItem, TestRun } from './state-prove.js'
export type { Qualification } from './state-people.js'
export type { Permit } from './state-site.js'
export type { StoreItem } from './store-item.js'
export type { UsualFigures } from './usual-figures.js'
export type { CareDone, Device, SaidInterval, Upkeep } from './state-upkeep.js'
export type { Carries, Stands } from './stands.js'

export interface Job {
  name: string
  zone: string
  school: School
  table: string
  checkOffsetMm: number
  site?: string
  customer?: string
  /** Numbers of its drawings. */
  drawings?: string
  /** What is usual in it where nothing else is said; absent where nobody said so. */
  usual?: UsualFigures
  /** Somebody said that its work is done; absent while it goes on. */
  closed?: { by: string; atS: number }
}
export interface Line {
  id: string
  tag: string
  name: string
  method: string
  material: string
  school: School
  schedule: string | null
  /** Series of its walls; absent where only a schedule, or nothing, was said. */
  series?: string
  /** What its method asks besides: kind of nut, gasket, torque … */
  details: Readonly<Record<string, unknown>>
  placeId: string
  ratingBar: number | null
  /** Pipe-in-pipe: the line of the containment pipe that this carrier runs in. */
  insideOf: string | null
  items: Item[]
  /** What was said of the surroundings of its joints; absent until somebody did. */
  said?: Said
  /** Where it begins in the building, and which way; absent where nobody said. */
  stands?: Stands
  /** What ways of joining besides its usual one ask, by method. */
  ways?: Readonly<Record<string, Readonly<Record<string, unknown>>>>
  /** What it was before it was changed, oldest first, and the lives of joints that were begun by then (`lifeKey`). */
  before?: readonly { head: LineHead; begun: readonly string[] }[]
}
/**
 * One life of a joint, by name.
 * @example lifeKey('j1', 2) // 'j1 2'
 */
export const lifeKey = (jointId: string, life: number): string => `${jointId} ${life}`
/** What a line is, without what stands in it. */
export type LineHead = Omit<Line, 'id' | 'items' | 'said' | 'stands' | 'before'>
/** What a line is, without what stands in it: what an entry that sets it says. */
export function lineHead(line: Line): LineHead {
  const { id: _id, items: _items, said: _said, stands: _stands, before: _before, ...head } = line
  return head
}
/** The same parts in a line that is something else: nothing of what it was shines through. */
export function withHead({ id, items, said, stands, before }: Line, head: LineHead): Line {
  return {
    id,
    items,
    ...(said ? { said } : {}),
    ...(stands ? { stands } : {}),
    ...(before ? { before } : {}),
    ...head,
  }
}
/** What was said of one end of a part; what was not is as usual there. */
export interface EndSaid {
  /** Kind of end, as the way of joining that is made at it names it. */
  kind?: string
  size?: string
  /** Material of this end alone. */
  of?: string
}
/** What is usual from a part on, where it is not what is usual in the line. */
export interface PartWay {
  method?: string
  material?: string
  series?: string
}
export interface Bend {
  /** Centre-line radius, mm. */
  radiusMm: number
  legsMm: readonly number[]
  /** Deflections with their sense: above 0 to the left, below to the right. */
  turnsDeg: readonly number[]
}
export interface Near {
  end: 0 | 1
  to: 'weld' | 'bend' | 'wall'
  mm: number
}
export interface Item {
  id: string
  type: 'fitting' | 'piece'
  tag: string
  size: string
  /** Second size of a reducer. */
  size2: string | null
  fitting: string | null
  measure: 'centre-centre' | 'centre-face' | 'face-face' | 'end-end' | null
  measuredMm: number | null
  /** Joints at the two ends of a piece, or, first, that of a fitting with the fitting before it; null at a free end. */
  joints: [string | null, string | null]
  jointTags: [string | null, string | null]
  cut: { mm: number; atS: number } | null
  /** It goes in last, between ends that do not move. */
  closing?: boolean
  /** A bent tube: legs from the end's centre or face to the first apex, apex to apex, to the other end; turns between. */
  bend?: Bend
  /** Left between the pipe and the stop at each joined end, mm. */
  gapMm?: number
  /** What was measured near an end, from the fitting's face along the pipe. */
  near?: readonly Near[]
  /** The run it stands in: absent in the main run, else the branch of a fitting, or a name of its own. */
  run?: string
  /** Said of its ends: 0 the way in, 1 the way on, 2 and 3 its branches. */
  ends?: readonly EndSaid[]
  /** What it is made of, where that is not what its pipe is made of. */
  of?: string
  /** What is usual for it and what comes after it, where that is not the line's. */
  way?: PartWay
  /** Of an elbow which way it turns, of a tee which way its branch points, of a bent tube its first turn: as it was said. */
  heading?: string
  /** From here on level pipe falls 1 in so many; below 0 it rises, 0 ends it. */
  falls?: number
  /** The same of what leaves it by a branch. */
  branchFalls?: number
  /** Its centre, of a pipe its far end, is at what has this name: a measured point, or a part by its tag. */
  meets?: string
  /** A piece as long as it takes to reach this level. */
  toLevelMm?: number
  /** What holds it. */
  held?: readonly Held[]
  /** Of a saddle: how far along its pipe its middle sits, from where the pipe is measured from, mm. */
  alongMm?: number
  /** Of a fitting that a house names itself: how it lies in its line, and its sign. */
  own?: OwnForm
}
export interface TakeOff {
  takeOffMm: number
  takeOffTo: 'face' | 'stop'
  /** Where it comes from: a maker's list by name; null when somebody measured one. */
  chart: string | null
  by: string
  atS: number
}
/** A group of parts under a name, as the entries that set it out. */
export interface Group {
  id: string
  name: string
  entries: string[]
}
export interface LifeState extends Life {
  pin: RulesPin | null
  tinId: string | null
  /** Who cut it out; absent while it is in the line. */
  cutOutBy?: string
  /** An apprentice had a hand in it: somebody else looks at it. */
  byApprentice?: string
  /** Who looked at it, in order: absent until somebody did. */
  looks?: { by: string; atS: number; found: 'good' | 'wrong'; note?: string }[]
}
export interface JointState {
  id: string
  lives: LifeState[]
  placements: { fromS: number; placeId: string }[]
  /** Pictures of it, by the hash of their bytes. */
  photos: { hash: string; life: number; step: string; by: string; atS: number }[]
  notes: Note[]
  /** What is different about this one's surroundings. */
  said?: Said
  /** Said to be in doubt, in order: absent until somebody did. */
  doubts?: { atS: number; by: string; says: string }[]
}
export interface Note {
  eventId: string
  atS: number
  by: string
  says: Msg
}
export interface PlaceReadings {
  air: Reading[]
  wall: Reading[]
  humidity: Reading[]
}
/** A place in the building that was measured. */
export interface Point {
  id: string
  name: string
  /** East, north, up. */
  atMm: readonly [number, number, number]
  /** How a way goes on there; null where nobody said. */
  heading: string | null
}
export interface JobState {
  jobId: string | null
  job: Job
  places: Map<string, string>
  lines: Map<string, Line>
  joints: Map<string, JointState>
  takeOffs: Map<string, TakeOff>
  groups: Map<string, Group>
  points: Map<string, Point>
  /** What is cut from; null until somebody has said it. */
  stock: StockSet | null
  sections: Map<string, Section>
  readings: Map<string, PlaceReadings>
  /** What somebody expects of the days to come: for planning only. */
  forecasts: Map<string, { air: Reading[]; wall: Reading[] }>
  /** Tools, gauges, and lots of what is used up, by id. */
  store: Map<string, StoreItem>
  permits: Permit[]
  tests: Map<string, TestRun>
  /** What was put up or taken out for a test and must come back. */
  tags: Map<string, TagItem>
  /** Where somebody must be asked before work is covered up. */
  holds: Map<string, HoldPoint>
  /** What is in use and looked after, by section. */
  upkeep: Map<string, Upkeep>
  /** Who makes joints when, and the plan that is followed. */
  plan: PlanState
  /** Makers' charts in the order they were loaded; none is ever changed. */
  charts: { id: string; name: string; rows: readonly ChartRow[]; by: string; atS: number }[]
  /** How far the log came in as a file, each time it did: written elsewhere, not seen by this server. */
  brought: { entries: number; head: string; by: string; atS: number }[]
  /** What each was said to be on the job, by person: the last word on it. Nobody said of whoever is not here. */
  roles: Map<string, Role>
  /** What papers say that people may make, by id; those that were taken off are left out. */
  qualifications: Map<string, Qualification>
  /** Sources that a named person compared with a copy: the last word on each. */
  checked: Map<string, { by: string; edition: string; on: string; note: string; atS: number }>
  /** With what each was said to be on the job when they signed; absent where nobody said. */
  signed: { what: string; refId: string; by: string; atS: number; statement: string; role?: Role }[]
  notes: Note[]
  /** Latest time that any event speaks of. */
  lastAtS: number
}

/** A job of which nothing is known. */
export const emptyState = (): JobState => ({
  jobId: null,
  job: { name: '', zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 50 },
  places: new Map(),
  lines: new Map(),
  joints: new Map(),
  takeOffs: new Map(),
  groups: new Map(),
  points: new Map(),
  stock: null,
  sections: new Map(),
  readings: new Map(),
  forecasts: new Map(),
  store: new Map(),
  permits: [],
  tests: new Map(),
  tags: new Map(),
  holds: new Map(),
  upkeep: new Map(),
  plan: { crew: [], works: new Map(), fixed: new Map(), pinned: null, shutdowns: new Map() },
  roles: new Map(),
  qualifications: new Map(),
  brought: [],
  charts: [],
  checked: new Map(),
  signed: [],
  notes: [],
  lastAtS: 0,
})
/**
 * Name under which a take-off is kept.
 * @example takeOffKey('tee', 'd22', null) // 'tee d22'
 */
export const takeOffKey = (fitting: string, size: string, size2: string | null): string =>
  `${fitting} ${size}${size2 ? ` ${size2}` : ''}`
