import { type Ref, onBeforeUnmount, onMounted, onUpdated, ref, watch } from 'vue'
import { useNarrow } from '../../use-narrow'

/** Lower than this a drawing says nothing, px. */
export const LEAST_PX = 110
/**
 * Room that a panel leaves for its drawing (the child with `data-drawing`), px, so that all else of it is seen at once;
 * null before it was measured.
 */
export function useRoom(panel: Ref<HTMLElement | undefined>): Ref<number | null> {
  const room = ref<number | null>(null)
  const seen = new Set<Element>()
  function measure(): void {
    const el = panel.value
    const work = el?.closest('main')
    if (!el || !work) return
    // Sheets lie over it; what is left stands one below the other, the actions at the foot, pushed down by an own margin.
    const flow = [...el.children].filter(
      (element): element is HTMLElement =>
        element instanceof HTMLElement &&
        element.offsetHeight > 0 &&
        !/fixed|absolute/.test(getComputedStyle(element).position),
    )
    const foot = flow.at(-1)
    const upper = flow.at(-2)
    if (!foot || !upper) return
    const style = getComputedStyle(el)
    const gap = parseFloat(style.rowGap) || 0
    const drawn = flow.find((c) => 'drawing' in c.dataset)
    const top = el.getBoundingClientRect().top
    const used = upper.getBoundingClientRect().bottom - top - (drawn ? drawn.offsetHeight + gap : 0)
    const need = used + gap + foot.offsetHeight + parseFloat(style.paddingBottom)
    const from = top - work.getBoundingClientRect().top + work.scrollTop
    room.value = Math.floor(work.clientHeight - from - need - gap)
  }
  const sizes = new ResizeObserver(measure)
  function watchAll(): void {
    const now = new Set<Element>([...(panel.value?.children ?? []), ...(panel.value ? [panel.value] : [])])
    for (const element of seen) if (!now.has(element)) sizes.unobserve(element)
    for (const element of now) if (!seen.has(element)) sizes.observe(element)
    seen.clear()
    now.forEach((e) => seen.add(e))
    measure()
  }
  onMounted(watchAll)
  onUpdated(watchAll)
  onBeforeUnmount(() => sizes.disconnect())
  return room
}

/** On a phone, whether things must be lower than usual: once they must, until something else is done. @param now what is done. */
export function useTight(room: Ref<number | null>, now: () => string): Ref<boolean> {
  const narrow = useNarrow()
  const tight = ref(false)
  watch([room, now] as const, ([px, what], [, was]) => {
    if (what !== was) tight.value = false
    if (narrow.value && px !== null && px < 0) tight.value = true
  })
  return tight
}
