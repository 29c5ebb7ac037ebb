import {
  type PieceCut,
  fmt,
  isUnmeasured,
  jointPlaces,
  pipeOf,
  shortTag,
  tapsOf,
  twinJoint,
} from '@jugalis/core'
import { type ComputedRef, computed } from 'vue'
import { useJob } from '../../stores/job'
import { named, word } from '../../words/word'

/** Where the piece is marked and bent, in words. */
function useMarks(piece: ComputedRef<PieceCut | null>, figure: (mm: number) => string) {
  /** Where to mark, in words. A method without a check mark has none; ends that meet face to face have no mark at all. */
  const marks = computed(() => {
    const ends = (piece.value?.ends ?? []).flatMap((end) =>
      end.depthMm?.value
        ? [{ depth: end.depthMm.value, check: end.checkMarkMm?.value ?? null, tag: end.jointTag }]
        : [],
    )
    const [a, b] = ends
    if (!a) return ''
    const same = b && a.depth === b.depth
    const depths = same
      ? word('cut-both-ends', { figure: figure(a.depth) })
      : ends.map((e) => word('cut-depth-at', { depth: figure(e.depth), tag: e.tag })).join(', ')
    const checks = [...new Set(ends.flatMap((e) => (e.check === null ? [] : [figure(e.check)])))]
    return word('cut-mark', { depths, ends: ends.length, checks: checks.join(', ') })
  })
  /** Where the bends begin on the straight tube, in words. */
  const bends = computed(() =>
    piece.value?.bends.length
      ? word('cut-bend', {
          bends: piece.value.bends
            .map((bend) =>
              word('cut-bend-from', {
                turn: Math.abs(bend.turnDeg),
                side: bend.turnDeg < 0 ? 'right' : 'left',
                at: figure(bend.atMm),
              }),
            )
            .join(', '),
        })
      : '',
  )
  /** Where holes for saddles come, from the end that the tape is hooked on, in words. */
  const holes = computed(() => {
    const own = piece.value
    const [first] = own?.ends ?? []
    if (!own || !first) return ''
    const known = tapsOf(own).flatMap(({ saddle, fromEndMm }) =>
      fromEndMm.value === null
        ? []
        : [word('cut-hole-at', { at: figure(fromEndMm.value), tag: shortTag(own.line.tag, saddle.tag) })],
    )
    return known.length
      ? word('cut-holes', { holes: known.join(', '), end: first.jointTag ?? 'none', count: known.length })
      : ''
  })
  /** Why a hole has no place yet. */
  const holesLack = computed(() => {
    const lacking = piece.value
      ? tapsOf(piece.value).find(({ fromEndMm }) => fromEndMm.value === null)
      : undefined
    return lacking?.fromEndMm.value === null ? lacking.fromEndMm.why : null
  })
  return { marks, bends, holes, holesLack }
}

/** What is said of the piece at hand: where to mark it, how its length came about, its twin, its bends. */
export function useCutSentences(
  piece: ComputedRef<PieceCut | null>,
  pieces: ComputedRef<readonly PieceCut[]>,
) {
  const job = useJob()
  const figure = (mm: number): string => fmt.lengthFigure(mm, job.reader)
  /** What stands in the headline when there is no length to cut. */
  const headline = computed(() => {
    const cut = piece.value
    if (!cut) return word('cut-no-measures-yet-give')
    if (isUnmeasured(cut.item)) return word('cut-measure-it', { tag: cut.item.tag, size: cut.item.size })
    return cut.cutMm.value === null ? job.t(cut.cutMm.why) : ''
  })
  const how = computed(() => {
    const cut = piece.value
    if (!cut || cut.item.measuredMm === null || cut.cutMm.value === null) return ''
    return word('cut-less-take-offs-plus', {
      tag: cut.item.tag,
      size: cut.item.size,
      material: named(pipeOf(cut.line, cut.item).material),
      measure: cut.item.measure,
      measured: figure(cut.item.measuredMm),
      takeOffs: figure(cut.takeOffsMm),
      insertions: figure(cut.insertionsMm),
      gaps: figure(cut.gapsMm),
      hasGaps: cut.gapsMm ? 'yes' : 'no',
    })
  })
  /** Pipe-in-pipe: the piece at the same place of the other pipe, and how much longer the inner one is. */
  const twin = computed(() => {
    const own = piece.value
    const end = own?.ends.find((e) => e.jointId)
    const at = end?.jointId ? jointPlaces(job.state).get(end.jointId) : undefined
    const other = at && twinJoint(job.state, at)
    const cut = other && pieces.value.find((x) => x.item === other.place.part)
    if (!own || !cut || own.cutMm.value === null || cut.cutMm.value === null) return ''
    const by = other.inner ? cut.cutMm.value - own.cutMm.value : own.cutMm.value - cut.cutMm.value
    return word(other.inner ? 'cut-its-carrier-is-cut' : 'cut-it-is-than-round', {
      tag: cut.item.tag,
      by: figure(Math.abs(by)),
      which: by < 0 ? 'shorter' : 'longer',
    })
  })
  return { ...useMarks(piece, figure), headline, how, twin }
}
