<script setup lang="ts">
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine'
import {
  type EndAt,
  type Item,
  type Line,
  entryText,
  fmt,
  levelText,
  lineInSpace,
  neighbours,
  shortTag,
  sizesHere,
  outletsOf,
  takeOffOf,
} from '@jugalis/core'
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import JointGlyph from '../../tapes/JointGlyph.vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import type { Rows } from './use-rows'
import { word } from '../../words/word'

const props = defineProps<{ item: Item; index: number; line: Line; depth: number; rows: Rows }>()
const emit = defineEmits<{ takeOff: [item: Item, at: EndAt] }>()
const job = useJob()
const view = useView()
const el = ref<HTMLElement>()
const over = ref(false)
const typed = ref('')
const isCurrent = computed(() => props.rows.currentId.value === props.item.id)
const isChosen = computed(() => props.rows.chosenIds.value.has(props.item.id))
const isEdited = computed(() => props.rows.editing.value === props.item.id)
const text = computed(() =>
  entryText(
    props.item,
    { ...job.reader, units: props.line.school },
    {
      way: neighbours(props.line.items).get(props.item.id)?.[0]?.way,
      offered: sizesHere(props.line, props.item.way),
    },
  ),
)
/** Where its centre is; of a pipe that falls, what it comes down to is told by the next. */
const level = computed(() => {
  const space = lineInSpace(job.state, props.line)
  const node = props.item.type === 'fitting' ? space.nodes[space.nodeOf.get(props.item.id) ?? -1] : undefined
  return node?.known ? levelText(node.atMm[2], { ...job.reader, units: props.line.school }) : ''
})
const size = computed(() => [props.item.size, props.item.size2].filter(Boolean).join(' to '))
const outlets = computed(() =>
  props.item.type === 'fitting'
    ? outletsOf(job.state, props.line, props.item).map((outlet) => ({
        ...outlet,
        known: takeOffOf(job.state, outlet.fitting, outlet.at),
      }))
    : [],
)
const joints = computed(() =>
  ([0, 1] as const).flatMap((end) => {
    const id = props.item.joints[end]
    return id ? [{ id, tag: props.item.jointTags[end] ?? '', look: view.looks.get(id) }] : []
  }),
)
/** A tee with a branch has two: each says which it is. */
function takeOffText(outlet: (typeof outlets.value)[number]): string {
  const kind = props.item.ends?.[outlet.at]?.kind ?? ''
  const whole = outlet.at === 2 || outlet.at === 3 ? 'branch' : kind ? 'kind' : 'run'
  const end = outlets.value.length > 1 ? whole : ''
  if (!outlet.known)
    return end ? word('set-out-not-known', { end, kind }) : word('set-out-not-known-measure-one')
  return word('set-out-take-off-to', {
    end,
    kind,
    mm: fmt.lengthFigure(outlet.known.takeOffMm, job.reader),
    to: outlet.known.takeOffTo,
  })
}
watch(isEdited, async (on) => {
  if (!on) return
  typed.value = text.value
  await nextTick()
  const field = el.value?.querySelector('input')
  field?.focus()
  field?.select()
})
async function keep(): Promise<void> {
  if (typed.value.trim() === text.value || (await props.rows.change(props.item, typed.value))) leave()
}
function leave(): void {
  if (isEdited.value) props.rows.typeOver(null)
  el.value?.closest<HTMLElement>('[role=grid]')?.focus()
}
let stop: (() => void) | undefined
onMounted(() => {
  const handle = el.value?.querySelector('.grip')
  if (!el.value || !handle) return
  stop = combine(
    draggable({
      element: el.value,
      dragHandle: handle,
      getInitialData: () => ({ itemId: props.item.id }),
    }),
    dropTargetForElements({
      element: el.value,
      getData: () => ({ itemId: props.item.id }),
      onDragEnter: () => (over.value = true),
      onDragLeave: () => (over.value = false),
      onDrop: () => (over.value = false),
    }),
  )
})
onBeforeUnmount(() => stop?.())
</script>

<template>
  <div
    ref="el"
    class="part grid-row"
    role="row"
    :aria-rowindex="index + 2"
    :aria-selected="isChosen"
    :class="{ here: isCurrent, chosen: isChosen, over }"
    @click="rows.choose(item.id, $event.shiftKey)"
    @dblclick="rows.typeOver(item.id)"
  >
    <span class="cell strong name" role="gridcell" :style="{ paddingLeft: `${Math.min(depth, 6) * 14}px` }">
      <span class="grip no-print" :title="word('set-out-drag-to-move')" aria-hidden="true">⠿</span
      >{{ shortTag(line.tag, item.tag) }}
    </span>
    <span class="cell said" role="gridcell">
      <form v-if="isEdited" @submit.prevent="keep" @keydown.esc.stop="leave">
        <input
          v-model="typed"
          class="field"
          :aria-label="word('set-out-as-typed-2', { tag: item.tag })"
          autocomplete="off"
          @blur="leave"
        />
      </form>
      <template v-else
        >{{ text }} <span v-if="level" class="level">{{ level }}</span>
        <span v-if="item.closing" class="why">{{ word('ui-goes-in-last') }}</span></template
      >
    </span>
    <span class="cell size" role="gridcell">{{ size }}</span>
    <span class="cell takes" role="gridcell">
      <button
        v-for="o in outlets"
        :key="o.at"
        type="button"
        class="figure-link reach take"
        :class="{ refusal: !o.known }"
        @click.stop="emit('takeOff', item, o.at)"
      >
        {{ takeOffText(o) }}
      </button>
    </span>
    <span class="cell" role="gridcell">
      <RouterLink
        v-for="j in joints"
        :key="j.id"
        class="joint reach"
        :to="{ name: 'make', params: { jobId: job.jobId, jointId: j.id } }"
        @click.stop
        ><JointGlyph v-if="j.look" :look="j.look" :tag="j.tag" :height="18" /> {{ j.tag }}</RouterLink
      >
    </span>
  </div>
</template>

<style scoped>
.chosen {
  background: var(--sheet);
}
.over {
  box-shadow: inset 0 -4px 0 var(--copper);
}
.level {
  font: 500 15px var(--figures);
  color: var(--soft);
  margin-inline-start: 8px;
}
.grip {
  display: inline-block;
  width: 20px;
  cursor: grab;
  color: var(--soft);
}
.cell {
  overflow: hidden;
  text-overflow: ellipsis;
}
.field {
  width: 100%;
  height: 36px;
  border: 2px solid var(--copper);
  background: var(--sheet);
  padding: 0 8px;
}
.take {
  margin-inline-end: 12px;
}
/* Two take-offs stand one below the other: neither is cut off. */
.takes:has(.take + .take) {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  line-height: 1.2;
}
.joint {
  gap: 6px;
  margin-inline-end: 14px;
}
@media (max-width: 720px) {
  /* What was typed stands whole, in two lines where it must. */
  .said {
    white-space: normal;
    line-height: 1.15;
  }
  .level {
    display: none;
  }
  .takes {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
  }
  .take {
    white-space: normal;
    text-align: start;
  }
}
</style>
