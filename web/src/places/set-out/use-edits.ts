import { type Edited, type Line, type Shop, takeOffsBrought, withSpace } from '@jugalis/core'
import { type Ref, computed, nextTick, ref } from 'vue'
import { shopNow } from '../../shop'
import { useJob } from '../../stores/job'
import { useParts } from '../../stores/parts'
import { word } from '../../words/word'

/** Edits of one line: each is worked out on the line as it stands, kept as one act, and refused in words. */
export function useEdits(line: Ref<Line | null>) {
  const job = useJob()
  const parts = useParts()
  const fault = ref('')
  const shop = computed<Shop>(() => shopNow(job.state))
  /** One edit at a time, in the order asked for: the next one stands on what the last one made. */
  let working: Promise<boolean> = Promise.resolve(true)
  /** Edits that are not kept yet. */
  const pending = ref(0)

  /**
   * @param says what the act is called afterwards.
   * @param ended what follows from it for the edit after it, which may be waiting already: told before that begins.
   * @returns whether it was done.
   */
  function edit(
    work: (line: Line, shop: Shop) => Edited,
    says: string,
    ended?: (done: boolean) => void,
  ): Promise<boolean> {
    pending.value++
    // Cleared when asked, not when done: what is refused while the next edit waits stays said.
    fault.value = ''
    // What went wrong with the one before is its own matter.
    const before = working.catch(() => false)
    working = before.then(async () => {
      const own = line.value
      if (!own) return false
      const edited = withSpace(job.state, own, work(own, shop.value), shop.value)
      if (!edited.ok) {
        fault.value = job.t(edited.why)
        ended?.(false)
        return false
      }
      const brought = takeOffsBrought(job.state, edited.items, parts.house)
      const entries = [
        ...edited.edits.map((e) => ({ kind: e.kind, data: { lineId: own.id, ...e.data } })),
        ...brought.map((data) => ({ kind: 'take-off', data: { ...data, chart: word('own-fittings') } })),
      ]
      // Whose part it is not is told so; what was typed comes back.
      if (entries.length && !(await job.write(entries, says)).length) {
        ended?.(false)
        return false
      }
      await nextTick()
      ended?.(true)
      return true
    })
    return working.finally(() => pending.value--)
  }
  return { fault, edit, pending }
}
export type Edits = ReturnType<typeof useEdits>
