import type { Line } from '@jugalis/core'
import { type ComputedRef, computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useView } from '../../view'

/**
 * The line that is open: the one in the address, or that of the part there; else the first with something still to make,
 * else the last.
 */
export function useAddress(): {
  line: ComputedRef<Line | null>
  /** Chooses the part of the address, once its line is open. */
  choosePart(choose: (id: string) => void): void
} {
  const view = useView()
  const route = useRoute()
  const asked = computed(() => String(route.params.lineId ?? ''))
  const holds = (own: Line): boolean => own.items.some(({ id }) => id === asked.value)
  const isToMake = (id: string | null): boolean => id !== null && view.looks.get(id)?.glyph === 'planned'
  const line = computed(
    () =>
      view.lines.find(({ id }) => id === asked.value) ??
      view.lines.find(holds) ??
      view.lines.find((own) => own.items.some((item) => item.joints.some(isToMake))) ??
      view.lines.at(-1) ??
      null,
  )
  const choosePart = (choose: (id: string) => void): void =>
    void watch(
      [asked, () => line.value?.id],
      () => line.value && holds(line.value) && choose(asked.value),
      // After the rows have let go of what was chosen in another line.
      { immediate: true, flush: 'post' },
    )
  return { line, choosePart }
}
