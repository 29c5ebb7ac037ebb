import { WALL_KIND } from '../methods/joinable.js'
import { methodOf } from '../methods/registry.js'
import type { Ctx, Fig, Mark, Msg } from '../methods/method.js'
import { fig, msg, noFig } from '../sources/source.js'
import { type JointPlace, jointPlaces, jointSpec } from '../joint/lookup.js'
import { branchEnds, endKindOf, endKindWritten, endOf, endSize, partOf } from '../parts/ends.js'
import { isShut } from '../parts/vocabulary.js'
import { type Lines, isMetAcross, metBy } from '../parts/met.js'
import { type EndAt, branchRun, hasRun, isBranch } from '../parts/neighbours.js'
import { type Bend, type Item, type JobState, type Line, type TakeOff, takeOffKey } from '../log/state.js'
import { arcMm, bendMarks } from './bends.js'
import { bodyOf } from './carrier.js'
import { cutStands } from './touches.js'
import { type RunEnd, addsInsertion, atCentre, cutLength } from './cut-length.js'
import { onceEach } from '../units/memo.js'

export interface PieceEnd {
  jointId: string | null
  jointTag: string | null
  fitting: Item | null
  /** It goes into the fitting's branch. */
  branch: boolean
  /** The end of the fitting that it meets. */
  met: EndAt
  depthMm: Fig | null
  checkMarkMm: Fig | null
  /** How far its method sands the pipe; null where it does not. */
  sandMm: Fig | null
  /** What its method leaves between the ends by itself, mm. */
  ownGapMm: number
  takeOff: TakeOff | null
}
/** A bend's mark on the straight tube: where the arc begins and ends from end 0. */
export interface BendAt {
  atMm: number
  endMm: number
  turnDeg: number
}
export interface PieceCut {
  item: Item
  line: Line
  ends: [PieceEnd, PieceEnd]
  cutMm: Fig
  takeOffsMm: number
  insertionsMm: number
  /** Left free at the stops of its joined ends. */
  gapsMm: number
  bends: readonly BendAt[]
  /** Cut, and no joint at its ends was cut out since. */
  isCut: boolean
  /** The cut that was made no longer fits the figures. */
  changedSinceCut: boolean
}

/** A fitting's take-off as the job knows it; a reducer has one for each way round, a tee one of its branch. */
export function takeOffOf(state: JobState, fitting: Item, at: EndAt = 0): TakeOff | null {
  const { name, size, size2 } = takeOffFor(fitting, at)
  return state.takeOffs.get(takeOffKey(name, size, size2)) ?? null
}
/**
 * What a take-off is kept under: the branch of a tee has its own, and so has each kind of end of a part that is made
 * with several. As usual one figure stands for the way in and the way on.
 */
export function takeOffFor(fitting: Item, at: EndAt): { name: string; size: string; size2: string | null } {
  const branch = isBranch(at) ? ' branch' : ''
  const name = `${fitting.fitting ?? ''}${branch}`
  if (!fitting.ends) return { name, size: fitting.size, size2: fitting.size2 }
  const kind = fitting.ends[at]?.kind
  const size = endSize(fitting, at)
  const other = endSize(fitting, at === 0 ? 1 : 0)
  return { name: kind ? `${name} ${endKindWritten(kind)}` : name, size, size2: other === size ? null : other }
}

/** A context for what depends on neither climate nor pin. */
export const NEUTRAL_CTX: Omit<Ctx, 'school' | 'pin'> = {
  wall: [],
  airC: null,
  wallC: null,
  humidityPct: null,
  mode: 'coldest',
}

/** How far a joint goes into its fitting, mm; null where that is not known. */
export function jointDepthMm(state: JobState, jointId: string | null): number | null {
  const place = jointId === null ? undefined : jointPlaces(state).get(jointId)
  return place ? (marksOf(state, place).depthMm?.value ?? null) : null
}

type EndMarks = Pick<PieceEnd, 'depthMm' | 'checkMarkMm' | 'sandMm' | 'ownGapMm'>
const NO_MARKS: EndMarks = { depthMm: null, checkMarkMm: null, sandMm: null, ownGapMm: 0 }
/** Depth and check mark of a joint's pipe end. Joints made one way share them: worked out once for a state. */
const marksOf = onceEach((place: JointPlace) => place.way.key, readMarks)
function readMarks(state: JobState, place: JointPlace): EndMarks {
  const { method: id, school } = place.way
  const method = methodOf(id)
  const parsed = method?.parse(jointSpec(state, place))
  // Ends that meet face to face add nothing to the length.
  const face = method && !method.inserts ? { depthMm: fig(0, 'cp-face-to-face') } : {}
  if (!method || !parsed?.ok) return { ...NO_MARKS, ...face }
  const insertion = method.insertion(parsed.spec, {
    ...NEUTRAL_CTX,
    school,
    pin: { rules: 1, chart: null, school, table: state.job.table },
  })
  const mark = (kind: Mark['kind']): Fig | null =>
    insertion.marks.find((m) => m.kind === kind)?.fromEndMm ?? null
  return {
    depthMm: insertion.depthMm,
    checkMarkMm: mark('check'),
    sandMm: mark('sand'),
    ownGapMm: insertion.gapMm?.value ?? 0,
    ...face,
  }
}

/** A piece whose length nobody has measured yet, and nothing else gives. */
export const isUnmeasured = ({ type, measuredMm, toLevelMm, bend }: Item): boolean =>
  type === 'piece' && measuredMm === null && toLevelMm === undefined && bend === undefined

/** Cut length and marks of one piece of a line, from its measure, the take-offs of its fittings and the insertions. */
export function pieceCut(state: JobState, line: Line, item: Item): PieceCut {
  const places = jointPlaces(state)
  const ends = ([0, 1] as const).map((end): PieceEnd => {
    const met = metBy(state, line, item, end)
    const jointId = item.joints[end]
    const place = jointId ? places.get(jointId) : undefined
    return {
      jointId,
      jointTag: item.jointTags[end],
      fitting: met?.fitting ?? null,
      branch: met !== null && isBranch(met.at),
      met: met?.at ?? 0,
      ...(place ? marksOf(state, place) : NO_MARKS),
      takeOff: met ? takeOffOf(state, bodyOf(state, met.line, met.fitting), met.at) : null,
    }
  }) as [PieceEnd, PieceEnd]
  const isCut = cutStands(state, item)
  const bent = item.bend ? bentCut(item, item.bend, ends) : null
  const cutMm = bent?.cutMm ?? cutFigure(item, ends)
  const taken = (end: 0 | 1): number =>
    item.measure && atCentre(item.measure, end) ? (ends[end].takeOff?.takeOffMm ?? 0) : 0
  return {
    item,
    line,
    ends,
    cutMm,
    bends: bent?.bends ?? [],
    takeOffsMm: taken(0) + taken(1),
    insertionsMm: insertionAt(item, ends[0], 0) + insertionAt(item, ends[1], 1),
    gapsMm: gapAt(item, ends[0]) + gapAt(item, ends[1]),
    isCut,
    // What goes in last was cut over, and then to site measure.
    changedSinceCut:
      isCut &&
      item.cut !== null &&
      !item.closing &&
      (cutMm.value === null || Math.abs(cutMm.value - item.cut.mm) > 0.5),
  }
}

/** What an end stays off: as it was typed for the piece, else what its way of joining leaves by itself. */
const gapAt = (item: Item, end: PieceEnd): number => (end.jointId ? (item.gapMm ?? end.ownGapMm) : 0)

function cutFigure(item: Item, ends: readonly PieceEnd[]): Fig {
  if (item.measure === null || item.measuredMm === null) return noFig(msg('no-measure', { piece: item.tag }))
  const runEnds = ends.map((end): RunEnd => ({
    takeOffMm: end.takeOff?.takeOffMm ?? null,
    takeOffTo: end.takeOff?.takeOffTo ?? 'face',
    insertionMm: end.depthMm?.value ?? (end.jointId ? null : 0),
    gapMm: gapAt(item, end),
  }))
  const cut = cutLength(item.measure, item.measuredMm, runEnds)
  if (cut.ok) return fig(cut.cutMm, 'cp-cut-length')
  if (cut.reason === 'too-short')
    return noFig(msg('piece-too-short', { piece: item.tag, cutMm: cut.cutMm, measuredMm: item.measuredMm }))
  const end = ends[cut.field.includes('[0]') ? 0 : 1]
  return noFig(
    cut.field.endsWith('takeOffMm')
      ? msg('take-off-unknown', {
          fitting: end?.fitting
            ? Object.values(takeOffFor(end.fitting, end.met)).join(' ').trim()
            : 'the fitting',
        })
      : msg('depth-unknown', { joint: end?.jointTag ?? item.tag }),
  )
}

/**
 * A bent tube is cut to its developed length; its first and last leg are what a straight piece would be cut to. The
 * straights at its ends are at least as long as what goes into the fittings.
 */
function bentCut(item: Item, bend: Bend, ends: readonly PieceEnd[]): { cutMm: Fig; bends: BendAt[] } {
  const none = (why: Fig): { cutMm: Fig; bends: BendAt[] } => ({ cutMm: why, bends: [] })
  // End by end: what the measure takes off and the insertion puts on falls to that end's own leg.
  const straight = cutFigure(item, ends)
  if (straight.value === null) return none(straight)
  const legs = [...bend.legsMm]
  for (const [at, end] of [
    [0, 0],
    [legs.length - 1, 1],
  ] as const)
    legs[at] = (legs[at] as number) + addedAt(item, ends[end] as PieceEnd, end)
  const found = bendMarks(bend.radiusMm, legs, bend.turnsDeg.map(Math.abs))
  if (!found.ok) return none(tooNear(item, found, ends))
  const bends = found.marksMm.map((atMm, i) => ({
    atMm,
    endMm: atMm + arcMm(bend.radiusMm, Math.abs(bend.turnsDeg[i] as number)),
    turnDeg: bend.turnsDeg[i] as number,
  }))
  const depth = (e: 0 | 1): number => ends[e]?.depthMm?.value ?? 0
  const [first, last] = [bends[0] as BendAt, bends.at(-1) as BendAt]
  for (const [leg, straightMm, needed] of [
    [0, first.atMm, depth(0)],
    [legs.length - 1, found.developedMm - last.endMm, depth(1)],
  ] as const)
    if (straightMm < needed - 1e-6)
      return none(
        noFig(
          msg('bend-too-near', {
            piece: item.tag,
            leg: leg + 1,
            straightMm,
            leastMm: (bend.legsMm[leg] as number) + needed - straightMm,
          }),
        ),
      )
  return { cutMm: fig(found.developedMm, 'bend-geometry'), bends }
}
/** What goes into the fitting at an end, mm, as far as the measure does not have it in already. */
const insertionAt = (item: Item, end: PieceEnd, at: 0 | 1): number =>
  item.measure && addsInsertion(item.measure, at, end.takeOff?.takeOffTo) ? (end.depthMm?.value ?? 0) : 0
/** What an end adds to its leg: less its take-off where it was measured from a centre, plus its insertion. */
export function addedAt(item: Item, end: PieceEnd, at: 0 | 1): number {
  const gap = gapAt(item, end)
  const fromCentre = item.measure !== null && atCentre(item.measure, at)
  return insertionAt(item, end, at) - gap - (fromCentre ? (end.takeOff?.takeOffMm ?? 0) : 0)
}
function tooNear(
  item: Item,
  bad: { leg: number; straightMm: number; leastMm: number },
  ends: readonly PieceEnd[],
): Fig {
  const last = (item.bend?.legsMm.length ?? 0) - 1
  const added =
    bad.leg === 0
      ? addedAt(item, ends[0] as PieceEnd, 0)
      : bad.leg === last
        ? addedAt(item, ends[1] as PieceEnd, 1)
        : 0
  return noFig(
    msg('bend-too-near', {
      piece: item.tag,
      leg: bad.leg + 1,
      straightMm: bad.straightMm,
      leastMm: bad.leastMm - added,
    }),
  )
}

/** Every piece of a job in line order. */
export const allPieces = (state: JobState): PieceCut[] =>
  [...state.lines.values()].flatMap((line) =>
    line.items.filter((i) => i.type === 'piece').map((i) => pieceCut(state, line, i)),
  )

/** One take-off of a fitting: to the first of the ends that share it. */
export interface Outlet {
  fitting: Item
  at: EndAt
}
/** Take-offs that a fitting has: that of its run, and that of its branch where one goes off, of another line too. */
export function outletsOf(lines: Lines, line: Line, fitting: Item): Outlet[] {
  const ats = partOf(fitting).ends.flatMap((_, i): EndAt[] => {
    const at = i as EndAt
    const leaves = (): boolean =>
      hasRun(line.items, branchRun(fitting.id, at)) || isMetAcross(lines, fitting, at)
    const used = at < 2 || (branchEnds(fitting).includes(at) && leaves())
    const { kind } = endOf(line, fitting, at)
    // On the wall of a pipe a saddle sits with its middle on the pipe's own.
    return used && !isShut(kind) && endKindOf(kind)?.meets !== WALL_KIND ? [at] : []
  })
  const seen = new Set<string>()
  return ats.flatMap((at) => {
    const key = Object.values(takeOffFor(fitting, at)).join('~')
    return seen.has(key) ? [] : (seen.add(key), [{ fitting, at }])
  })
}
/** What still stands in the way of cutting, counted for a line's headline. */
export const unknownTakeOffs = (state: JobState, line: Line): Outlet[] =>
  line.items
    .filter((i) => i.type === 'fitting')
    .flatMap((i) => outletsOf(state, line, i))
    .filter((o) => !takeOffOf(state, bodyOf(state, line, o.fitting), o.at))
export type { Msg }
