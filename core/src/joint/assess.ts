import type { History } from '../conditions/history.js'
import type { CureMode } from '../methods/cure/pace.js'
import { type Piece, valueAt } from '../methods/cure/piecewise.js'
import type { Clock, Ctx, Fig, Inspection, Life, Method, Msg, RulesPin, Step } from '../methods/method.js'
import { methodOf } from '../methods/registry.js'
import { msg, noFig } from '../sources/source.js'
import {
  type Conditions,
  type JointWeather,
  conditionsIn,
  conditionsNow,
  jointHistory,
  jointWeather,
} from './climate.js'
import { type JointPlace, jointPlaces, jointSpec, newestChart, saidByPart } from './lookup.js'
import { piecesOf } from './pressure-curve.js'
import type { JobState, JointState, LifeState, Line } from '../log/state.js'
import { type OfRecord, ofRecord, recordFindings, withRecord } from './tools.js'
import { once, onceForAll } from '../units/memo.js'

/** What is known of one joint whatever the time: worked out once for a state and a mode. */
export interface JointFacts {
  id: string
  tag: string
  place: JointPlace
  method: Method | null
  spec: unknown
  steps: readonly Step[]
  /** The life in the line now; null before its first step. */
  life: LifeState | null
  /** Number of the life to write to next. */
  lifeNo: number
  past: readonly LifeState[]
  doubtful: number
  homeAtS: number | null
  movable: Fig
  clocks: readonly Clock[]
  inspection: Inspection | null
  pieces: readonly Piece[]
  history: History
  ctx: Ctx
  notes: readonly { says: Msg; atS: number; by: string }[]
  /** The step to do next, or null when all are done. */
  nextStep: Step | null
}

const NEW_JOINT: JointState = { id: '', lives: [], placements: [], photos: [], notes: [] }

interface Spelled {
  spec: unknown
  /** Steps by id, for what does not depend on the climate. */
  byId: ReadonlyMap<string, Step>
  /** Names the specification: lines that say the same share their steps. */
  text: string
}
/** What of a job the specification of its joints depends on, besides their lines. */
type Sayings = Pick<JobState, 'charts' | 'job'>
/** Specification of a joint. Joints of one line and size share it: it is read once while line, charts and job are the same. */
const readSpec = onceForAll(
  (place: JointPlace, _method: Method | null, pinned: Ctx) => {
    const part = Object.values(saidByPart(place, pinned.pin.rules)).join()
    return `${place.way.key} ${pinned.school} ${pinned.pin.chart} ${pinned.pin.rules} ${part}`
  },
  ([, charts, job]: [Line, Sayings['charts'], Sayings['job']], place, method, pinned): Spelled => {
    const raw = jointSpec({ charts, job }, place, pinned.pin.chart, pinned.pin.rules)
    const parsed = method?.parse(raw)
    const spec = parsed?.ok ? parsed.spec : null
    const steps = method && spec !== null ? method.steps(spec, pinned) : []
    const text = `${method?.id} ${pinned.school} ${JSON.stringify(raw)}`
    return { spec, byId: new Map(steps.map((s) => [s.id, s])), text }
  },
)
/** Steps as they read in this climate. */
const readSteps = onceForAll(
  (spelled: Spelled, _method: Method | null, ctx: Ctx) => `${spelled.text} ${ctx.airC}`,
  (_of: [Sayings['charts'], Sayings['job']], spelled, method, ctx): readonly Step[] =>
    method && spelled.spec !== null ? method.steps(spelled.spec, ctx) : [],
)

/** Splits what was done into what counts and what was written before the step it needs. */
function credited(
  life: LifeState,
  steps: ReadonlyMap<string, Step>,
): { life: LifeState; seen: ReadonlySet<string>; doubtful: number } {
  const seen = new Set<string>()
  const done = life.done.filter((done) => {
    const needs = steps.get(done.step)?.after
    if (!needs || needs.some((n) => !seen.has(n))) return false
    // What was done again after it had been looked at is looked at again.
    if (done.readings.again === true) for (const later of looksAfter(done.step, steps)) seen.delete(later)
    seen.add(done.step)
    return true
  })
  const doubtful = life.done.length - done.length
  return { life: doubtful ? { ...life, done } : life, seen, doubtful }
}
function looksAfter(step: string, steps: ReadonlyMap<string, Step>): string[] {
  const ids = [...steps.keys()]
  return ids.slice(ids.indexOf(step) + 1).filter((id) => steps.get(id)?.reaches === 'verified')
}
const NOTHING_DONE: ReadonlySet<string> = new Set()

/** Rules a joint was begun under, or would be. */
const pinOf = (state: Sayings, place: JointPlace, life: LifeState | null): RulesPin =>
  life?.pin ?? {
    rules: methodOf(place.way.method)?.version ?? 1,
    chart: newestChart(state),
    school: place.way.school,
    table: state.job.table,
  }

/**
 * Windows and holds go by the conditions when the work was done, not when it was looked at; a joint not begun by those
 * of now.
 */
const lastWork = (life: LifeState | null, steps: ReadonlyMap<string, Step>) =>
  life?.done.findLast((d) => steps.get(d.step)?.reaches !== 'verified')

function contextOf(
  world: World,
  life: LifeState | null,
  steps: ReadonlyMap<string, Step>,
  mode: CureMode,
): Ctx {
  const worked = lastWork(life, steps)
  const at = worked ? conditionsIn(world.weather.line.readings, worked.latestS) : world.now
  const pin = pinOf(world, world.place, life)
  return {
    school: pin.school,
    pin,
    wall: jointHistory(world.weather, mode === 'accumulate'),
    airC: at.airC,
    wallC: at.wallC ?? at.airC,
    humidityPct: at.humidityPct,
    mode,
  }
}
/** For what does not depend on the climate. */
const bareContext = (pin: RulesPin, mode: CureMode): Ctx => ({
  school: pin.school,
  pin,
  wall: [],
  airC: null,
  wallC: null,
  humidityPct: null,
  mode,
})

/** All that the facts of a joint are worked out from: nothing else of the job reaches them. */
interface World extends Sayings {
  place: JointPlace
  weather: JointWeather
  record: OfRecord
  /** The conditions of its place at the time of asking. */
  now: Conditions
}
function worldOf(state: JobState, place: JointPlace, nowS: number): World {
  const joint = state.joints.get(place.jointId) ?? newJoint(place)
  const weather = jointWeather(state, joint, place.line.placeId)
  const { charts, job } = state
  return {
    place,
    charts,
    job,
    weather,
    record: ofRecord(state, joint),
    now: conditionsNow(weather.line, nowS),
  }
}
/** A joint of which nothing was written yet. */
const newJoint = once(({ jointId }: JointPlace): JointState => ({ ...NEW_JOINT, id: jointId }))

const sameList = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((x, i) => x === b[i])
/** Alike to the last part: what was worked out of the one holds for the other. A part more does not compile unless it is compared. */
const ALIKE: { readonly [K in keyof World]-?: (a: World[K], b: World[K]) => boolean } = {
  place: Object.is,
  charts: Object.is,
  job: Object.is,
  now: Object.is,
  weather: (a, b) => a.line === b.line && sameList(a.moved, b.moved) && sameList(a.movedAtS, b.movedAtS),
  record: (a, b) => a.joint === b.joint && a.withoutCycle === b.withoutCycle && sameList(a.tools, b.tools),
}
const PARTS = Object.keys(ALIKE) as (keyof World)[]
/** @param byNow the conditions of now were looked at. */
const isAlike = (a: World, b: World, byNow: boolean): boolean =>
  PARTS.every(
    (part) =>
      (part === 'now' && !byNow) || (ALIKE[part] as (a: unknown, b: unknown) => boolean)(a[part], b[part]),
  )

type Kept = Partial<Record<CureMode, { world: World; facts: JointFacts; byNow: boolean }>>
const keptOf = once((_place: JointPlace): Kept => ({}))
/**
 * Everything about one joint that does not depend on the present moment, except that a joint not yet begun is seen
 * under the conditions of `nowS`. Worked out anew only when something that it depends on has changed: the same object
 * is given until then, from one state of a job to the next.
 */
export function jointFacts(
  state: JobState,
  jointId: string,
  mode: CureMode,
  nowS: number,
): JointFacts | null {
  const place = jointPlaces(state).get(jointId)
  if (!place) return null
  const world = worldOf(state, place, nowS)
  const kept = keptOf(place)
  const had = kept[mode]
  if (had && isAlike(had.world, world, had.byNow)) return had.facts
  const found = factsOf(world, mode)
  kept[mode] = { world, ...found }
  return found.facts
}

function factsOf(world: World, mode: CureMode): { facts: JointFacts; byNow: boolean } {
  const { place, record } = world
  const { joint } = record
  const last = joint.lives.at(-1)
  const method = methodOf(place.way.method) ?? null
  const raw = last && last.cutOutAtS === undefined ? last : null
  const { charts, job } = world
  const pinned = bareContext(pinOf(world, place, raw), mode)
  const spelled = readSpec([place.line, charts, job], place, method, pinned)
  const { spec, byId } = spelled
  const ctx = contextOf(world, raw, byId, mode)
  const steps = readSteps([charts, job], spelled, method, ctx)
  const usable = method !== null && spec !== null
  const { life, seen, doubtful } = raw ? credited(raw, byId) : { life: null, seen: NOTHING_DONE, doubtful: 0 }
  let homeAtS: number | null = null
  for (const done of life?.done ?? [])
    if (byId.get(done.step)?.reaches === 'made') homeAtS = Math.max(homeAtS ?? -Infinity, done.latestS)
  const inspection =
    usable && life && homeAtS !== null
      ? withRecord(method.inspection(spec, life, ctx), recordFindings(record, life, steps))
      : null
  const failed = inspection?.verdict === 'fail'
  const facts: JointFacts = {
    id: place.jointId,
    tag: place.tag,
    place,
    method,
    spec,
    steps,
    life,
    lifeNo: raw ? raw.no : joint.lives.length + 1,
    past: joint.lives.filter((l) => l.cutOutAtS !== undefined),
    doubtful,
    homeAtS,
    movable: usable && life ? method.movableFromS(spec, life, ctx) : noFig(msg('not-home')),
    clocks: usable && life ? method.clocks(spec, life, ctx) : [],
    inspection,
    pieces:
      usable && life && homeAtS !== null && !failed
        ? piecesOf(method.pressure(spec, life, ctx), homeAtS)
        : [],
    history: ctx.wall,
    ctx,
    notes: joint.notes,
    nextStep: nextOf(steps, seen),
  }
  return { facts, byNow: lastWork(raw, byId) === undefined }
}

/** The first step not done whose needs are met. One that is free to skip is not gone back to once work went on. */
function nextOf(steps: readonly Step[], seen: ReadonlySet<string>): Step | null {
  const furthest = steps.findLastIndex((s) => seen.has(s.id))
  const open = (step: Step, i: number): boolean =>
    !seen.has(step.id) && step.after.every((a) => seen.has(a)) && !(step.skip === 'free' && i < furthest)
  return steps.find(open) ?? null
}

/** A life in which every step was done at one time, epoch s: what an unmade joint would be. */
export const plannedLife = (facts: JointFacts, homeS: number): Life => ({
  no: facts.lifeNo,
  interrupted: [],
  done: facts.steps.map((step) => ({
    eventId: '',
    step: step.id,
    earliestS: homeS,
    latestS: homeS,
    readings: {},
    by: '',
  })),
})
/** Curve of an unmade joint if every step were done at one time. */
export function plannedPieces(facts: JointFacts, homeS: number): readonly Piece[] {
  if (!facts.method || facts.spec === null) return []
  return piecesOf(facts.method.pressure(facts.spec, plannedLife(facts, homeS), facts.ctx), homeS)
}

/** Pressure one joint may take at a time, bar gauge; Infinity = it sets no ceiling. */
export const jointAllows = (facts: JointFacts, atS: number): number => valueAt(facts.pieces, atS)
