<script setup lang="ts" generic="Row">
import { type ComponentPublicInstance, computed, onBeforeUnmount, onMounted, reactive, ref, watch } from 'vue'

/**
 * Rows of a list or a table of any length: in the page are those that are in sight or near it, in pieces; of the others
 * their room. Printed, all of them are there.
 */
const props = defineProps<{
  rows: readonly Row[]
  as: 'tbody' | 'ul'
  /** Height of a row as it is to be expected before one was seen, px. */
  rowPx: number
}>()
const PIECE = 60
/** So far from sight a piece is made ready. */
const NEAR = '600px 0px'

const pieces = computed(() =>
  Array.from({ length: Math.ceil(props.rows.length / PIECE) }, (_, i) =>
    props.rows.slice(i * PIECE, (i + 1) * PIECE),
  ),
)
const near = reactive(new Set<number>([0]))
/** Rooms of pieces that were in the page, as they were then. */
const rooms = new Map<number, number>()
/** Height of a row as rows were seen to have, px: a wrong guess would push what was scrolled to out of sight. */
const seenRowPx = ref(props.rowPx)
const printing = ref(false)
const elements = new Map<Element, number>()
let observer: IntersectionObserver | undefined

function seen(entries: readonly IntersectionObserverEntry[]): void {
  for (const { target, isIntersecting, boundingClientRect } of entries) {
    const at = elements.get(target)
    if (at === undefined) continue
    const count = pieces.value[at]?.length ?? 0
    if (near.has(at) && count > 0 && boundingClientRect.height > 0) {
      rooms.set(at, boundingClientRect.height)
      seenRowPx.value = boundingClientRect.height / count
    }
    if (isIntersecting) near.add(at)
    else near.delete(at)
  }
}
function watched(at: number, mounted: Element | ComponentPublicInstance | null): void {
  if (!(mounted instanceof Element) || elements.get(mounted) === at) return
  elements.set(mounted, at)
  observer?.observe(mounted)
}
// Other rows need another room.
watch(
  () => props.rows.length,
  () => rooms.clear(),
)
const onPrint = (on: boolean) => (): void => void (printing.value = on)
const [before, after] = [onPrint(true), onPrint(false)]
onMounted(() => {
  observer = new IntersectionObserver(seen, { rootMargin: NEAR })
  for (const element of elements.keys()) observer.observe(element)
  window.addEventListener('beforeprint', before)
  window.addEventListener('afterprint', after)
})
onBeforeUnmount(() => {
  observer?.disconnect()
  window.removeEventListener('beforeprint', before)
  window.removeEventListener('afterprint', after)
})
const isShown = (at: number): boolean => printing.value || pieces.value.length === 1 || near.has(at)
const roomPx = (at: number): string =>
  `${rooms.get(at) ?? (pieces.value[at]?.length ?? 0) * seenRowPx.value}px`
</script>

<template>
  <component
    :is="as"
    v-for="(piece, at) in pieces"
    :key="at"
    :ref="(mounted: Element | ComponentPublicInstance | null) => watched(at, mounted)"
  >
    <template v-if="isShown(at)">
      <slot v-for="(row, i) in piece" :key="i" :row="row" :index="at * PIECE + i" />
    </template>
    <component :is="as === 'ul' ? 'li' : 'tr'" v-else aria-hidden="true" :style="{ height: roomPx(at) }" />
  </component>
</template>
