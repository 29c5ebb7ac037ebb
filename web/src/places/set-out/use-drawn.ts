import { type Item, type Laid, type Line, layOut, greatest } from '@jugalis/core'
import { type Ref, computed, watch } from 'vue'
import { usePaintedLater } from '../../after-paint'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { LANE, bandsOf, fullScaleOf, inDrawingOrder, inSight, tagX, tagsAt } from './line-shapes'
import { type Frame, fittingMark, outline, outlines, stemPaths } from './line-paths'
import { useWindow } from './use-window'

export const MARGIN = 30
export const TAPE_H = 44
/** From so many parts the list is shown first, and the drawing follows. */
export const LARGE_LINE = 800
/** Narrower fittings bear no mark, and narrower pieces no measure. */
const MARKED_PX = 12
const MEASURED_PX = 66

/** The line laid out straight, and the window of it that is in sight. */
function useLaid(line: () => Line, width: Ref<number>) {
  const job = useJob()
  const shown = usePaintedLater(
    () => ({ state: job.state, line: line() }),
    (s) => s.line.items.length > LARGE_LINE,
  )
  const laid = computed<Laid>(() => layOut(shown.value.state, shown.value.line))
  const joints = computed(() => inDrawingOrder(laid.value.joints))
  const total = computed(() => Math.max(laid.value.totalMm, 400))
  const inner = computed(() => Math.max(100, width.value - 2 * MARGIN))
  const full = computed(() => fullScaleOf(joints.value))
  const window = useWindow(
    computed(() => shown.value.line.id),
    total,
    inner,
    full,
  )
  const { scale, fromMm, toMm } = window
  const X = (mm: number): number => MARGIN + (mm - fromMm.value) * scale.value
  const pxPerMm = computed(() => Math.min(0.42, 46 / greatest([...laid.value.parts.map((p) => p.odMm), 1])))
  const thick = (odMm: number): number => Math.max(7, odMm * pxPerMm.value)
  const top = (lane: number): number => lane * LANE.height
  const mid = (lane: number): number => top(lane) + LANE.middle
  const seen = computed(() => inSight(laid.value, scale.value, fromMm.value, toMm.value))
  return { laid, joints, total, inner, full, window, X, thick, top, mid, seen }
}
type LaidOut = ReturnType<typeof useLaid>

/** Outlines of pipe and fittings in sight, marks on fittings wide enough for one, and what is chosen. */
function usePaths({ laid, seen, window, X, thick, mid }: LaidOut, current: () => string | null) {
  const { scale, fromMm, toMm } = window
  const frame = computed<Frame>(() => ({ x: X, mid, thick }))
  const pieces = computed(() => seen.value.filter((p) => p.item.type === 'piece'))
  const fittings = computed(() => seen.value.filter((p) => p.item.type === 'fitting'))
  const wider = (px: number) => (part: { fromMm: number; toMm: number }) =>
    (part.toMm - part.fromMm) * scale.value > px
  const here = computed(() => laid.value.parts.find((p) => p.item.id === current()))
  const paths = computed(() => {
    const drawn = frame.value
    const pipes = (guessed: boolean) => pieces.value.filter((p) => p.guessed === guessed)
    return {
      pipes: outlines(drawn, pipes(false), 0),
      unmeasured: outlines(drawn, pipes(true), 0),
      fittings: outlines(drawn, fittings.value, 5),
      marks: fittings.value
        .filter(wider(MARKED_PX))
        .map((p) => fittingMark(drawn, p))
        .join(''),
      chosen: here.value ? outline(drawn, here.value, 11, 4) : '',
      stems: stemPaths(drawn, laid.value, fromMm.value, toMm.value),
    }
  })
  const measures = computed(() => pieces.value.filter(wider(MEASURED_PX)))
  // What is chosen is brought into sight, once it has been laid out.
  watch(
    () => here.value?.item.id,
    () => here.value && window.show((here.value.fromMm + here.value.toMm) / 2),
  )
  return { paths, measures }
}

/** Tags and glyphs of the joints in sight, and the bands of their sections. */
function useNames({ joints, window }: LaidOut) {
  const view = useView()
  const { scale, fromMm, toMm } = window
  const tags = computed(() => tagsAt(joints.value, scale.value))
  const inView = (mm: number): boolean => mm >= fromMm.value - 1 && mm <= toMm.value + 1
  const names = computed(() =>
    tags.value.placed.flatMap(({ at, row }) => {
      const joint = joints.value[at]
      return joint && inView(joint.atMm) ? [{ joint, row }] : []
    }),
  )
  const glyphs = computed(() =>
    tags.value.glyphs.flatMap((at) => {
      const joint = joints.value[at]
      const look = joint && view.looks.get(joint.id)
      return joint && look && inView(joint.atMm) ? [{ joint, look }] : []
    }),
  )
  const bands = computed(() =>
    bandsOf(
      joints.value,
      view.sections.map((a) => a.section),
    ).filter((b) => b.toMm >= fromMm.value && b.fromMm <= toMm.value),
  )
  return { tags, names, glyphs, bands }
}

/** What of a line is drawn, and where: laid out straight, in the window that is in sight. */
export function useDrawn(line: () => Line, current: () => string | null, width: Ref<number>) {
  const out = useLaid(line, width)
  const { laid, full, window } = out
  const { scale, fromMm } = window
  return {
    ...out,
    ...usePaths(out, current),
    ...useNames(out),
    height: computed(() => laid.value.lanes * LANE.height + TAPE_H),
    percent: computed(() => Math.round((scale.value / full.value) * 100)),
    jointX: (joint: Laid['joints'][number]): number =>
      tagX(joint, scale.value) + MARGIN - fromMm.value * scale.value,
    /** The part under a point of the drawing. */
    partAt(x: number, y: number): Item | undefined {
      const mm = fromMm.value + (x - MARGIN) / scale.value
      const lane = Math.floor(y / LANE.height)
      return laid.value.parts.find((p) => p.lane === lane && p.fromMm <= mm && mm <= p.toMm)?.item
    },
  }
}
