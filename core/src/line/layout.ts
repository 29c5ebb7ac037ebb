import { greatest, smallest } from '../units/extent.js'
import { outsideDiameterMm, parseSize } from '../sizes/size.js'
import { branchSize, endSize } from '../parts/ends.js'
import { branchEnd, fittingAt, inBranch, neighbours, rootOf } from '../parts/neighbours.js'
import type { Item, JobState, Line } from '../log/state.js'
import { bodyOf } from './carrier.js'
import { atCentre } from './cut-length.js'
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
  run: string
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
export const UNMEASURED_MM = 500
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
  const layout = new Layout(state, line)
  const ids = new Set(line.items.map((i) => i.id))
  const attached = (i: Item): boolean => i.run === undefined || ids.has(rootOf(i.run))
  // What is attached to nothing is drawn behind the line, one stretch after another.
  for (const item of line.items.filter(attached)) layout.add(item, true)
  for (const item of line.items.filter((i) => !attached(i))) layout.add(item, false)
  return inLanes(line, layout.laid, layout.spans)
}

/** Parts laid one after another, each where the one before it in its run ended. */
class Layout {
  readonly laid = new Map<string, LaidPart>()
  readonly spans = new Map<string | null, { fromMm: number; toMm: number }>()
  private readonly half: ReadonlyMap<string, number>
  private readonly beside: ReturnType<typeof neighbours>
  private readonly cursor = new Map<string | null, number>()
  private behindMm = 0

  constructor(
    state: JobState,
    private readonly line: Line,
  ) {
    this.half = new Map(line.items.map((i) => [i.id, halfOf(state, line, i)]))
    this.beside = neighbours(line.items)
  }
  /** @param attached to the line: what is not begins behind all that is laid. */
  add(item: Item, attached: boolean): void {
    const run = item.run ?? null
    const at = this.cursor.get(run) ?? this.startOf(item, attached)
    const part = item.type === 'fitting' ? this.fitting(item, at) : this.piece(item, at)
    this.laid.set(item.id, part)
    this.behindMm = Math.max(this.behindMm, part.toMm)
    const span = this.spans.get(run)
    this.spans.set(run, {
      fromMm: Math.min(span?.fromMm ?? part.fromMm, part.fromMm),
      toMm: Math.max(span?.toMm ?? part.toMm, part.toMm),
    })
  }
  private startOf(item: Item, attached: boolean): number {
    if (item.run === undefined) return 0
    const root = this.laid.get(rootOf(item.run))
    if (attached) return root?.item.type === 'piece' ? this.onPipe(root, item) : centreOf(root)
    return this.behindMm > 0 ? this.behindMm + 2 * APART_MM : 0
  }
  /** Where a saddle sits on its pipe: so far from where that is measured from, and between its ends. */
  private onPipe({ item, fromMm, toMm }: LaidPart, saddle: Item): number {
    const first = fittingAt(this.line.items, item, 0)
    const offMm = item.measure !== null && atCentre(item.measure, 0) && first ? this.half.get(first.id) : 0
    return Math.min(toMm, Math.max(fromMm, fromMm - (offMm ?? 0) + (saddle.alongMm ?? 0)))
  }
  private fitting(item: Item, at: number): LaidPart {
    const halfMm = this.half.get(item.id) as number
    const before = this.beside.get(item.id)?.[0]
    // After a piece `at` is this fitting's centre; after another fitting, or at the beginning, its face.
    const centre = before?.type === 'piece' ? at : at + halfMm
    this.cursor.set(item.run ?? null, before?.type === 'piece' ? at + halfMm : centre + halfMm)
    const [fromMm, toMm] = [centre - halfMm, centre + halfMm]
    return { item, lane: 0, fromMm, toMm, odMm: odOf(item.size), guessed: false }
  }
  private piece(item: Item, at: number): LaidPart {
    const ends = ([0, 1] as const).map((e) => fittingAt(this.line.items, item, e))
    const [a, b] = ends.map((f) => (f ? (this.half.get(f.id) as number) : 0)) as [number, number]
    const first = ends[0]
    const fromCentre = first && inBranch(item, 0, first) ? at : at - a
    // Two fittings never lie in one another, however rough their lengths are.
    const clear = Math.max(centresMm(item, a, b), (a + b) * 1.15)
    const toCentre = fromCentre + clear
    this.cursor.set(item.run ?? null, ends[1] ? toCentre : toCentre - b)
    const [fromMm, toMm] = [fromCentre + a, toCentre - b]
    return { item, lane: 0, fromMm, toMm, odMm: odOf(item.size), guessed: item.measuredMm === null }
  }
}
/** From centre to centre of the fittings at its ends, which reach `a` and `b` from theirs. */
function centresMm(item: Item, a: number, b: number): number {
  const length = item.measuredMm ?? UNMEASURED_MM
  if (item.measure === 'centre-centre' || item.measure === null) return length
  return item.measure === 'centre-face' ? length + b : length + a + b
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
    const tee = run === null ? undefined : byId.get(rootOf(run))
    const from = tee ? (laneOf.get(tee.run ?? null) ?? 0) : -1
    // Off a pipe a run leaves where its saddle sits.
    const saddle = tee?.type === 'piece' ? line.items.find((i) => i.run === run) : undefined
    const atMm = tee ? centreOf(laid.get((saddle ?? tee).id)) : span.fromMm
    const [left, right] = [Math.min(span.fromMm, atMm), Math.max(span.toMm, atMm)]
    let lane = from + 1
    const behindAll = run !== null && !tee
    while (!behindAll && !free(lane, left, right)) lane++
    laneOf.set(run, lane)
    for (let between = from + 1; between < lane; between++)
      (taken[between] ??= []).push({ fromMm: atMm, toMm: atMm })
    ;(taken[lane] ??= []).push({ fromMm: left, toMm: right })
    if (tee && run !== null)
      stems.push({
        tee,
        run,
        atMm,
        fromLane: from,
        toLane: lane,
        odMm: odOf(saddle ? endSize(saddle, 1) : branchSize(tee, branchEnd(run, tee))),
      })
  }
  const parts = line.items.map((item) => ({
    ...(laid.get(item.id) as LaidPart),
    lane: laneOf.get(item.run ?? null) ?? 0,
  }))
  const left = smallest([0, ...spansOf(spans, 'fromMm')])
  for (const part of parts) {
    part.fromMm -= left
    part.toMm -= left
  }
  for (const stem of stems) stem.atMm -= left
  const joints = parts.flatMap((part) =>
    ([0, 1] as const).flatMap((end) => {
      const id = part.item.joints[end]
      if (!id) return []
      const atMm = end ? part.toMm : part.fromMm
      return [{ id, tag: part.item.jointTags[end] ?? '', piece: part.item, end, atMm, lane: part.lane }]
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
