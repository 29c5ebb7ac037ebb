import { type OPENERS, type PieceCut, begunJoints, putOf, splitWith } from '@jugalis/core'
import { type ComputedRef, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** What is done with the piece at hand: cut, made to go in last, opened. @param toCutMm what the saw is set to. */
export function useCutActs(
  piece: ComputedRef<PieceCut | null>,
  pieces: ComputedRef<readonly PieceCut[]>,
  toCutMm: ComputedRef<number>,
) {
  const job = useJob()
  const router = useRouter()
  async function turnClosing(): Promise<void> {
    const cut = piece.value
    if (!cut) return
    const on = !cut.item.closing
    await job.write(
      [{ kind: 'item-put', data: { lineId: cut.line.id, ...putOf({ ...cut.item, closing: on }) } }],
      word(on ? 'cut-goes-in-last' : 'cut-is-an-ordinary-piece', { tag: cut.item.tag }),
    )
  }
  /** What lets a piece in that cannot be drawn back: it becomes two, with a fitting that opens between. */
  async function letIn(fitting: (typeof OPENERS)[number]): Promise<void> {
    const cut = piece.value
    const split =
      cut &&
      splitWith(cut.line, cut.item, fitting, {
        begun: begunJoints(job.state),
        newId: () => crypto.randomUUID(),
      })
    if (!cut || !split) return
    if (!split.ok) return void (splitFault.value = job.t(split.why))
    await job.write(
      split.edits.map((e) => ({ kind: e.kind, data: { lineId: cut.line.id, ...e.data } })),
      word('cut-is-two-pieces-with', { tag: cut.item.tag, fitting }),
    )
  }
  const splitFault = ref('')
  async function cut(): Promise<void> {
    const cut = piece.value
    if (!cut || cut.cutMm.value === null) return
    await job.write(
      [{ kind: 'piece-cut', data: { itemId: cut.item.id, cutMm: toCutMm.value } }],
      word('cut-is-cut-2', { tag: cut.item.tag }),
    )
    const next = pieces.value.find((x) => !x.isCut && x.item.id !== cut.item.id && x.cutMm.value !== null)
    if (next)
      await router.replace({ name: 'cut', params: { jobId: job.jobId as string, itemId: next.item.id } })
  }
  return { splitFault, turnClosing, letIn, cut }
}
