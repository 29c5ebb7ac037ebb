<script setup lang="ts">
import {
  type Carries,
  type Cursor,
  type EndAt,
  type Item,
  type Line,
  type Stands,
  lineInSpace,
} from '@jugalis/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useJob } from '../../stores/job'
import SpaceDrawing from '../../space/SpaceDrawing.vue'
import { keepText, readText } from '../../stored'
import { word } from '../../words/word'
import CloseSheet from './CloseSheet.vue'
import InSpace from './InSpace.vue'
import LineDrawing from './LineDrawing.vue'
import CoordinateSheet from './CoordinateSheet.vue'
import PointSheet from './PointSheet.vue'
import RoomSheet from './RoomSheet.vue'
import type { Edits } from './use-edits'

/** A line laid out straight, or as it stands in the building where it has a place; and what follows from that. */
const props = defineProps<{ line: Line; current: string | null; cursor: Cursor; edits: Edits }>()
const emit = defineEmits<{ pick: [id: string]; placed: []; takeOff: [item: Item, at: EndAt] }>()
const job = useJob()
const router = useRouter()
const space = computed(() => lineInSpace(job.state, props.line))
const stands = computed(() => space.value.nodes.length > 0)
const KEPT = 'jugalis-line-drawn'
const asked = ref<'straight' | 'space'>(readText(KEPT) === 'straight' ? 'straight' : 'space')
const drawn = computed(() => (stands.value ? asked.value : 'straight'))
function ask(as: 'straight' | 'space'): void {
  asked.value = as
  keepText(KEPT, as)
}
/** What the line carries is said beside where it begins. */
function carry(what: Carries | null): void {
  const { carries: _was, ...rest } = props.line.stands ?? {}
  stand({ ...rest, ...(what ? { carries: what } : {}) }, word('space-carries', { what: what ?? '' }))
}
function room(insulationMm: number, clearMm: number): void {
  stand({ ...props.line.stands, insulationMm, clearMm }, word('room-kept', { tag: props.line.tag }))
}
function stand(stands: Stands, says: string): void {
  void props.edits.edit(
    (line) => ({ ok: true, edits: [{ kind: 'line-stands', data: { stands } }], items: line.items, stands }),
    says,
  )
}
/** A part of another line that is drawn with this one leads there. */
function pick(id: string): void {
  const other = [...job.state.lines.values()].find(({ items }) => items.some((item) => item.id === id))
  if (!other || other.id === props.line.id) emit('pick', id)
  else void router.push({ name: 'set-out', params: { jobId: job.jobId as string, lineId: id } })
}
const sheet = ref<'points' | 'close' | 'room' | 'coordinates' | null>(null)
</script>

<template>
  <div class="looks">
    <button
      v-if="stands && drawn === 'straight'"
      type="button"
      class="button chip other no-print"
      @click="ask('space')"
    >
      {{ word('space-in-space') }}
    </button>
    <SpaceDrawing v-if="drawn === 'space'" :space="space" :current="current" @pick="pick">
      <button type="button" class="button chip" @click="ask('straight')">
        {{ word('space-straight') }}
      </button>
    </SpaceDrawing>
    <LineDrawing
      v-else-if="line.items.length"
      :line="line"
      :current="current"
      @pick="(id) => emit('pick', id)"
    />
    <InSpace
      :space="space"
      @show="(id) => emit('pick', id)"
      @points="sheet = 'points'"
      @close="sheet = 'close'"
      @room="sheet = 'room'"
      @coordinates="sheet = 'coordinates'"
      @take-off="(item, at) => emit('takeOff', item, at)"
      @carries="carry"
    />
    <RoomSheet v-if="sheet === 'room'" :line="line" @close="sheet = null" @said="room" />
    <CoordinateSheet v-if="sheet === 'coordinates'" :space="space" @close="sheet = null" />
    <PointSheet v-if="sheet === 'points'" @close="sheet = null" />
    <CloseSheet
      v-if="sheet === 'close'"
      :line="line"
      :cursor="cursor"
      :edits="edits"
      @close="sheet = null"
      @placed="emit('placed')"
    />
  </div>
</template>

<style scoped>
.looks {
  display: flex;
  flex-direction: column;
  gap: 8px;
  width: 100%;
}
.other {
  align-self: flex-start;
}
</style>
