import { type Ref, computed, ref, watch } from 'vue'

/** Where each drawing was left, for as long as the page is open. */
const left = new Map<string, { scale: number | null; fromMm: number }>()
const STEP = 1.5

/**
 * The part of a long drawing that is in sight: scale in px per mm, first mm shown; pan, zoom about a point, fit.
 * @param full the scale called 100 %. @param key what is remembered under.
 */
export function useWindow(key: Ref<string>, totalMm: Ref<number>, width: Ref<number>, full: Ref<number>) {
  /** Null: the whole is fitted in. */
  const chosen = ref<number | null>(null)
  const from = ref(0)
  watch(
    key,
    (now, before) => {
      if (before) left.set(before, { scale: chosen.value, fromMm: from.value })
      const was = left.get(now)
      chosen.value = was?.scale ?? null
      from.value = was?.fromMm ?? 0
    },
    { immediate: true },
  )
  const fitScale = computed(() => width.value / Math.max(1, totalMm.value))
  const least = computed(() => Math.min(fitScale.value, full.value))
  const scale = computed(() =>
    chosen.value === null ? fitScale.value : Math.min(8, Math.max(least.value, chosen.value)),
  )
  const fromMm = computed(() => Math.max(0, Math.min(from.value, totalMm.value - width.value / scale.value)))
  const toMm = computed(() => Math.min(totalMm.value, fromMm.value + width.value / scale.value))
  /** Zooms about a point of the drawing, given in px from its left. */
  function zoomTo(next: number, atPx = width.value / 2): void {
    const mm = fromMm.value + atPx / scale.value
    chosen.value = next
    from.value = mm - atPx / scale.value
  }
  const zoom = (by: 1 | -1, atPx?: number): void => zoomTo(scale.value * STEP ** by, atPx)
  const fit = (): void => void (chosen.value = null)
  const pan = (px: number): void => void (from.value = fromMm.value + px / scale.value)
  /** Brings a place into sight when it is not. */
  function show(mm: number): void {
    const margin = Math.min(60, width.value / 4) / scale.value
    if (mm < fromMm.value + margin) from.value = mm - margin
    else if (mm > toMm.value - margin) from.value = mm + margin - width.value / scale.value
  }
  return { scale, fromMm, toMm, fitScale, zoom, zoomTo, fit, pan, show }
}
