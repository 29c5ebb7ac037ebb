import {
  type Item,
  type OPENERS,
  type PieceCut,
  changeTo,
  fmt,
  isUnmeasured,
  putOf,
  splitWith,
} from '@jugalis/core'
import { type ComputedRef, computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'
import { useEdits } from '../set-out/use-edits'

/** What is measured of a piece, where it will lie. */
export function useMeasure(piece: ComputedRef<PieceCut | null>) {
  const job = useJob()
  /** Why a measure could not be taken is said as long as that piece is shown. */
  const { edit, fault: measureFault } = useEdits(computed(() => piece.value?.line ?? null))
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
    const { item } = piece.value ?? {}
    if (!item) return
    const { id, tag, gapMm, way } = item
    const entry = {
      ok: true,
      type: 'piece',
      measure: between,
      measuredMm,
      ...(gapMm === undefined ? {} : { gapMm }),
      ...(way ? { way } : {}),
    } as const
    const says = { tag, length: fmt.length(measuredMm, job.reader), measure: between }
    const done = await edit(
      (line, shop) => changeTo(line, line.items.find((own) => own.id === id) ?? item, entry, shop),
      word('cut-is-measured', says),
    )
    if (done) again.value = false
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
  /** Why a piece could not be made two is said as long as that piece is shown. */
  const { edit, fault: splitFault } = useEdits(computed(() => piece.value?.line ?? null))
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
    const { item } = shown
    await edit(
      (line, shop) => splitWith(line, line.items.find(({ id }) => id === item.id) ?? item, fitting, shop),
      word('cut-is-two-pieces-with', { tag: item.tag, fitting }),
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
