<script setup lang="ts">
import { monitorForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import { type EndAt, type Item, type Line, outletsOf, rootOf } from '@jugalis/core'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useAfterPaint } from '../../after-paint'
import { useJob } from '../../stores/job'
import { useNarrow } from '../../use-narrow'
import PartRow from './PartRow.vue'
import { LARGE_LINE } from './use-drawn'
import type { Rows } from './use-rows'
import { word } from '../../words/word'

/** Height that a take-off takes up, px. */
const TAKE_PX = 44
/** The parts of a line as a grid of rows; only those in sight are in the page, however long the line is. */
const props = defineProps<{ line: Line; rows: Rows }>()
const emit = defineEmits<{ takeOff: [item: Item, at: EndAt]; open: [item: Item] }>()
const job = useJob()
const narrow = useNarrow()
const afterPaint = useAfterPaint()
const scroller = ref<HTMLElement>()
const rowPx = computed(() => (narrow.value ? 56 : 44))
/** Each further take-off of a part stands below the one before it. */
const heights = computed(() =>
  props.line.items.map((item) => {
    const takes = item.type === 'fitting' ? outletsOf(job.state, props.line, item).length : 1
    return rowPx.value + Math.max(0, takes - 1) * TAKE_PX
  }),
)
/** On paper every row is there. */
const printing = ref(false)
const virtual = useVirtualizer(
  computed(() => ({
    count: props.line.items.length,
    getScrollElement: () => scroller.value ?? null,
    estimateSize: (i: number) => heights.value[i] ?? rowPx.value,
    getItemKey: (i: number) => props.line.items[i]?.id ?? i,
    overscan: printing.value ? 5000 : 6,
  })),
)
watch(heights, () => virtual.value.measure())
/** How deep in branches each run lies, for its indent. */
const depths = computed(() => {
  const own = new Map<string, string | undefined>(props.line.items.map((i) => [i.id, i.run]))
  const out = new Map<string | undefined, number>([[undefined, 0]])
  const depth = (run: string | undefined): number => {
    let deep = out.get(run)
    if (deep === undefined)
      out.set(run, (deep = own.has(rootOf(run ?? '')) ? depth(own.get(rootOf(run ?? ''))) + 1 : 1))
    return deep
  }
  for (const i of props.line.items) depth(i.run)
  return out
})
watch(
  () => props.rows.currentId.value,
  (id) => {
    const at = props.line.items.findIndex((i) => i.id === id)
    if (at < 0) return
    const show = (): void => virtual.value.scrollToIndex(at, { align: 'auto' })
    // Scrolling has the whole page laid out: in a long list what was done is told first.
    if (props.line.items.length > LARGE_LINE) afterPaint(show)
    else show()
  },
)

const onPrint = (on: boolean) => (): void => void (printing.value = on)
const [before, after] = [onPrint(true), onPrint(false)]
let stop: (() => void) | undefined
onMounted(() => {
  window.addEventListener('beforeprint', before)
  window.addEventListener('afterprint', after)
  stop = monitorForElements({
    onDrop: ({ source, location }) => {
      const target = location.current.dropTargets[0]
      const id = source.data.itemId as string | undefined
      const onto = target?.data.itemId as string | undefined
      if (!id || !onto || id === onto) return
      const { rows } = props
      const ids = rows.chosenIds.value.has(id) ? new Set(rows.chosenIds.value) : new Set([id])
      if (!ids.has(onto)) void rows.moveTo(ids, onto)
    },
  })
})
onBeforeUnmount(() => {
  window.removeEventListener('beforeprint', before)
  window.removeEventListener('afterprint', after)
  stop?.()
})
function key(event: KeyboardEvent): void {
  const { rows } = props
  const acts: Record<string, () => void> = {
    ArrowDown: () => (event.altKey ? void rows.nudge(1) : rows.step(1, event.shiftKey)),
    ArrowUp: () => (event.altKey ? void rows.nudge(-1) : rows.step(-1, event.shiftKey)),
    Home: () => rows.choose(props.line.items[0]?.id ?? null),
    End: () => rows.choose(props.line.items.at(-1)?.id ?? null),
    Enter: () => rows.current.value && emit('open', rows.current.value),
    Delete: () => void rows.remove(),
  }
  const act = acts[event.key]
  if (!act || /INPUT|BUTTON|A/.test((event.target as HTMLElement).tagName.replace('DIV', ''))) return
  event.preventDefault()
  act()
}
</script>

<template>
  <div
    ref="scroller"
    class="parts long-grid"
    role="grid"
    :aria-label="word('set-out-parts-of-the-line')"
    aria-multiselectable="true"
    :aria-rowcount="line.items.length + 1"
    tabindex="0"
    @keydown="key"
  >
    <div class="part grid-row grid-head" role="row" aria-rowindex="1">
      <span class="cell" role="columnheader">{{ word('set-out-part') }}</span>
      <span class="cell" role="columnheader">{{ word('set-out-as-typed') }}</span>
      <span class="cell size" role="columnheader">{{ word('ui-size') }}</span>
      <span class="cell" role="columnheader">{{ word('set-out-take-off') }}</span>
      <span class="cell" role="columnheader">{{ word('set-out-joints') }}</span>
    </div>
    <div role="presentation" class="grid-space" :style="{ height: `${virtual.getTotalSize()}px` }">
      <PartRow
        v-for="v in virtual.getVirtualItems()"
        :key="String(v.key)"
        :item="line.items[v.index]!"
        :index="v.index"
        :line="line"
        :depth="depths.get(line.items[v.index]!.run) ?? 0"
        :rows="rows"
        :style="{ transform: `translateY(${v.start}px)`, height: `${v.size}px` }"
        @take-off="(i, b) => emit('takeOff', i, b)"
      />
    </div>
  </div>
</template>

<style scoped>
.parts {
  flex: none;
  max-height: min(40vh, 480px);
}
@media print {
  .parts {
    max-height: none;
    overflow: visible;
  }
}
</style>
<style>
/* Head and rows share their columns. */
.part {
  grid-template-columns: 112px minmax(150px, 1.2fr) 96px minmax(170px, 1fr) minmax(150px, 1.2fr);
  column-gap: 10px;
}
.part .cell {
  min-width: 0;
}
@media (max-width: 720px) {
  .part {
    grid-template-columns: 84px minmax(96px, 1fr) minmax(110px, 1.1fr);
  }
  .part .size,
  .part .cell:last-child {
    display: none;
  }
}
</style>
