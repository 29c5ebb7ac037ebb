import { greatest, smallest } from '../units/extent.js'
import { outsideDiameterMm, parseSize } from '../sizes/size.js'
import { fittingAt, inBranch, neighbours } from '../joint/neighbours.js'
import type { Item, JobState, Line } from '../joint/state.js'
import { bodyOf } from './carrier.js'
import { takeOffOf } from './piece.js'

/** A part where it is drawn: along its run in mm from the line's left end, in a lane of its own. */
export interface LaidPart {
  item: Item
  lane: number
  fromMm: number
  toMm: number
  odMm: number
  /** Its length is not known: drawn at a length of our own. */
  guessed: boolean
}
/** A branch from the tee it comes out of to the lane that it runs in. */
export interface Stem {
  tee: Item
  atMm: number
  fromLane: number
  toLane: number
  odMm: number
}
export interface LaidJoint {
  id: string
  tag: string
  piece: Item
  end: 0 | 1
  atMm: number
  lane: number
}
export interface Laid {
  parts: LaidPart[]
  stems: Stem[]
  joints: LaidJoint[]
  lanes: number
  totalMm: number
}

/** Drawn length of a piece that has no measure yet. */
const UNMEASURED_MM = 500
/** Half a fitting of which no take-off is known, as a share of its outside diameter, and its least. */
const HALF = { share: 0.75, leastMm: 30 }
/** Branches in one lane keep this far apart. */
const APART_MM = 160

const ods = new Map<string, number>()
/** Outside diameter to draw by; sizes are few and lines long. */
function odOf(size: string): number {
  let mm = ods.get(size)
  if (mm === undefined) {
    const read = parseSize(size)
    ods.set(size, (mm = (read && outsideDiameterMm(read)) ?? 50))
  }
  return mm
}

/**
 * A line developed along one axis, to scale: centres stand at what was measured between them, fittings are as long as
 * their take-offs say, and each branch runs in a lane of its own below its tee. For drawing only.
 */
export function layOut(state: JobState, line: Line): Laid {
  const half = new Map(line.items.map((i) => [i.id, halfOf(state, line, i)]))
  const laid = new Map<string, LaidPart>()
  const spans = new Map<string | null, { fromMm: number; toMm: number }>()
  const cursor = new Map<string | null, number>()
  const beside = neighbours(line.items)
  const ids = new Set(line.items.map((i) => i.id))
  const hangs = (i: Item): boolean => i.run === undefined || ids.has(i.run)
  // What hangs on nothing is drawn behind the line, one stretch after another.
  let behind = 0
  const behindAll = (): number => behind + 2 * APART_MM
  for (const item of [...line.items.filter(hangs), ...line.items.filter((i) => !hangs(i))]) {
    const run = item.run ?? null
    const start = (): number => {
      if (run === null) return 0
      if (hangs(item)) return centreOf(laid.get(run))
      return behind > 0 ? behindAll() : 0
    }
    const at = cursor.get(run) ?? start()
    const part = item.type === 'fitting' ? fitting(item, at) : piece(item, at)
    laid.set(item.id, part)
    behind = Math.max(behind, part.toMm)
    const span = spans.get(run)
    spans.set(run, {
      fromMm: Math.min(span?.fromMm ?? part.fromMm, part.fromMm),
      toMm: Math.max(span?.toMm ?? part.toMm, part.toMm),
    })
  }
  function fitting(item: Item, at: number): LaidPart {
    const h = half.get(item.id) as number
    const before = beside.get(item.id)?.[0]
    // After a piece `at` is this fitting's centre; after another fitting, or at the beginning, its face.
    const centre = before?.type === 'piece' ? at : at + h
    cursor.set(item.run ?? null, before?.type === 'piece' ? at + h : centre + h)
    return { item, lane: 0, fromMm: centre - h, toMm: centre + h, odMm: odOf(item.size), guessed: false }
  }
  function piece(item: Item, at: number): LaidPart {
    const ends = ([0, 1] as const).map((e) => fittingAt(line.items, item, e))
    const [a, b] = ends.map((f) => (f ? (half.get(f.id) as number) : 0)) as [number, number]
    const first = ends[0]
    const fromCentre = first && inBranch(item, 0, first) ? at : at - a
    const length = item.measuredMm ?? UNMEASURED_MM
    const centres =
      item.measure === 'centre-centre' || item.measure === null
        ? length
        : item.measure === 'centre-face'
          ? length + b
          : length + a + b
    // Two fittings never lie in one another, however rough their lengths are.
    const clear = Math.max(centres, (a + b) * 1.15)
    const toCentre = fromCentre + clear
    cursor.set(item.run ?? null, ends[1] ? toCentre : toCentre - b)
    return {
      item,
      lane: 0,
      fromMm: fromCentre + a,
      toMm: toCentre - b,
      odMm: odOf(item.size),
      guessed: item.measuredMm === null,
    }
  }
  return inLanes(line, laid, spans)
}
const centreOf = (p: LaidPart | undefined): number => (p ? (p.fromMm + p.toMm) / 2 : 0)

function halfOf(state: JobState, line: Line, item: Item): number {
  if (item.type !== 'fitting') return 0
  const known = takeOffOf(state, bodyOf(state, line, item))?.takeOffMm ?? 0
  return known > 0 ? known : Math.max(HALF.leastMm, odOf(item.size) * HALF.share)
}

/** Gives every run the first lane below its tee's in which it, and the stem to it, meet nothing. */
function inLanes(
  line: Line,
  laid: ReadonlyMap<string, LaidPart>,
  spans: ReadonlyMap<string | null, { fromMm: number; toMm: number }>,
): Laid {
  const taken: { fromMm: number; toMm: number }[][] = []
  const free = (lane: number, fromMm: number, toMm: number): boolean =>
    !taken[lane]?.some((t) => t.fromMm < toMm + APART_MM && fromMm - APART_MM < t.toMm)
  const laneOf = new Map<string | null, number>()
  const stems: Stem[] = []
  const byId = new Map(line.items.map((i) => [i.id, i]))
  for (const [run, span] of spans) {
    const tee = run === null ? undefined : byId.get(run)
    const from = tee ? (laneOf.get(tee.run ?? null) ?? 0) : -1
    const atMm = tee ? centreOf(laid.get(tee.id)) : span.fromMm
    const [left, right] = [Math.min(span.fromMm, atMm), Math.max(span.toMm, atMm)]
    let lane = from + 1
    const behindAll = run !== null && !tee
    while (!behindAll && !free(lane, left, right)) lane++
    laneOf.set(run, lane)
    for (let l = from + 1; l < lane; l++) (taken[l] ??= []).push({ fromMm: atMm, toMm: atMm })
    ;(taken[lane] ??= []).push({ fromMm: left, toMm: right })
    if (tee) stems.push({ tee, atMm, fromLane: from, toLane: lane, odMm: odOf(tee.size2 ?? tee.size) })
  }
  const parts = line.items.map((item) => ({
    ...(laid.get(item.id) as LaidPart),
    lane: laneOf.get(item.run ?? null) ?? 0,
  }))
  const left = smallest([0, ...spansOf(spans, 'fromMm')])
  for (const p of parts) {
    p.fromMm -= left
    p.toMm -= left
  }
  for (const stem of stems) stem.atMm -= left
  const joints = parts.flatMap((p) =>
    ([0, 1] as const).flatMap((end) => {
      const id = p.item.joints[end]
      if (!id) return []
      const atMm = end ? p.toMm : p.fromMm
      return [{ id, tag: p.item.jointTags[end] ?? '', piece: p.item, end, atMm, lane: p.lane }]
    }),
  )
  return {
    parts,
    stems,
    joints,
    lanes: Math.max(1, taken.length),
    totalMm: greatest([0, ...spansOf(spans, 'toMm')]) - left,
  }
}
const spansOf = (
  spans: ReadonlyMap<string | null, { fromMm: number; toMm: number }>,
  end: 'fromMm' | 'toMm',
): number[] => [...spans.values()].map((s) => s[end])
