import type { LineDrawn } from '@jugalis/core'
import { type Ref, computed, ref, watch } from 'vue'

const STEP = 1.4
const MOST = 12

/**
 * The part of a drawing that is in sight: fitted in as a whole, or nearer; pulled, zoomed about a point.
 * @param key what is drawn: another drawing is fitted in anew.
 */
export function useSight(
  box: Ref<LineDrawn['box']>,
  width: Ref<number>,
  height: Ref<number>,
  key: Ref<string>,
) {
  /** 1: the whole is fitted in. */
  const nearer = ref(1)
  const middle = ref<{ x: number; y: number } | null>(null)
  watch(key, () => fit())
  const fitted = computed(() => {
    const { minX, minY, maxX, maxY } = box.value
    return Math.min(width.value / (maxX - minX), height.value / (maxY - minY))
  })
  const perUnit = computed(() => fitted.value * nearer.value)
  const centre = computed(
    () =>
      middle.value ?? {
        x: (box.value.minX + box.value.maxX) / 2,
        y: (box.value.minY + box.value.maxY) / 2,
      },
  )
  const left = computed(() => centre.value.x - width.value / 2 / perUnit.value)
  const top = computed(() => centre.value.y - height.value / 2 / perUnit.value)
  const viewBox = computed(
    () => `${left.value} ${top.value} ${width.value / perUnit.value} ${height.value / perUnit.value}`,
  )
  function zoom(by: 1 | -1, atX = width.value / 2, atY = height.value / 2): void {
    const at = { x: left.value + atX / perUnit.value, y: top.value + atY / perUnit.value }
    nearer.value = Math.min(MOST, Math.max(1, nearer.value * STEP ** by))
    middle.value = {
      x: at.x - (atX - width.value / 2) / perUnit.value,
      y: at.y - (atY - height.value / 2) / perUnit.value,
    }
  }
  function pan(px: number, py = 0): void {
    middle.value = {
      x: centre.value.x + px / perUnit.value,
      y: centre.value.y + py / perUnit.value,
    }
  }
  function fit(): void {
    nearer.value = 1
    middle.value = null
  }
  return { viewBox, perUnit, zoom, pan, fit }
}
