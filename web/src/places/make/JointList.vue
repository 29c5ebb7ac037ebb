<script setup lang="ts">
import type { JointFacts } from '@jugalis/core'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, onMounted, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import JointGlyph from '../../tapes/JointGlyph.vue'
import { useNarrow } from '../../use-narrow'
import { useView } from '../../view'
import type { Group } from './groups'
import { word } from '../../words/word'

/** The joints of a job under what they ask for; only the rows in sight are in the page. */
const props = defineProps<{ groups: readonly Group[]; here: string | null; marked: readonly string[] }>()
const emit = defineEmits<{ mark: [id: string] }>()
const job = useJob()
const view = useView()
const narrow = useNarrow()
const scroller = ref<HTMLElement>()
type Row = { heading: Group } | { joint: JointFacts }
const rows = computed<Row[]>(() =>
  props.groups.flatMap((g): Row[] => [{ heading: g }, ...g.joints.map((joint) => ({ joint }))]),
)
const virtual = useVirtualizer(
  computed(() => ({
    count: rows.value.length,
    getScrollElement: () => scroller.value ?? null,
    estimateSize: (i: number) => (rows.value[i] && 'heading' in rows.value[i] ? 46 : narrow.value ? 64 : 48),
    overscan: 10,
  })),
)
watch([rows, narrow], () => virtual.value.measure())
/** In a long list the open joint is shown. */
function showOpen(): void {
  const at = rows.value.findIndex((r) => 'joint' in r && r.joint.id === props.here)
  if (at >= 0) virtual.value.scrollToIndex(at, { align: 'auto' })
}
watch(() => props.here, showOpen)
onMounted(showOpen)
</script>

<template>
  <div ref="scroller" class="joints" tabindex="0">
    <div class="space" :style="{ height: `${virtual.getTotalSize()}px` }">
      <template v-for="v in virtual.getVirtualItems()" :key="v.index">
        <h2
          v-if="'heading' in rows[v.index]!"
          class="at"
          :style="{ transform: `translateY(${v.start}px)`, height: `${v.size}px` }"
        >
          {{ (rows[v.index] as { heading: Group }).heading.title }}
          <span>{{ (rows[v.index] as { heading: Group }).heading.joints.length }}</span>
        </h2>
        <div
          v-else
          class="row at"
          :class="{ here: (rows[v.index] as { joint: JointFacts }).joint.id === here }"
          :style="{ transform: `translateY(${v.start}px)`, height: `${v.size}px` }"
        >
          <RouterLink
            :to="{
              name: 'make',
              params: { jobId: job.jobId, jointId: (rows[v.index] as { joint: JointFacts }).joint.id },
            }"
          >
            <JointGlyph
              v-if="view.looks.get((rows[v.index] as { joint: JointFacts }).joint.id)"
              :look="view.looks.get((rows[v.index] as { joint: JointFacts }).joint.id)!"
              :tag="(rows[v.index] as { joint: JointFacts }).joint.tag"
            />
            <span class="tag">{{ (rows[v.index] as { joint: JointFacts }).joint.tag }}</span>
            <span class="size">{{ (rows[v.index] as { joint: JointFacts }).joint.place.way.size }}</span>
            <span class="word">{{
              job.t(
                view.looks.get((rows[v.index] as { joint: JointFacts }).joint.id)?.word ?? {
                  code: '',
                  params: {},
                },
              )
            }}</span>
          </RouterLink>
          <button
            v-if="marked.includes((rows[v.index] as { joint: JointFacts }).joint.id)"
            type="button"
            class="marked"
            :aria-label="word('make-marked-take-the-mark')"
            @click="emit('mark', (rows[v.index] as { joint: JointFacts }).joint.id)"
          >
            X
          </button>
        </div>
      </template>
    </div>
  </div>
</template>

<style scoped>
.joints {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding-inline-end: 14px;
}
.space {
  position: relative;
}
.at {
  position: absolute;
  top: 0;
  inset-inline-start: 0;
  width: 100%;
}
h2 {
  display: flex;
  align-items: flex-end;
  justify-content: space-between;
  font-size: 18px;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 3px;
}
.row {
  display: flex;
  border-bottom: 1px solid var(--line);
}
.row a {
  flex: 1;
  min-width: 0;
  display: grid;
  grid-template-columns: 48px auto auto 1fr;
  align-items: center;
  gap: 7px;
  text-decoration: none;
}
.row.here {
  box-shadow:
    inset 0 2px 0 var(--ink),
    inset 0 -2px 0 var(--ink);
  background: var(--sheet);
}
.tag {
  font-weight: 600;
}
.size {
  white-space: nowrap;
}
.size,
.word {
  color: var(--soft);
  font-size: 15px;
}
.word {
  text-align: end;
}
.marked {
  width: 44px;
  border: 0;
  background: var(--ink);
  color: var(--paper);
  font: 600 18px var(--figures);
}
@media (max-width: 720px) {
  .row {
    font-size: 18px;
  }
}
</style>
