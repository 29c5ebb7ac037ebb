import {
  type Item,
  type OPENERS,
  type PieceCut,
  changeTo,
  fmt,
  isUnmeasured,
  putOf,
  splitWith,
  withSpace,
} from '@jugalis/core'
import { type ComputedRef, computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { shopNow } from '../../shop'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** What is measured of a piece, where it will lie. */
export function useMeasure(piece: ComputedRef<PieceCut | null>) {
  const job = useJob()
  /** Why a measure could not be taken; said as long as that piece is shown. */
  const measureFault = ref('')
  /** Measured once already, and asked for anew. */
  const again = ref(false)
  watch(
    () => piece.value?.item.id,
    () => {
      measureFault.value = ''
      again.value = false
    },
  )
  const asksMeasure = computed(() => piece.value !== null && (again.value || isUnmeasured(piece.value.item)))
  /** What was measured, and between what. */
  async function measure(measuredMm: number, between: NonNullable<Item['measure']>): Promise<void> {
    const shown = piece.value
    if (!shown) return
    const { item, line } = shown
    const { gapMm, way } = item
    const shop = shopNow(job.state)
    const entry = {
      ok: true,
      type: 'piece',
      measure: between,
      measuredMm,
      ...(gapMm === undefined ? {} : { gapMm }),
      ...(way ? { way } : {}),
    } as const
    const edited = withSpace(job.state, line, changeTo(line, item, entry, shop), shop)
    measureFault.value = edited.ok ? '' : job.t(edited.why)
    if (!edited.ok) return
    await job.write(
      edited.edits.map(({ kind, data }) => ({ kind, data: { lineId: line.id, ...data } })),
      word('cut-is-measured', {
        tag: item.tag,
        length: fmt.length(measuredMm, job.reader),
        measure: between,
      }),
    )
    again.value = false
  }
  return { measureFault, again, asksMeasure, measure }
}

/** What is done with the piece at hand: cut, made to go in last, opened. @param toCutMm what the saw is set to. */
export function useCutActs(
  piece: ComputedRef<PieceCut | null>,
  pieces: ComputedRef<readonly PieceCut[]>,
  toCutMm: ComputedRef<number>,
) {
  const job = useJob()
  const router = useRouter()
  /** Why a piece could not be made two; said as long as that piece is shown. */
  const splitFault = ref('')
  watch(
    () => piece.value?.item.id,
    () => void (splitFault.value = ''),
  )
  async function turnClosing(): Promise<void> {
    const shown = piece.value
    if (!shown) return
    const on = !shown.item.closing
    await job.write(
      [{ kind: 'item-put', data: { lineId: shown.line.id, ...putOf({ ...shown.item, closing: on }) } }],
      word(on ? 'cut-goes-in-last' : 'cut-is-an-ordinary-piece', { tag: shown.item.tag }),
    )
  }
  /** What lets a piece in that cannot be drawn back: it becomes two, with a fitting that opens between. */
  async function letIn(fitting: (typeof OPENERS)[number]): Promise<void> {
    const shown = piece.value
    if (!shown) return
    const shop = shopNow(job.state)
    const split = withSpace(job.state, shown.line, splitWith(shown.line, shown.item, fitting, shop), shop)
    if (!split.ok) return void (splitFault.value = job.t(split.why))
    await job.write(
      split.edits.map((e) => ({ kind: e.kind, data: { lineId: shown.line.id, ...e.data } })),
      word('cut-is-two-pieces-with', { tag: shown.item.tag, fitting }),
    )
  }
  async function cut(): Promise<void> {
    const shown = piece.value
    if (!shown || shown.cutMm.value === null) return
    await job.write(
      [{ kind: 'piece-cut', data: { itemId: shown.item.id, cutMm: toCutMm.value } }],
      word('cut-is-cut-2', { tag: shown.item.tag }),
    )
    // What can be cut comes before what is to be measured.
    const left = pieces.value.filter(({ item, isCut }) => !isCut && item.id !== shown.item.id)
    const next = left.find(({ cutMm }) => cutMm.value !== null) ?? left.find(({ item }) => isUnmeasured(item))
    if (next)
      await router.replace({ name: 'cut', params: { jobId: job.jobId as string, itemId: next.item.id } })
  }
  return { splitFault, turnClosing, letIn, cut }
}
